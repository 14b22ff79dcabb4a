import { addDays, type Day } from '../units/day.js';

/** However young the season, so many days back still belong to what one looks at. */
const LEAST_DAYS_BACK = 150;

/**
 * First day of the growing season that a day belongs to: the turn of the year in the north, mid-year in the south, and never less
 * than five months back, so that a season over New Year is not cut (judgement).
 */
export function seasonStart(day: Day, latitude: number): Day {
  const year = Number(day.slice(0, 4));
  const turn =
    latitude >= 0 ? `${year}-01-01` : day.slice(5) >= '07-01' ? `${year}-07-01` : `${String(year - 1)}-07-01`;
  const back = addDays(day, -LEAST_DAYS_BACK);
  return turn < back ? turn : back;
}
