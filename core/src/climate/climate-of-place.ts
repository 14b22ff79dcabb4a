import type { WeatherDay } from './gaps.js';
import { monthlyRainShares } from './rain-seasons.js';
import type { ClimateTable } from './weather-generator.js';
import { at } from '../units/lists.js';

/** Recorded days of a month needed to know how often it rains in it. */
const OWN_MONTH_DAYS = 40;

/** Europe west of this is open to the ocean's mild winters and cool summers, °E. */
const OCEAN_UNTIL = -1;
const EUROPE = { from: -12, to: 30, north: 40 } as const;

/**
 * Returns how much warmer Europe is than its latitude, and how much evener its year, °C: the Atlantic warms it by about half a
 * degree for each degree of latitude north of 40 (fitted to the usual means of Dublin 9.8, Milan 13 and Oslo 6.5 °C).
 */
function gulfStream(latitude: number, longitude: number | null): { warmerC: number; evenerC: number } {
  if (longitude === null || latitude < EUROPE.north || longitude < EUROPE.from || longitude > EUROPE.to)
    return { warmerC: 0, evenerC: 0 };
  return {
    warmerC: 0.5 * (latitude - EUROPE.north),
    evenerC: longitude < OCEAN_UNTIL ? 0.14 * latitude : 0.35 * Math.max(0, latitude - 48),
  };
}

/** A garden as far as its climate depends on it. */
export interface ClimateGarden {
  latitude: number;
  longitude?: number | null;
  elevationM?: number | null;
  /** from ten years of days, where a weather service gave them */
  climate?: ClimateTable | null;
}

/** Returns the usual climate of a garden: measured over years if known, else the rough one for its place. */
export const climateOfGarden = (garden: ClimateGarden, recorded: readonly WeatherDay[]): ClimateTable =>
  garden.climate ?? climateOfPlace(garden.latitude, garden.elevationM ?? 0, recorded, garden.longitude ?? null);

/**
 * Returns a rough climate for coordinates, for simulated years: means by latitude and height, shifted to fit recorded
 * weather. Judgement after the usual zonal means (from memory): 27 °C at the equator falling with the square of the
 * latitude, 6.5 °C less per 1,000 m, a yearly swing that grows with latitude; wet and dry seasons from
 * `rain-seasons.ts`.
 */
export function climateOfPlace(
  latitude: number,
  elevationM: number,
  recorded: readonly WeatherDay[],
  longitude: number | null = null,
): ClimateTable {
  const lat = Math.abs(latitude);
  const gulf = gulfStream(latitude, longitude);
  const yearly = 27 - 0.0085 * lat ** 2 - (6.5 * elevationM) / 1000 + gulf.warmerC;
  const swing = 0.25 * lat - gulf.evenerC;
  const warmest = latitude >= 0 ? 6.5 : 0.5; // late July, late January
  const meanOf = (month: number): number => yearly + swing * Math.cos(((month - warmest) / 12) * 2 * Math.PI);
  const byMonth = Array.from({ length: 12 }, (_, m) => recorded.filter((w) => Number(w.date.slice(5, 7)) === m + 1));
  // how much warmer the recorded days were than the estimate, and how wide their range
  const known = byMonth.flatMap((days, m) => days.map((w) => (w.tMinC + w.tMaxC) / 2 - meanOf(m)));
  const warmer = known.length >= 20 ? known.reduce((a, b) => a + b, 0) / known.length : 0;
  const ranges = recorded.map((w) => w.tMaxC - w.tMinC);
  const range = ranges.length >= 20 ? ranges.reduce((a, b) => a + b, 0) / ranges.length : 10;
  const wet = recorded.filter((w) => w.rainMm > 0);
  const perWetDay = wet.length >= 8 ? wet.reduce((sum, w) => sum + w.rainMm, 0) / wet.length : 7;
  const usual = monthlyRainShares(latitude, longitude);
  // how much wetter or drier the recorded days were than the table says for their months
  const expected = byMonth.reduce((sum, days, m) => sum + days.length * at(usual, m), 0);
  const wetter = recorded.length >= 60 ? wet.length / Math.max(1, expected) : 1;
  const shareOf = (month: number): number => {
    const own = at(byMonth, month);
    // use the garden's own records for a month that has enough of them
    const ownShare = own.length >= OWN_MONTH_DAYS ? own.filter((w) => w.rainMm > 0).length / own.length : null;
    return Math.min(0.7, Math.max(0.01, ownShare ?? at(usual, month) * Math.min(2, Math.max(0.4, wetter))));
  };
  return Array.from({ length: 12 }, (_, m) => {
    const mean = meanOf(m) + warmer;
    const share = shareOf(m);
    // a wet day is about twice as likely after a wet one (Richardson 1981, typical)
    const wetAfterWet = Math.min(0.85, share + 0.25 * (1 - share));
    const wetAfterDry = Math.min(0.8, (share * (1 - wetAfterWet)) / (1 - share));
    return {
      tMinC: mean - range / 2,
      tMaxC: mean + range / 2,
      wetAfterDry,
      wetAfterWet,
      rainPerWetDayMm: perWetDay,
      rhMeanPct: 65,
      windMs: 1.8,
    };
  });
}
