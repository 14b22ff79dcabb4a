import type { WeatherDay } from '../climate/gaps.js';
import type { Day } from '../units/day.js';
import { humidHours } from './humid-hours.js';

/**
 * Grey mould under cover: its spores need about six hours of wet leaves or of air above 93 % at 10 to 25 °C, best at 15
 * to 20 °C (extension guides on greenhouse tomatoes, from memory). Two such days in a row count, as one alone is usual
 * (judgement).
 */
export const MOULD = { humidPct: 93, hours: 6, fromC: 10, toC: 25 } as const;

/** Returns whether a day lets grey mould infect. Where nobody measured the humidity: no, as it is only guessed. */
export function isMouldDay(w: WeatherDay): boolean {
  const { hours, meanC, guessed } = humidHours(w, MOULD.humidPct);
  return !guessed && hours >= MOULD.hours && meanC !== null && meanC >= MOULD.fromC && meanC <= MOULD.toC;
}

/**
 * Returns the day that completes two in a row, if it comes after `today`; null if none does, or if one has come in the
 * days before already.
 */
export function mouldDue(days: readonly WeatherDay[], today: Day): Day | null {
  const hit = days.findIndex((w, i) => i > 0 && isMouldDay(w) && isMouldDay(days[i - 1]!));
  const on = days[hit]?.date;
  return on && on > today ? on : null;
}
