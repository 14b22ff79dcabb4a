import { addDays, type Day } from '../../units/day.js';

/**
 * How strongly a record speaks, 0 to 1. Curves are monotone; the limit at which a driver used to be on or off stands at one half.
 * Below the limit they fall with the square, so that many small things do not add up to a great one.
 */

/** @param x how much there was, @param half the limit, @param full from where on more tells no more */
export function graded(x: number, half: number, full: number): number {
  if (x <= 0) return 0;
  if (x < half) return 0.5 * (x / half) ** 2;
  return Math.min(1, 0.5 + (0.5 * (x - half)) / (full - half));
}

/** A day (or night) at the limit counts as one, one `soft` short of it not at all, one further out a little more. */
export const overLimit = (value: number, limit: number, soft: number): number =>
  Math.min(1.2, Math.max(0, 1 + (value - limit) / soft)) ** 2;
export const underLimit = (value: number, limit: number, soft: number): number => overLimit(-value, -limit, soft);

/** The days back that count for a trouble, nearest and farthest. */
export interface Window {
  from: number;
  to: number;
}

/** How much a day so far back counts: in full within the window, fading over a quarter of its length beyond either end. */
export function nearness(back: number, { from, to }: Window): number {
  const fade = Math.max(1, (to - from) / 4);
  if (back < from) return Math.max(0, 1 - (from - back) / fade);
  return back <= to ? 1 : Math.max(0, 1 - (back - to) / fade);
}

/** The days that count at all, seen from a day: the first and the last of them. */
export function reachOf({ from, to }: Window, asOf: Day): { first: Day; last: Day } {
  const fade = Math.max(1, (to - from) / 4);
  return {
    first: addDays(asOf, 1 - Math.ceil(to + fade)),
    last: addDays(asOf, -Math.max(0, Math.floor(from - fade) + 1)),
  };
}

export interface Scored<T> {
  it: T;
  score: number;
}

/** Those that count at all, each with its score. */
export function scored<T extends { date: Day }>(list: readonly T[], score: (it: T) => number): Scored<T>[] {
  return list.map((it) => ({ it, score: score(it) })).filter((x) => x.score > 0.05);
}
export const sumOf = (list: readonly Scored<unknown>[]): number => list.reduce((sum, x) => sum + x.score, 0);
