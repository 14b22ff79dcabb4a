import type { GardenView, TaskDto } from '@candid-leaf/contract';
import { PARTS, type Part } from '@candid-leaf/core/records';

/** The round that is asked for along a place today, if any. */
export const roundOf = (view: GardenView | undefined, placeId: string): TaskDto['round'] =>
  view?.today.find((t) => t.placeId === placeId && t.round)?.round;

/** The parts of a plant in the order to look at them: what the round is for first, then the rest from the soil up. */
export const inOrder = (first: readonly Part[] = []): Part[] => [...first, ...PARTS.filter((p) => !first.includes(p))];
