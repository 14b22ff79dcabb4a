import { USUAL_DEGREE_DAYS } from '../climate/degree-days.js';
import type { Crop } from '../records/plant.js';
import { addDays, type Day } from '../units/day.js';
import { SET_TO_RIPE } from './ripening.js';

// The end of the season before frost (common practice).

/**
 * Returns the last day on which a flower can still ripen fruit before the first frost, in usual weather.
 * @example lastFlowersOn('tomato', '2026-10-20') // '2026-08-31'
 */
export const lastFlowersOn = (crop: Crop, firstFrost: Day): Day =>
  addDays(firstFrost, -Math.round(SET_TO_RIPE[crop] / USUAL_DEGREE_DAYS));

/** Days before the usual first frost to start bringing green fruit in: it may come early (judgement). */
const GREEN_IN_BEFORE = 7;
/**
 * Returns the day to bring in green fruit, before the first frost.
 * @example greenInOn('2026-10-20') // '2026-10-13'
 */
export const greenInOn = (firstFrost: Day): Day => addDays(firstFrost, -GREEN_IN_BEFORE);
