import { DATE_WORDS, type Band } from '@candid-leaf/core/planning';
import { addDays, type Day, daysBetween } from '@candid-leaf/core/units';

/** The five marks of the year's chart. */
export type Mark = 'raise' | 'out' | 'mulch' | 'fruit' | 'last';

const MARK_OF: Record<Band['what'], Mark | null> = {
  sow: 'raise',
  'pot-on': 'raise',
  harden: 'raise',
  'second-sowing': 'raise',
  'plant-out': 'out',
  'last-planting': 'out',
  mulch: 'mulch',
  'first-fruit': 'fruit',
  'last-feed': 'last',
  top: 'last',
  'last-frost': null,
  'first-frost': null,
};
/** Returns the mark of a date; null for frost, which is drawn behind all. */
export const markOf = ({ what }: Pick<Band, 'what'>): Mark | null => MARK_OF[what];

/** Returns the day on which a mark stands: as recorded, or the middle of its uncertain days. */
export const dayOf = (b: Band): Day => b.done ?? addDays(b.from, Math.floor(daysBetween(b.from, b.to) / 2));

/** Days of the desk's year chart per letter of a label, and around one. */
const DAYS_A_LETTER = 2.2;
const AROUND_DAYS = 5;

/**
 * Returns the side on which each mark has its words: where they run into no other mark, nor across today or the end of
 * the chart; null where they fit on neither side and the dates open on a touch.
 */
export function labelSides(bands: readonly Band[], from: Day, to: Day, today: Day | null): ('right' | 'left' | null)[] {
  const at = (day: Day): number => daysBetween(from, day);
  const taken: [number, number][] = bands.map((b) => [at(b.from) - AROUND_DAYS, at(b.to) + AROUND_DAYS]);
  const end = daysBetween(from, to);
  const now = today === null ? null : at(today);
  return bands.map((b, i) => {
    const long = DATE_WORDS[b.what].length * DAYS_A_LETTER;
    const right: [number, number] = [at(b.to) + AROUND_DAYS, at(b.to) + AROUND_DAYS + long];
    const left: [number, number] = [at(b.from) - AROUND_DAYS - long, at(b.from) - AROUND_DAYS];
    const fits = ([a, z]: [number, number]): boolean =>
      a > 0 &&
      z < end &&
      (now === null || z < now || a > now) &&
      taken.every(([x, y], k) => k === i || z <= x || a >= y);
    const side = fits(right) ? 'right' : fits(left) ? 'left' : null;
    if (side) taken.push(side === 'right' ? right : left);
    return side;
  });
}
