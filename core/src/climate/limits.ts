import type { Crop } from '../records/plant.js';

/**
 * Temperatures at which a tomato or pepper fails, °C. Drivers, heat and frost plans and the timeline all use these.
 * Source: common practice, from memory.
 */

/** Feed, sprays and hard pruning do harm from this temperature, °C (common practice: 30 °C at the hour of spraying). */
export const TOO_HOT_FOR_CARE_C = 30;
/** A day this warm is hot: flowers begin to fail, °C. */
export const HOT_DAY_C = 32;
/** Nights warmer than this spoil flowers, °C. */
export const WARM_NIGHT_C: Record<Crop, number> = { tomato: 21, pepper: 24 };
/** Nights colder than this set fruit poorly, °C. */
export const COLD_NIGHT_C: Record<Crop, number> = { tomato: 13, pepper: 15 };
/**
 * Degrees by which the mean of a night lies above its coldest hour (judgement: the hourly course of `hourlyC` between 22 and
 * 6 o'clock, with a swing of 10 to 12 °C).
 */
export const NIGHT_MEAN_ABOVE_LOW_C = 2;
/** Nights below this stop growth and leaf colour, °C. */
export const CHILL_NIGHT_C = 10;
/** A single day this hot is dangerous by itself, °C. */
export const SCORCHING_DAY_C = 38;
/**
 * A screen minimum (2 m up) at or below this may bring ground frost, °C; the second value is for hollows and new
 * plants.
 */
export const SCREEN_FROST_C = 3;
/** Degrees by which a hollow is colder than its surroundings on a clear, still night, °C. */
export const HOLLOW_FROST_C = 5;
/**
 * Degrees by which single film or glass without heat is warmer at night, °C: one to two, and less on a clear, still night
 * (extension guides on high tunnels, from memory).
 */
export const FILM_KEEPS_C = 1.5;
/** Down to this outdoor minimum fleece saves a plant in the open, °C (a double fleece keeps 2 to 4 °C; common practice). */
export const COVER_SAVES_TO_C = -3;
/** From this outdoor minimum on no cover saves the crop, °C: everything is picked. */
export const NOTHING_SAVES_C = -4;
/** Daily mean wind that tears leaves, m/s. */
export const STRONG_WIND_MS = 8;
