import type { Day } from '../units/day.js';
import type { Formatter } from '../units/formatter.js';
import type { PlannedWatering } from './plan.js';

/**
 * Why a watering of the plan stands on its day, by what is left in its morning: "by the morning of 20 July about 38 % of the water
 * in reach is left: a quarter would be used".
 */
export function whyWatered(next: PlannedWatering, asOf: Day, foreseen: boolean, f: Formatter): string {
  const left = `about ${Math.round(next.left * 100)} % of the water in reach`;
  if (next.date === asOf) return `this morning ${left} was left: ${next.why}`;
  const unless = foreseen ? '' : ', if the days stay as they were';
  return `by the morning of ${f.day(next.date)} ${left} is left${unless}: ${next.why}`;
}
