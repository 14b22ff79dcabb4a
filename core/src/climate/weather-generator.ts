import { addDays, type Day, dayOfYear } from '../units/day.js';
import { clearSkySolar, extraterrestrialRadiation } from './radiation.js';
import { gamma, normal, type Random } from './random.js';
import { at } from '../units/lists.js';
import { toTenth } from '../units/rounding.js';

/**
 * A daily weather generator after Richardson (1981): a first-order wet/dry chain, gamma-distributed rain, and
 * temperatures, humidity and sun that depend on wet or dry and on the day before.
 */
interface ClimateMonth {
  /** mean daily minimum and maximum, °C */
  tMinC: number;
  tMaxC: number;
  /** chance of a wet day after a dry one and after a wet one */
  wetAfterDry: number;
  wetAfterWet: number;
  /** mean rain on a wet day, mm */
  rainPerWetDayMm: number;
  rhMeanPct: number;
  windMs: number;
}

/** Twelve months, January first. */
export type ClimateTable = readonly ClimateMonth[];

/** A simulated day of weather: °C, mm, %, m/s, MJ/m². */
export interface GeneratedDay {
  date: Day;
  tMinC: number;
  tMaxC: number;
  rainMm: number;
  rhMeanPct: number;
  windMs: number;
  solarMj: number;
}

/** Returns the climate of a day: monthly values interpolated through mid-months. */
function climateOn(table: ClimateTable, day: Day): ClimateMonth {
  const month = Number(day.slice(5, 7)) - 1;
  const along = (Number(day.slice(8)) - 15) / 30.4;
  const other = at(table, (month + (along < 0 ? 11 : 1)) % 12);
  const here = at(table, month);
  const share = Math.abs(along);
  const mix = (key: keyof ClimateMonth): number => here[key] * (1 - share) + other[key] * share;
  return {
    tMinC: mix('tMinC'),
    tMaxC: mix('tMaxC'),
    wetAfterDry: mix('wetAfterDry'),
    wetAfterWet: mix('wetAfterWet'),
    rainPerWetDayMm: mix('rainPerWetDayMm'),
    rhMeanPct: mix('rhMeanPct'),
    windMs: mix('windMs'),
  };
}

/** Generates `days` days of weather from `from` on. The same table, place and random source give the same weather. */
export function generateWeather(
  table: ClimateTable,
  place: { latitude: number; elevationM: number },
  from: Day,
  days: number,
  random: Random,
): GeneratedDay[] {
  if (table.length !== 12) throw new RangeError(`a climate table has 12 months; this one has ${table.length}`);
  const out: GeneratedDay[] = [];
  let wet = false;
  let warmth = 0; // standardised departure shared by both temperatures
  for (let i = 0; i < days; i++) {
    const date = addDays(from, i);
    const c = climateOn(table, date);
    wet = random() < (wet ? c.wetAfterWet : c.wetAfterDry);
    warmth = 0.72 * warmth + 0.69 * normal(random); // lag-1 memory about 0.7 (Richardson 1981)
    const rain = wet ? gamma(random, 0.75, c.rainPerWetDayMm / 0.75) : 0;
    const tMaxC = c.tMaxC + 3.4 * warmth + (wet ? -3 : 0.8) + 0.8 * normal(random);
    const tMinC = Math.min(tMaxC - 2, c.tMinC + 2.2 * warmth + (wet ? 0.6 : -0.2) + 0.8 * normal(random));
    const rso = clearSkySolar(extraterrestrialRadiation(place.latitude, dayOfYear(date)), place.elevationM);
    const sun = Math.min(1, Math.max(0.2, (wet ? 0.5 : 0.85) + 0.1 * normal(random)));
    out.push({
      date,
      tMinC: toTenth(tMinC),
      tMaxC: toTenth(tMaxC),
      rainMm: rain < 0.1 ? 0 : toTenth(rain),
      rhMeanPct: Math.round(Math.min(98, Math.max(25, c.rhMeanPct + (wet ? 12 : -3) + 6 * normal(random)))),
      windMs: toTenth(Math.max(0.3, c.windMs * (1 + 0.35 * normal(random)))),
      solarMj: toTenth(sun * rso),
    });
  }
  return out;
}

interface ForecastDay extends GeneratedDay {
  /** chance of 1 mm or more, percent */
  rainChancePct: number;
}

/**
 * Returns a forecast of already drawn days: the truth plus an error that grows with lead time. `truth[0]` is one day
 * ahead.
 */
export function forecastOf(truth: readonly GeneratedDay[], random: Random): ForecastDay[] {
  return truth.map((day, i) => {
    const lead = i + 1;
    const warm = 0.5 * lead ** 0.8 * normal(random);
    const skill = Math.max(0.2, 0.92 - 0.1 * lead);
    const wet = day.rainMm >= 1;
    const chance = (wet ? skill : 1 - skill) * 0.8 + 0.2 * random() * (wet ? 1 : 0.5);
    const rain = day.rainMm * Math.max(0, 1 + 0.12 * lead * normal(random));
    return {
      ...day,
      tMinC: toTenth(day.tMinC + 0.7 * warm),
      tMaxC: toTenth(day.tMaxC + warm),
      rainMm: chance >= 0.5 && rain < 1 ? 1 : toTenth(rain),
      rainChancePct: Math.round(Math.min(0.98, Math.max(0.02, chance)) * 100),
    };
  });
}
