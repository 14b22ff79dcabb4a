import { type Day, daysBetween } from './day.js';

/** Days that come back every year, as MM-DD. */
const onYear = (monthDay: string, year: number): Day => `${year}-${monthDay === '02-29' ? '02-28' : monthDay}`;

/**
 * Returns the occurrence of a month-day nearest to `day`.
 * @example nearestTo('2026-12-20', '01-05') // '2027-01-05'
 */
export function nearestTo(day: Day, monthDay: string): Day {
  const year = Number(day.slice(0, 4));
  return [year - 1, year, year + 1]
    .map((y) => onYear(monthDay, y))
    .reduce((a, b) => (Math.abs(daysBetween(day, b)) < Math.abs(daysBetween(day, a)) ? b : a));
}

/**
 * Returns the next occurrence of a month-day on or after `day`.
 * @example nextAfter('2026-11-01', '10-20') // '2027-10-20'
 */
export function nextAfter(day: Day, monthDay: string): Day {
  const year = Number(day.slice(0, 4));
  const now = onYear(monthDay, year);
  return now >= day ? now : onYear(monthDay, year + 1);
}
