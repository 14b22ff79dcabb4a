import { addDays, type Day } from '../units/day.js';

/** Small steps between sowing and potting on, each once (handbook: light close, fan on, warmth; thin to the stronger by snipping). */

/** The first stand after about a week, in warmth (common practice). */
const UP_DAYS = 6;
/** 2 to 3 cm tall, and the first true leaf begins (handbook: thin at 2 to 3 cm). */
const THIN_DAYS = 14;

export const lightOn = (sownOn: Day): Day => addDays(sownOn, UP_DAYS);
export const thinOn = (sownOn: Day): Day => addDays(sownOn, THIN_DAYS);
