import { addDays, type Day } from '../units/day.js';

// The end of the season before frost (common practice).

/** Days before the usual first frost to start bringing green fruit in: it may come early (judgement). */
const GREEN_IN_BEFORE = 7;
/**
 * Returns the day to bring in green fruit, before the first frost.
 * @example greenInOn('2026-10-20') // '2026-10-13'
 */
export const greenInOn = (firstFrost: Day): Day => addDays(firstFrost, -GREEN_IN_BEFORE);
