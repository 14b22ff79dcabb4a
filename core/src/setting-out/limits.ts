import type { Crop } from '../records/plant.js';

/** Warmth that a plant needs outside, °C. Source: handbook ("Plant out": soil 16, nights 10 to 13, days 18 to 21; the warmer ends for peppers). */
export const SOIL_FROM_C = 16;
export const NIGHT_FROM_C: Record<Crop, number> = { tomato: 10, pepper: 13 };
export const DAY_FROM_C: Record<Crop, number> = { tomato: 18, pepper: 21 };
/** Mulch keeps a soil as it is: it is laid from here on, °C (judgement: two degrees above what a root asks for). */
export const SOIL_MULCH_C = 18;
/** Under a fleece or a cloche it may be so much colder by night (judgement: a double fleece keeps 2 to 4 °C). */
export const FLEECE_KEEPS_C = 3;
/** Hardening off pauses under this by night, and in such wind (handbook: 10 °C, strong wind). */
export const HARDEN_NIGHT_C = 10;
/** Nights are looked at so far ahead (handbook: a week of forecast). */
export const WEEK_DAYS = 7;
