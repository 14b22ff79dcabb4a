import { addDays, type Day } from '../../units/day.js';

/**
 * How strongly a record counts, 0 to 1. The curves are monotone, with one half at the driver's limit. Below the limit
 * they fall with the square, so many small things do not add up to a big one.
 */

/**
 * @param x how much there was,
 * @param half the limit,
 * @param full above this more adds nothing
 */
export function graded(x: number, half: number, full: number): number {
  if (x <= 0) return 0;
  if (x < half) return 0.5 * (x / half) ** 2;
  return Math.min(1, 0.5 + (0.5 * (x - half)) / (full - half));
}

/** Counts a day (or night) at the limit as one, one `soft` short of it as zero, one further out a little more. */
export const overLimit = (value: number, limit: number, soft: number): number =>
  Math.min(1.2, Math.max(0, 1 + (value - limit) / soft)) ** 2;
/**
 * Returns how far a value is below a limit, 0 to 1; one half at the limit.
 * @example underLimit(10, 12, 2) // 1.44
 */
export const underLimit = (value: number, limit: number, soft: number): number => overLimit(-value, -limit, soft);

/** The days back that count for a problem, nearest and farthest. */
interface Window {
  from: number;
  to: number;
}

/**
 * Returns the weight of a day this far back: full within the window, fading over a quarter of its length beyond
 * either end.
 */
export function nearness(back: number, { from, to }: Window): number {
  const fade = Math.max(1, (to - from) / 4);
  if (back < from) return Math.max(0, 1 - (from - back) / fade);
  return back <= to ? 1 : Math.max(0, 1 - (back - to) / fade);
}

/** Returns the first and last day that count at all, seen from a day. */
export function reachOf({ from, to }: Window, asOf: Day): { first: Day; last: Day } {
  const fade = Math.max(1, (to - from) / 4);
  return {
    first: addDays(asOf, 1 - Math.ceil(to + fade)),
    last: addDays(asOf, -Math.max(0, Math.floor(from - fade) + 1)),
  };
}

interface Scored<T> {
  it: T;
  score: number;
}

/** Returns the items that count at all, each with its weight. */
export function scored<T extends { date: Day }>(list: readonly T[], score: (it: T) => number): Scored<T>[] {
  return list.map((it) => ({ it, score: score(it) })).filter((x) => x.score > 0.05);
}
/** Returns the sum of all scores. */
export const sumOf = (list: readonly Scored<unknown>[]): number => list.reduce((sum, x) => sum + x.score, 0);
