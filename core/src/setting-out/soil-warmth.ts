import type { WeatherDay } from '../climate/gaps.js';
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

/** Returns °C at finger depth on a day; null with fewer than five days of weather in the eleven before. */
export function soilWarmth(weather: readonly WeatherDay[], on: Day): { celsius: number; error: number } | null {
  const days = weather.filter((w) => w.date <= on).slice(-SOIL_MEAN_DAYS);
  if (days.length < LEAST_DAYS) return null;
  const mean = days.reduce((t, w) => t + (w.tMinC + w.tMaxC) / 2, 0) / days.length;
  return { celsius: roundTo(mean, 1), error: SOIL_ERROR_C };
}
