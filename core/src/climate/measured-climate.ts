import { addDays, type Day, daysBetween } from '../units/day.js';
import { grouped } from '../units/lists.js';
import { roundTo } from '../units/rounding.js';
import type { ClimateTable } from './weather-generator.js';

/** A day's extremes and rain, °C and mm. */
export interface ClimateDay {
  date: Day;
  tMinC: number;
  tMaxC: number;
  rainMm: number;
}

/** What ten years of days say about a place. */
export interface MeasuredClimate {
  /** usual frost days, MM-DD; null: frost in fewer than half of the years */
  lastFrost: string | null;
  firstFrost: string | null;
  /** one entry for each month */
  months: ClimateTable;
  /** whole years behind it */
  years: number;
}

/** Whole years from which a climate is taken from days (judgement: fewer are weather, not climate). */
const LEAST_YEARS = 5;
const WHOLE_YEAR_DAYS = 350;
const FROST_C = 0;
/** A day counts as wet from this amount on, mm: the usual limit of climate tables (from memory). */
const WET_DAY_MM = 1;

/**
 * Returns the climate of a place from its days: the median of the last and first frosts, and monthly means.
 * Years are counted from midwinter to midwinter, so a summer is never cut.
 * @param latitude degrees, south is negative
 * @returns null with fewer than five whole years
 */
export function measuredClimate(days: readonly ClimateDay[], latitude: number): MeasuredClimate | null {
  const south = latitude < 0;
  const years = grouped(days, (d) => yearOf(d.date, south));
  const whole = [...years.entries()].filter(([, list]) => list.length >= WHOLE_YEAR_DAYS);
  if (whole.length < LEAST_YEARS) return null;
  const frosts = whole.map(([year, list]) => frostsOf(list, south ? `${year + 1}-01-15` : `${year}-07-15`));
  const begin = south ? '07-01' : '01-01';
  const counted = whole.flatMap(([, list]) => list);
  return {
    lastFrost: usual(
      frosts.map((f) => f.last),
      begin,
      'later',
    ),
    firstFrost: usual(
      frosts.map((f) => f.first),
      begin,
      'earlier',
    ),
    months: Array.from({ length: 12 }, (_, m) => monthOf(counted.filter((d) => Number(d.date.slice(5, 7)) === m + 1))),
    years: whole.length,
  };
}

/** South of the equator a growing year begins in July. */
const yearOf = (day: Day, south: boolean): number => {
  const year = Number(day.slice(0, 4));
  return south && day.slice(5) < '07-01' ? year - 1 : year;
};

function frostsOf(year: readonly ClimateDay[], midsummer: Day): { last: Day | null; first: Day | null } {
  const cold = year.filter((d) => d.tMinC <= FROST_C).map((d) => d.date);
  return {
    last:
      cold
        .filter((d) => d < midsummer)
        .toSorted()
        .at(-1) ?? null,
    first:
      cold
        .filter((d) => d > midsummer)
        .toSorted()
        .at(0) ?? null,
  };
}

/**
 * Returns the median of days of the year, counted from the begin of their growing year; null if fewer than half of the years
 * have one. Of two in the middle the one that is safer for the plants counts.
 */
function usual(found: readonly (Day | null)[], begin: string, safer: 'later' | 'earlier'): string | null {
  const days = found.filter((d) => d !== null);
  if (days.length * 2 < found.length) return null;
  const start = `2025-${begin}`;
  const offsets = days
    .map((d) => {
      const monthDay = d.slice(5) === '02-29' ? '02-28' : d.slice(5);
      return daysBetween(start, `${monthDay >= begin ? 2025 : 2026}-${monthDay}`);
    })
    .toSorted((a, b) => a - b);
  const middle = offsets[safer === 'later' ? offsets.length >> 1 : (offsets.length - 1) >> 1];
  return middle === undefined ? null : addDays(start, middle).slice(5);
}

/** What a table says without measurements of humidity and wind. */
const USUAL = { rhMeanPct: 65, windMs: 1.8 } as const;

function monthOf(days: readonly ClimateDay[]): ClimateTable[number] {
  const mean = (of: (d: ClimateDay) => number): number => days.reduce((sum, d) => sum + of(d), 0) / days.length;
  const isWet = (d: ClimateDay | undefined): boolean => d !== undefined && d.rainMm >= WET_DAY_MM;
  const sorted = days.toSorted((a, b) => (a.date < b.date ? -1 : 1));
  const after = (wet: boolean): ClimateDay[] =>
    sorted.filter((d, i) => {
      const before = sorted[i - 1];
      return before?.date === addDays(d.date, -1) && isWet(before) === wet;
    });
  const shareWet = (list: readonly ClimateDay[]): number | null =>
    list.length > 0 ? list.filter(isWet).length / list.length : null;
  const overall = shareWet(sorted) ?? 0;
  const wet = days.filter(isWet);
  return {
    tMinC: roundTo(
      mean((d) => d.tMinC),
      2,
    ),
    tMaxC: roundTo(
      mean((d) => d.tMaxC),
      2,
    ),
    wetAfterDry: roundTo(shareWet(after(false)) ?? overall, 3),
    wetAfterWet: roundTo(shareWet(after(true)) ?? overall, 3),
    rainPerWetDayMm: roundTo(wet.length > 0 ? wet.reduce((sum, d) => sum + d.rainMm, 0) / wet.length : 1, 2),
    ...USUAL,
  };
}
