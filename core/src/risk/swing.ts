import type { CaseContext } from '../diagnosis/context.js';
import type { Day } from '../units/day.js';
import { at } from '../units/lists.js';

/** A smaller rise of the share left is normal watering (judgement). */
const LEAST_RISE = 0.2;

/** Returns the day, from today on, on which the water in the soil jumps most; null if it stays even. */
export function dayWithSwing(ahead: readonly CaseContext[], today: Day): Day | null {
  const last = ahead.at(-1);
  if (!last) return null;
  const { days } = last.balance;
  let most: { day: Day | null; rise: number } = { day: null, rise: LEAST_RISE };
  for (let i = 1; i < days.length; i++) {
    const day = at(days, i);
    if (day.date < today) continue;
    const rise = day.fractionAvailable - at(days, i - 1).fractionAvailable;
    if (rise >= most.rise) most = { day: day.date, rise };
  }
  return most.day;
}
