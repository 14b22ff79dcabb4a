import { DATE_WORDS, type Band } from '@candid-leaf/core/planning';
import { addDays, type Day } from '@candid-leaf/core/units';

/** Days of the desk's year chart per letter of a label. */
const DAYS_A_LETTER = 2.7;

/** Assigns lanes so bars and labels do not overlap; bands are sorted by first day. */
export function laneOf(bands: readonly Band[]): number[] {
  const free: Day[] = [];
  return bands.map((b) => {
    const words = addDays(b.from, Math.ceil(DATE_WORDS[b.what].length * DAYS_A_LETTER) + 6);
    const end = words > b.to ? words : b.to;
    const lane = free.findIndex((day) => day < b.from);
    if (lane < 0) return free.push(end) - 1;
    free[lane] = end;
    return lane;
  });
}
