import type { Crop } from '../records/plant.js';

/**
 * Warmth at which a tomato or a pepper fails, °C. Drivers, the heat and frost plans and the timeline go by these.
 * Source: handbook ("Heat and cold"), common practice from memory.
 */

/** From this warmth on feed, sprays and hard cuts do harm (handbook: 30 °C at the hour of spraying). */
export const TOO_HOT_FOR_CARE_C = 30;
/** A day this warm is hot: flowers begin to fail. */
export const HOT_DAY_C = 32;
/** A night warmer than this spoils flowers. */
export const WARM_NIGHT_C: Record<Crop, number> = { tomato: 21, pepper: 24 };
/** A night colder than this sets fruit badly. */
export const COLD_NIGHT_C: Record<Crop, number> = { tomato: 13, pepper: 15 };
/** Under this by night growth and leaf colour stop. */
export const CHILL_NIGHT_C = 10;
/** A single day this warm is dangerous by itself. */
export const SCORCHING_DAY_C = 38;
/** A night at or under this on the screen, 2 m up, may bring frost to the ground; in a hollow or on plants just set out, under this. */
export const SCREEN_FROST_C = 3;
export const HOLLOW_FROST_C = 5;
/** Under film or glass frost comes in from this outdoor minimum on. */
export const TUNNEL_FROST_C = -1;
/** Wind of a day's mean that tears leaves, m/s. */
export const STRONG_WIND_MS = 8;
