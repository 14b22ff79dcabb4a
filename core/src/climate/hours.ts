import { type Day, dayOf } from '../units/day.js';
import { at, grouped } from '../units/lists.js';
import { roundTo } from '../units/rounding.js';
import { wallClock } from '../units/zone.js';
import { NIGHT_MEAN_ABOVE_LOW_C } from './limits.js';
import type { WeatherDay } from './gaps.js';

/** Weather of one hour, metric. What nobody measured is null. */
export interface WeatherHour {
  /** begin of the hour, ms since 1970 in UTC */
  at: number;
  /** °C; extremes within the hour, if known */
  tC: number | null;
  tMinC?: number | null;
  tMaxC?: number | null;
  rainMm: number | null;
  rainChancePct?: number | null;
  rhPct: number | null;
  /** 2 m above the ground */
  windMs: number | null;
  /** energy of the sun in this hour, MJ/m² */
  solarMj: number | null;
}

/** A day made of hours. */
export interface DayOfHours extends WeatherDay {
  rhMeanPct: number | null;
  windMs: number | null;
  solarMj: number | null;
  wetHours: number | null;
  /** mean from 22 to 6 o'clock before the day, °C */
  nightC: number | null;
  rainChancePct: number | null;
  /** part of the rain that is still to come today, mm */
  rainToComeMm: number;
}

/** Hours with a temperature from which a day counts as measured (judgement: an outage of four hours may hide an extreme). */
export const WHOLE_DAY_H = 20;

/**
 * A leaf is wet in an hour of this humidity, % (Sutton, Gillespie & Hildebrand 1984, from memory), or of this much rain,
 * mm (the step of most gauges).
 */
const WET_PCT = 90;
const WET_MM = 0.1;

/** Hours that are dark wherever tomatoes are in flower (judgement). */
const NIGHT_FROM_H = 22;
const NIGHT_TO_H = 6;

/**
 * Returns the garden's days: extremes, sums and means of their hours. A day with fewer than 20 hours is left out. Rain
 * that is still to come today counts by its chance: it has not fallen.
 * @param hours any order; of two for the same hour the later in the list counts
 * @param timeZone such as Europe/Rome
 * @param now ms since 1970
 * @param least hours with a temperature that a day needs
 */
export function daysOfHours(
  hours: readonly WeatherHour[],
  timeZone: string,
  now: number,
  least: number = WHOLE_DAY_H,
): DayOfHours[] {
  const placed = localHours(hours, timeZone);
  const today = at(localHours([{ at: now }], timeZone), 0).day;
  const ofDay = grouped(placed, (p) => p.day);
  const ofNight = grouped(
    placed.filter((p) => p.hour >= NIGHT_FROM_H || p.hour < NIGHT_TO_H),
    (p) => p.morning,
  );
  return [...ofDay.entries()]
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .flatMap(([date, placedHours]) => {
      const list = placedHours.map((p) => p.h);
      const warm = known(list, (h) => h.tC);
      if (warm.length < Math.max(1, least)) return [];
      const rain = (h: WeatherHour): number => {
        const chance = date === today && h.at > now ? (h.rainChancePct ?? 100) : 100;
        return ((h.rainMm ?? 0) * chance) / 100;
      };
      const chances = known(list, (h) => h.rainChancePct);
      const whole = (of: (h: WeatherHour) => number | null): number[] | null => {
        const values = known(list, of);
        return values.length >= Math.max(1, least) ? values : null;
      };
      const humid = whole((h) => h.rhPct);
      const night = known(ofNight.get(date) ?? [], (p) => p.h.tC);
      return [
        {
          date,
          tMinC: Math.min(...warm, ...known(list, (h) => h.tMinC)),
          tMaxC: Math.max(...warm, ...known(list, (h) => h.tMaxC)),
          rainMm: roundTo(sum(list.map(rain)), 2),
          rainToComeMm: date === today ? roundTo(sum(list.filter((h) => h.at > now).map(rain)), 2) : 0,
          rhMeanPct: meanOf(humid, 1),
          windMs: meanOf(
            whole((h) => h.windMs),
            2,
          ),
          solarMj: solarOf(whole((h) => h.solarMj)),
          wetHours: humid ? list.filter((h) => (h.rhPct ?? 0) >= WET_PCT || (h.rainMm ?? 0) >= WET_MM).length : null,
          nightC: night.length >= NIGHT_LEAST_H ? meanOf(night, 1) : null,
          rainChancePct: chances.length > 0 ? Math.max(...chances) : null,
        },
      ];
    });
}

const NIGHT_LEAST_H = 6;

/**
 * Returns the coldest hour of the night before a day, °C: from the mean of that night if known, because a day's minimum may
 * belong to the evening after it.
 * @example nightLowC({ tMinC: 14, nightC: 23 }) // 21
 */
export const nightLowC = (w: Pick<WeatherDay, 'tMinC' | 'nightC'>): number =>
  w.nightC == null ? w.tMinC : Math.max(w.tMinC, w.nightC - NIGHT_MEAN_ABOVE_LOW_C);

/** Mean energy of an hour times 24: a missing hour does not make the day darker. */
const solarOf = (hours: number[] | null): number | null =>
  hours ? roundTo((sum(hours) / hours.length) * 24, 2) : null;

/** Returns hours with their local day and hour, and the day on whose morning their night ends; each hour once. */
function localHours<H extends { at: number }>(hours: readonly H[], timeZone: string) {
  const once = new Map(hours.map((h) => [h.at, h]));
  const offsetAt = offsets(timeZone);
  return [...once.values()].map((h) => {
    const local = h.at + offsetAt(h.at);
    const hour = Math.floor((((local % DAY_MS) + DAY_MS) % DAY_MS) / HOUR_MS);
    // an object around it: copying its fields takes longer than all the rest
    return { h, hour, day: dayAt(local), morning: dayAt(hour >= NIGHT_FROM_H ? local + DAY_MS : local) };
  });
}

const dayAt = (localMs: number): Day => dayOf(Math.floor(localMs / DAY_MS));

/**
 * Returns how far a zone is ahead of UTC at a time, ms. The calendar of the platform is slow, so it is asked once for each
 * UTC day, and for each hour only of a day on which the clock changes.
 */
function offsets(timeZone: string): (at: number) => number {
  const ask = (at: number): number => {
    const whole = Math.floor(at / MINUTE_MS) * MINUTE_MS;
    return Date.parse(`${wallClock(timeZone, whole)}Z`) - whole;
  };
  const known = new Map<number, number>();
  const asked = (at: number): number => {
    const offset = known.get(at) ?? ask(at);
    known.set(at, offset);
    return offset;
  };
  return (at) => {
    const begin = Math.floor(at / DAY_MS) * DAY_MS;
    const [first, next] = [asked(begin), asked(begin + DAY_MS)];
    return first === next ? first : asked(at);
  };
}

const MINUTE_MS = 60_000;
const DAY_MS = 86_400_000;

/** One hour, ms. */
export const HOUR_MS = 3_600_000;

const known = <T>(list: readonly T[], of: (item: T) => number | null | undefined): number[] =>
  list.map(of).filter((v): v is number => v != null);
const sum = (list: readonly number[]): number => list.reduce((a, b) => a + b, 0);
const meanOf = (list: readonly number[] | null, places: number): number | null =>
  list && list.length > 0 ? roundTo(sum(list) / list.length, places) : null;
