import type { Day } from '../units/day.js';
import type { Formatter } from '../units/formatter.js';
import type { PlannedWatering } from './plan.js';

/** Why a watering of the plan stands on its day: "by 20 July about 38 % of the water in reach is left: a quarter would be used". */
export function whyWatered(next: PlannedWatering, asOf: Day, foreseen: boolean, f: Formatter): string {
  const when = next.date === asOf ? 'about' : `by ${f.day(next.date)} about`;
  const unless = foreseen ? '' : ', if the days stay as they were';
  return `${when} ${Math.round(next.left * 100)} % of the water in reach is left${unless}: ${next.why}`;
}
