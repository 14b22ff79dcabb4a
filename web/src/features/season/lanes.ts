import { DATE_WORDS, type Band } from '@candid-leaf/core/planning';
import { addDays, type Day } from '@candid-leaf/core/units';

/** A letter of a label is as wide as so many days on a desk's year. */
const DAYS_A_LETTER = 2.7;

/** In which lane each band stands, so that neither bars nor their words lie on each other; the bands come by their first day. */
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
