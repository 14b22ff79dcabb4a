import type { GardenFacts } from '../records/facts.js';
import { addDays, type Day, daysBetween } from '../units/day.js';

/**
 * A garden's own frost days, in its own hemisphere. Month-days come round every year: the last frost of spring is the one nearest
 * to a day, the first of autumn the next one ahead.
 */

const onYear = (monthDay: string, year: number): Day => `${year}-${monthDay === '02-29' ? '02-28' : monthDay}`;

/** The occurrence of a month-day that lies nearest to `day`. */
export function nearestTo(day: Day, monthDay: string): Day {
  const year = Number(day.slice(0, 4));
  return [year - 1, year, year + 1]
    .map((y) => onYear(monthDay, y))
    .reduce((a, b) => (Math.abs(daysBetween(day, b)) < Math.abs(daysBetween(day, a)) ? b : a));
}

/** The next occurrence of a month-day on or after `day`. */
export function nextAfter(day: Day, monthDay: string): Day {
  const year = Number(day.slice(0, 4));
  const now = onYear(monthDay, year);
  return now >= day ? now : onYear(monthDay, year + 1);
}

/** So near to the usual last frost, before it, a planting is early; a planting months away from it belongs to another season. */
const EARLY_WITHIN_DAYS = 75;

export function plantedBeforeLastFrost({ lastFrost }: Pick<GardenFacts, 'lastFrost'>, planted: Day): boolean {
  if (!lastFrost) return false;
  const ahead = daysBetween(planted, nearestTo(planted, lastFrost));
  return ahead > 0 && ahead <= EARLY_WITHIN_DAYS;
}

/** Where no frost day is known: the end of the warm season, by hemisphere (judgement). */
const USUAL_END = { north: '11-01', south: '05-01' } as const;
/** Past this year's first frost the work of after the season is near. */
const AFTER_FROST_DAYS = 14;

/**
 * When the season of a day ends: the garden's first frost; without one (or where there is none) the usual end of its hemisphere, and
 * on the equator's side of 15 degrees, where one season follows the other, six months on.
 */
export function seasonEnd(garden: Pick<GardenFacts, 'latitude' | 'firstFrost'>, day: Day): Day {
  if (!garden.firstFrost && Math.abs(garden.latitude) < 15) return addDays(day, 180);
  const end = nextAfter(day, garden.firstFrost ?? USUAL_END[garden.latitude < 0 ? 'south' : 'north']);
  const ahead = daysBetween(day, end);
  return ahead === 0 || ahead > 300 ? addDays(day, AFTER_FROST_DAYS) : end;
}
