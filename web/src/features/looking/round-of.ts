import type { GardenView, TaskDto } from '@candid-leaf/contract';
import { PARTS, type Part } from '@candid-leaf/core/records';

/** Returns the walk due for a bed today, if any. */
export const roundOf = (view: GardenView | undefined, placeId: string): TaskDto['round'] =>
  view?.today.find((t) => t.placeId === placeId && t.round)?.round;

/** Returns the parts in the order to check: the reason for the walk first, then from the soil up. */
export const inOrder = (first: readonly Part[] = []): Part[] => [...first, ...PARTS.filter((p) => !first.includes(p))];
