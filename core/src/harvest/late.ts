import { USUAL_DEGREE_DAYS } from '../planning/dates.js';
import type { Crop } from '../records/plant.js';
import { addDays, type Day } from '../units/day.js';
import { SET_TO_RIPE } from './ripening.js';

/** The end of a season before frost (handbook, "Late"). */

/** A flower that opens later bears nothing ripe before the first frost, even in usual warmth. */
export const lastFlowersOn = (crop: Crop, firstFrost: Day): Day =>
  addDays(firstFrost, -Math.round(SET_TO_RIPE[crop] / USUAL_DEGREE_DAYS));

/** A week before the day of the usual first frost one begins to bring green fruit in: it may come sooner (judgement). */
const GREEN_IN_BEFORE = 7;
export const greenInOn = (firstFrost: Day): Day => addDays(firstFrost, -GREEN_IN_BEFORE);
