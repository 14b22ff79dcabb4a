import type { Day } from '../units/day.js';

/** One truss as counted: open or faded flowers, and fruit set. */
export interface TrussSeen {
  date: Day;
  truss: number;
  flowers: number;
  fruit: number;
}

/**
 * Returns the share of flowers that set, 0 to 1; null if none were counted.
 * @example shareSet({ flowers: 8, fruit: 6 }) // 0.4286
 */
export const shareSet = (t: Pick<TrussSeen, 'flowers' | 'fruit'>): number | null =>
  t.flowers + t.fruit > 0 ? t.fruit / (t.flowers + t.fruit) : null;

/** Returns each truss by its newest count, from below, and the total. */
export function setByTruss(counts: readonly TrussSeen[]): { trusses: TrussSeen[]; share: number | null } {
  const newest = new Map<number, TrussSeen>();
  for (const c of [...counts].sort((a, b) => (a.date < b.date ? -1 : 1))) newest.set(c.truss, c);
  const trusses = [...newest.values()].sort((a, b) => a.truss - b.truss);
  const sum = trusses.reduce((s, t) => ({ flowers: s.flowers + t.flowers, fruit: s.fruit + t.fruit }), {
    flowers: 0,
    fruit: 0,
  });
  return { trusses, share: shareSet(sum) };
}
