import { median } from '../units/lists.js';

// What gardens nearby have in common, in counts that name nobody.

/** Fewer gardens than this are never counted: a count of few could name one. */
export const LEAST_GARDENS = 5;
/** Side of a region, degrees of latitude: about 55 km, so that no place finer than 50 km shows. */
const REGION_DEG = 0.5;

/** A region: its edges in degrees; the upper ones belong to the next. */
export interface Region {
  south: number;
  north: number;
  west: number;
  east: number;
}

/**
 * Returns the region of a place: the same for all places in it, about as wide as it is high.
 * @example regionOf(50.2, 8.1).south // 50
 */
export function regionOf(latitude: number, longitude: number): Region {
  const south = Math.floor(latitude / REGION_DEG) * REGION_DEG;
  // near the poles a degree of longitude is nothing
  const wide = REGION_DEG / Math.max(0.1, Math.cos(((south + REGION_DEG / 2) * Math.PI) / 180));
  const west = Math.floor(longitude / wide) * wide;
  return { south, north: south + REGION_DEG, west, east: west + wide };
}

/** Something that was found, by the person who keeps the garden: nobody makes up five. */
export interface Counted<K extends string> {
  keeper: string;
  what: K;
}

/**
 * Returns how many people's gardens have each thing, most first; what fewer than five have is left out.
 * @example countGardens([]) // []
 */
export function countGardens<K extends string>(list: readonly Counted<K>[]): { what: K; gardens: number }[] {
  const by = new Map<K, Set<string>>();
  for (const { keeper, what } of list) by.set(what, (by.get(what) ?? new Set()).add(keeper));
  return [...by]
    .map(([what, gardens]) => ({ what, gardens: gardens.size }))
    .filter((c) => c.gardens >= LEAST_GARDENS)
    .sort((a, b) => b.gardens - a.gardens || (a.what < b.what ? -1 : 1));
}

/**
 * Returns the middle of a number that each garden has; null for fewer than five gardens.
 * @example middleOf([1, 2, 3, 4, 10]) // 3
 */
export const middleOf = (perGarden: readonly number[]): number | null =>
  perGarden.length < LEAST_GARDENS ? null : median(perGarden);
