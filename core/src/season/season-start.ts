import { growingYearOf, type SeasonMode } from './growing-year.js';
import { addDays, type Day } from '../units/day.js';

/** However young the season, so many days back still belong to what one looks at. */
const LEAST_DAYS_BACK = 150;

/**
 * First day of the growing season that a day belongs to, and never less
 * than five months back, so that a season over New Year is not cut (judgement).
 */
export function seasonStart(day: Day, latitude: number, mode: SeasonMode = 'warm'): Day {
  const turn = growingYearOf(day, latitude, mode).from;
  const back = addDays(day, -LEAST_DAYS_BACK);
  return turn < back ? turn : back;
}
