import type { WeatherDay } from '../climate/gaps.js';
import type { PlantCase } from '../records/plant-case.js';
import { addDays } from '../units/day.js';

export interface ForecastWeather extends WeatherDay {
  rainChancePct?: number | null;
}

/** Rain is counted on from this chance, percent (handbook; the plan says so on screen). */
export const COUNTED_CHANCE_PCT = 60;
const LIKE_THE_LAST_DAYS = 7;

/**
 * The `days` days after `asOf` as they are reckoned with: the forecast with the rain that is likely enough, and after it
 * (or without one) dry days like the last seven. Empty without any weather at all.
 */
export function expectedWeather(
  c: Pick<PlantCase, 'asOf' | 'records'>,
  forecast: readonly ForecastWeather[],
  days: number,
): WeatherDay[] {
  const foreseen = forecast
    .filter((f) => f.date > c.asOf)
    .slice(0, days)
    .map((f) => ((f.rainChancePct ?? 0) >= COUNTED_CHANCE_PCT ? f : { ...f, rainMm: 0 }));
  const last = c.records.weather.slice(-LIKE_THE_LAST_DAYS);
  if (last.length === 0) return foreseen;
  const mean = (key: 'tMinC' | 'tMaxC'): number => last.reduce((sum, w) => sum + w[key], 0) / last.length;
  const newest = foreseen.at(-1)?.date ?? c.asOf;
  const more = Math.max(0, days - foreseen.length);
  const usual = Array.from({ length: more }, (_, i) => ({
    date: addDays(newest, i + 1),
    tMinC: mean('tMinC'),
    tMaxC: mean('tMaxC'),
    rainMm: 0,
  }));
  return [...foreseen, ...usual];
}
