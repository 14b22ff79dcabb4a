import type { WeatherDay } from '../climate/gaps.js';
import { isSheet } from '../records/choices.js';
import type { Day } from '../units/day.js';
import { roundTo } from '../units/rounding.js';

/**
 * The soil follows the air with a delay: the eleven-day running mean of the air stands for the soil at 10 cm (after
 * Zheng, Hunt & Running 1993, Climate Research 2: 183–191; their daily model is off by 1.3 to 2.9 °C, from memory).
 */
const SOIL_MEAN_DAYS = 11;
/** Possible error, °C: bare soil in the sun is warmer, wet and mulched soil colder. */
export const SOIL_ERROR_C = 2.5;
const LEAST_DAYS = 5;

/**
 * What a cover of the soil adds at finger depth, K: dark sheets warm it, white ones and loose mulch keep it cooler (Penn
 * State Extension on plastic mulch: dark about 3 K warmer, white about 1 K cooler at 5 cm; straw and the share for woven
 * fabric from memory).
 */
export const DARK_FABRIC_WARMS_K = 2.5;
const BY_MULCH: Readonly<Record<string, number>> = {
  'dark-fabric': DARK_FABRIC_WARMS_K,
  'white-fabric': -1,
  paper: -0.5,
};
const LOOSE_MULCH_K = -2;
/** Loose mulch of this depth and more cools fully, mm; less of it in proportion (judgement). */
const FULL_MM = 50;

/**
 * Returns °C at finger depth on a day; null with fewer than five days of weather in the eleven before.
 * @param mulch what lies there
 */
export function soilWarmth(
  weather: readonly WeatherDay[],
  on: Day,
  mulch?: { kind?: string | null; depthMm: number },
): { celsius: number; error: number } | null {
  const days = weather.filter((w) => w.date <= on).slice(-SOIL_MEAN_DAYS);
  if (days.length < LEAST_DAYS) return null;
  const mean = days.reduce((t, w) => t + (w.tMinC + w.tMaxC) / 2, 0) / days.length;
  const covered = mulch && (mulch.depthMm > 0 || isSheet(mulch.kind));
  const warmer = covered
    ? (BY_MULCH[mulch.kind ?? ''] ?? (isSheet(mulch.kind) ? 0 : LOOSE_MULCH_K * Math.min(1, mulch.depthMm / FULL_MM)))
    : 0;
  return { celsius: roundTo(mean + warmer, 1), error: SOIL_ERROR_C };
}
