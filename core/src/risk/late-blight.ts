import type { WeatherDay } from '../climate/gaps.js';
import { type Day, daysBetween } from '../units/day.js';
import { at } from '../units/lists.js';
import { humidHours } from './humid-hours.js';

/**
 * Weather in which late blight spreads. Both rules ask for two days in a row with a minimum of 10 °C or more; they
 * differ in how many hours of 90 % humidity each of the two needs.
 * - Hutton criteria: 6 hours (Dancey, Skelsey & Cooke 2017, James Hutton Institute; from memory)
 * - Smith period: 11 hours (Smith 1956, Plant Pathology 5: 83–87; from memory)
 */
export const BLIGHT_RULES = { hutton: 6, smith: 11 } as const;
/** Code of a rule for late blight. */
export type BlightRule = keyof typeof BLIGHT_RULES;
/** Neither day of a period may be colder than this at night, °C. */
export const LEAST_NIGHT_C = 10;
const HUMID_PCT = 90;

/** Two days in a row that meet a rule. */
export interface BlightPeriod {
  /** the second of its two days: from then on the rule is met */
  on: Day;
  /** humid hours of the first and of the second day */
  hours: [number, number];
}

/**
 * Returns every day that completes a period of a rule, oldest first.
 * @param days outdoor weather, oldest first; a gap breaks a period
 */
export function blightPeriods(days: readonly WeatherDay[], rule: BlightRule): BlightPeriod[] {
  const judged = days.map((w) => ({ w, hours: humidHours(w, HUMID_PCT).hours }));
  const meets = ({ w, hours }: (typeof judged)[number]): boolean =>
    w.tMinC >= LEAST_NIGHT_C && hours >= BLIGHT_RULES[rule];
  return judged.slice(1).flatMap((second, i): BlightPeriod[] => {
    const first = at(judged, i);
    const inRow = daysBetween(first.w.date, second.w.date) === 1;
    return inRow && meets(first) && meets(second) ? [{ on: second.w.date, hours: [first.hours, second.hours] }] : [];
  });
}
