import type { Feeding } from '../records/record-classes.js';
import { type Day, daysBetween } from '../units/day.js';
import { nitrogenGrams } from './feeding.js';

/**
 * Nitrogen released by a feed up to a day. Dissolved or granular feeds release at once; organic ones over months, and
 * compost or manure only part of it in a season.
 */

interface ProductKind {
  /** found in the product's name */
  named: RegExp;
  /** share of its nitrogen available in one season, released evenly over this many days */
  share: number;
  days: number;
}

/**
 * Shares after extension teaching on plant-available nitrogen (Gale et al. 2006, Journal of Environmental Quality 35: finished
 * composts about 0 to 15 %, meals 60 to 75 % in a season; manures 20 to 40 %; from memory); spans are judgement.
 */
const SLOW_KINDS: readonly ProductKind[] = [
  { named: /worm|vermi/i, share: 0.2, days: 90 },
  { named: /compost|leaf ?mou?ld|humus/i, share: 0.12, days: 120 },
  { named: /manure|dung|muck/i, share: 0.3, days: 100 },
  { named: /blood|feather|fish meal|hoof|horn|meal|pellet|wool|soy|alfalfa|lucerne|cake/i, share: 0.65, days: 60 },
  { named: /slow|coated|controlled|organic/i, share: 0.8, days: 90 },
];
/** An amendment with no other information counts as compost. */
const AMENDMENT: Omit<ProductKind, 'named'> = { share: 0.12, days: 120 };
/** Granules dissolve within a few days; liquids act at once. */
const AT_ONCE: Omit<ProductKind, 'named'> = { share: 1, days: 0 };

const kindOf = (f: Pick<Feeding, 'product' | 'form'>): Omit<ProductKind, 'named'> => {
  const byName = SLOW_KINDS.find((k) => k.named.test(f.product ?? ''));
  if (byName && f.form !== 'liquid' && f.form !== 'foliar') return byName;
  return f.form === 'amendment' ? AMENDMENT : AT_ONCE;
};

/**
 * True if its nitrogen is released slowly.
 * @example isSlow({ product: 'Compost', form: 'amendment' }) // true
 */
export const isSlow = (f: Pick<Feeding, 'product' | 'form'>): boolean => kindOf(f).days > 0;

/** Adds what a feed releases to each of the days from `from` on, g. The same as `nitrogenFreedG` day by day, in one pass. */
export function addFreedByDay(f: Parameters<typeof nitrogenFreedG>[0], from: Day, perDay: number[]): void {
  const { share, days } = kindOf(f);
  const all = nitrogenGrams(f) * share;
  const first = daysBetween(from, f.date);
  const add = (i: number, grams: number): void => {
    const before = perDay[i];
    if (before !== undefined) perDay[i] = before + grams;
  };
  if (days === 0) add(first, all);
  else for (let i = 1; i <= days; i++) add(first + i, all / days);
}

/** Returns the grams of nitrogen a feed releases between two days, excluding the first. */
export function nitrogenFreedG(
  f: Pick<Feeding, 'date' | 'product' | 'form' | 'n' | 'grams'>,
  after: Day,
  until: Day,
): number {
  const { share, days } = kindOf(f);
  const all = nitrogenGrams(f) * share;
  if (days === 0) return f.date > after && f.date <= until ? all : 0;
  const by = (day: Day): number => Math.min(1, Math.max(0, daysBetween(f.date, day) / days));
  return all * (by(until) - by(after));
}
