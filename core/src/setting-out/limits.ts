import type { Crop } from '../records/plant.js';

/**
 * Temperatures a plant needs outside, °C. Source: common practice (soil 16, nights 10 to 13, days 18 to 21; the
 * warmer ends for peppers).
 */
export const SOIL_FROM_C = 16;
/** Lowest night for planting out, °C: tomatoes stand still below 12 (extension guides: 10 to 13). */
export const NIGHT_FROM_C: Record<Crop, number> = { tomato: 12, pepper: 13 };
/** From this day maximum on, plants go out in the evening and under shade cloth, °C (common practice: 32 to 35). */
export const PLANT_IN_EVENING_FROM_C = 33;
/** Lowest day for planting out, °C. */
export const DAY_FROM_C: Record<Crop, number> = { tomato: 18, pepper: 21 };
/**
 * Mulch keeps soil as it is, so it is laid from this temperature on, °C (judgement: two degrees above what roots
 * need).
 */
export const SOIL_MULCH_C = 18;
/** Cold that fleece or a cloche can offset at night, °C (judgement: a double fleece keeps 2 to 4 °C). */
export const FLEECE_KEEPS_C = 3;
/** Hardening off pauses where it is colder than this while the plants are outside, °C (common practice). */
export const HARDEN_FROM_C = 10;
/** Days ahead to check nights (common practice: a week of forecast). */
export const WEEK_DAYS = 7;
