/** Volume of material to spread: litres, bags and barrow-loads. */
export interface Volume {
  litres: number;
  bags: number;
  barrows: number;
}
/** A usual barrow, heaped no higher than you can push (common practice), L. */
const BARROW_L = 80;

/** @param depthCm as laid, before it settles */
export function layer(areaM2: number, depthCm: number, bagL: number): Volume {
  const litres = areaM2 * depthCm * 10;
  return { litres, bags: Math.ceil(litres / bagL - 1e-9), barrows: Math.ceil((litres / BARROW_L) * 2 - 1e-9) / 2 };
}

/** Drainage of a hole filled twice: mm per hour, and what that means (common practice, from memory). */
export type Percolation = 'stands' | 'slow' | 'good' | 'fast';
/**
 * Returns how well water sinks in, from mm an hour in a dug hole.
 * @example percolationOf(10) // 'slow'
 */
export const percolationOf = (mmPerH: number): Percolation =>
  mmPerH < 5 ? 'stands' : mmPerH < 25 ? 'slow' : mmPerH <= 100 ? 'good' : 'fast';
/**
 * Returns the rate from how far the water fell, and in how long.
 * @example percolationRate(5, 30) // 100
 */
export const percolationRate = (fellCm: number, minutes: number): number => (fellCm * 10 * 60) / minutes;
