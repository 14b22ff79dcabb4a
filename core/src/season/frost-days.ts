import type { GardenFacts } from '../records/facts.js';
import { addDays, type Day, daysBetween } from '../units/day.js';
import { nearestTo, nextAfter } from '../units/month-day.js';

/**
 * A garden's frost days, in its own hemisphere. Month-days recur every year: the last frost of spring is the one
 * nearest to a day, the first of autumn the next one ahead.
 */

/** Days before the usual last frost in which a planting is early; months away it belongs to another season. */
const EARLY_WITHIN_DAYS = 75;

/**
 * Returns whether a plant was set out before the last frost of its spring.
 * @example plantedBeforeLastFrost({ lastFrost: '05-15' }, '2026-05-01') // true
 */
export function plantedBeforeLastFrost({ lastFrost }: Pick<GardenFacts, 'lastFrost'>, planted: Day): boolean {
  if (!lastFrost) return false;
  const ahead = daysBetween(planted, nearestTo(planted, lastFrost));
  return ahead > 0 && ahead <= EARLY_WITHIN_DAYS;
}

/** End of the warm season without a known frost date, by hemisphere (judgement). */
const USUAL_END = { north: '11-01', south: '05-01' } as const;
/** After this year's first frost by this many days, post-season work starts. */
const AFTER_FROST_DAYS = 14;

/**
 * Returns when the season of a day ends: the garden's first frost; without one the usual end for its hemisphere, and
 * within 15 degrees of the equator, where seasons follow each other, six months on.
 */
export function seasonEnd(garden: Pick<GardenFacts, 'latitude' | 'firstFrost'>, day: Day): Day {
  if (!garden.firstFrost && Math.abs(garden.latitude) < 15) return addDays(day, 180);
  const end = nextAfter(day, garden.firstFrost ?? USUAL_END[garden.latitude < 0 ? 'south' : 'north']);
  const ahead = daysBetween(day, end);
  return ahead === 0 || ahead > 300 ? addDays(day, AFTER_FROST_DAYS) : end;
}
