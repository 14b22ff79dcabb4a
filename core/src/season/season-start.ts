import { growingYearOf, type SeasonMode } from './growing-year.js';
import { addDays, type Day } from '../units/day.js';

/** However young the season, this many days back still count. */
const LEAST_DAYS_BACK = 150;

/**
 * Returns the first day of the growing season a day belongs to, at least five months back, so a season across New
 * Year is not cut (judgement).
 */
export function seasonStart(day: Day, latitude: number, mode: SeasonMode = 'warm'): Day {
  const turn = growingYearOf(day, latitude, mode).from;
  const back = addDays(day, -LEAST_DAYS_BACK);
  return turn < back ? turn : back;
}
