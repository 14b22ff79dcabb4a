import {
  climateOfPlace,
  generateWeather,
  type GeneratedDay,
  saturationVapourPressure,
  seeded,
  windAt2m,
} from '@candid-leaf/core/climate';
import { hourlyC } from '@candid-leaf/core/risk';
import { addDays, daysBetween } from '@candid-leaf/core/units';

/** An hour of made-up weather, as services measure it: the wind 10 m up, the sun as power. */
export interface SkyHour {
  /** begin, s since 1970 */
  time: number;
  temperature: number;
  humidity: number;
  rain: number;
  windUp: number;
  sun: number;
}

export interface SkyPlace {
  latitude: number;
  longitude: number;
  elevationM: number;
}

const HOUR_S = 3600;
/** Rain falls in these hours of the sun's day. */
const WET_HOURS = [15, 16, 17];
const WATTS_PER_MJ_HOUR = 277.8;

/** Returns the days of a place from a seed: the same question has the same answer. */
export function skyDays(place: SkyPlace, from: string, to: string): GeneratedDay[] {
  const years = Array.from({ length: yearOf(to) - yearOf(from) + 1 }, (_, i) => skyYear(place, yearOf(from) + i));
  return years.flat().filter((d) => d.date >= from && d.date <= to);
}

/** Years made before: each once. */
const known = new Map<string, GeneratedDay[]>();

function skyYear(place: SkyPlace, year: number): GeneratedDay[] {
  const key = [place.latitude, place.longitude, place.elevationM, year].join(' ');
  const made = known.get(key);
  if (made) return made;
  const seed = Math.round(place.latitude * 100) * 7919 + Math.round(place.longitude * 100) * 104_729 + year;
  const table = climateOfPlace(place.latitude, place.elevationM, [], place.longitude);
  const begin = `${year}-01-01`;
  const days = generateWeather(table, place, begin, daysBetween(begin, `${year + 1}-01-01`), seeded(seed));
  known.set(key, days);
  return days;
}

const yearOf = (day: string): number => Number(day.slice(0, 4));

/** Returns the hours of whole UTC days. */
export function skyHours(place: SkyPlace, from: string, to: string): SkyHour[] {
  return skyDays(place, from, to).flatMap((day) => hoursOf(day, place.longitude));
}

function hoursOf(day: GeneratedDay, longitude: number): SkyHour[] {
  const course = hourlyC(day);
  const vapour = (day.rhMeanPct / 100) * saturationVapourPressure((day.tMinC + day.tMaxC) / 2);
  const begin = Date.parse(`${day.date}T00:00:00Z`) / 1000;
  return Array.from({ length: 24 }, (_, utc) => {
    const hour = (((utc + Math.round(longitude / 15)) % 24) + 24) % 24;
    const temperature = course[hour]!;
    const bright = hour > 6 && hour < 18 ? Math.sin(((hour - 6) / 12) * Math.PI) : 0;
    return {
      time: begin + utc * HOUR_S,
      temperature: tenth(temperature),
      humidity: Math.round(Math.min(100, (100 * vapour) / saturationVapourPressure(temperature))),
      rain: WET_HOURS.includes(hour) ? tenth(day.rainMm / WET_HOURS.length) : 0,
      windUp: tenth(day.windMs / windAt2m(1, 10)),
      // the sines of eleven hours sum to 7.6
      sun: Math.round((day.solarMj * WATTS_PER_MJ_HOUR * bright) / 7.6),
    };
  });
}

/** Returns the UTC day of a time and one some days away. */
export const utcDay = (ms: number, plus = 0): string => addDays(new Date(ms).toISOString().slice(0, 10), plus);

const tenth = (x: number): number => Math.round(x * 10) / 10;
