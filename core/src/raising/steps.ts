import { addDays, type Day } from '../units/day.js';

/**
 * Small steps between sowing and potting on, each once (common practice: light close, fan on, warmth; thin by
 * snipping the weaker).
 */

/** The first are up after about a week in warmth, days (common practice). */
const UP_DAYS = 6;
/** 2 to 3 cm tall, at the first true leaf, days (common practice). */
const THIN_DAYS = 14;

/**
 * Returns the day on which seedlings need light.
 * @example lightOn('2026-03-01') // '2026-03-07'
 */
export const lightOn = (sownOn: Day): Day => addDays(sownOn, UP_DAYS);
/**
 * Days after sowing on which the light has long been seen to, and on which seedlings are too large to thin (judgement:
 * three and six weeks). A step that nobody answered by then is overtaken.
 */
export const OVERTAKEN_DAYS = { light: 21, thin: 42 } as const;
/**
 * Returns the day on which to thin seedlings.
 * @example thinOn('2026-03-01') // '2026-03-15'
 */
export const thinOn = (sownOn: Day): Day => addDays(sownOn, THIN_DAYS);
