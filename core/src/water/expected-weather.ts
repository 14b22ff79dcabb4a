import type { WeatherDay } from '../climate/gaps.js';
import type { PlantCase } from '../records/plant-case.js';
import { addDays } from '../units/day.js';

/** A forecast day. */
export interface ForecastWeather extends WeatherDay {
  rainChancePct?: number | null;
  /** rain as forecast, whether it is counted or not, mm */
  mayRainMm?: number;
}

/** Chance from which rain counts, percent (common practice; the plan shows it). */
export const COUNTED_CHANCE_PCT = 60;
const LIKE_THE_LAST_DAYS = 7;

/**
 * Returns the `days` days after `asOf` that the plan assumes: the forecast with the rain that is likely enough, then
 * (or without a forecast) dry days like the last seven. Empty without any weather.
 */
export function expectedWeather(
  c: Pick<PlantCase, 'asOf' | 'records'>,
  forecast: readonly ForecastWeather[],
  days: number,
): ForecastWeather[] {
  const forecastDays = forecast
    .filter((f) => f.date > c.asOf)
    .slice(0, days)
    .map((f) => ({ ...f, mayRainMm: f.rainMm, rainMm: (f.rainChancePct ?? 0) >= COUNTED_CHANCE_PCT ? f.rainMm : 0 }));
  const last = c.records.weather.slice(-LIKE_THE_LAST_DAYS);
  if (last.length === 0) return forecastDays;
  const mean = (key: 'tMinC' | 'tMaxC'): number => last.reduce((sum, w) => sum + w[key], 0) / last.length;
  const newest = forecastDays.at(-1)?.date ?? c.asOf;
  const more = Math.max(0, days - forecastDays.length);
  const usual = Array.from({ length: more }, (_, i) => ({
    date: addDays(newest, i + 1),
    tMinC: mean('tMinC'),
    tMaxC: mean('tMaxC'),
    rainMm: 0,
  }));
  return [...forecastDays, ...usual];
}
