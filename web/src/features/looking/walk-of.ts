import type { GardenView, TaskDto } from '@candid-leaf/contract';
import { PARTS, type Part } from '@candid-leaf/core/records';

/** Returns the walk due for a bed today, if any. */
export const walkOf = (view: GardenView | undefined, placeId: string): TaskDto['walk'] =>
  view?.today.find((t) => t.placeId === placeId && t.walk)?.walk;

/** Returns the parts in the order to check: the reason for the walk first, then from the soil up. */
export const inOrder = (first: readonly Part[] = []): Part[] => [...first, ...PARTS.filter((p) => !first.includes(p))];
