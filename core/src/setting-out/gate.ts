import type { WeatherDay } from '../climate/gaps.js';
import { degreeDays } from '../climate/degree-days.js';
import { SCREEN_FROST_C, STRONG_WIND_MS } from '../climate/limits.js';
import { USUAL_DEGREE_DAYS } from '../climate/degree-days.js';
import type { Crop } from '../records/plant.js';
import { addDays, type Day } from '../units/day.js';
import { DAY_FROM_C, FLEECE_KEEPS_C, NIGHT_FROM_C, PLANT_IN_EVENING_FROM_C, SOIL_FROM_C, WEEK_DAYS } from './limits.js';
import { roundTo } from '../units/rounding.js';

// Whether a plant can be planted out: each condition by itself, and the result.

type GateCheck = 'hardened' | 'soil' | 'nights' | 'days' | 'frost' | 'wind';

/** One condition for planting out, with the value found and needed. */
export interface GateRow {
  check: GateCheck;
  /** null: unknown */
  ok: boolean | null;
  /** the value and the needed one, °C or m/s; null if unknown */
  found: number | null;
  wanted: number;
  /** error of a soil temperature estimated from the air, °C */
  error?: number;
}

type GateVerdict =
  /** `inTheEvening`: it is too hot by day */
  | { go: 'today'; inTheEvening?: true }
  /** nothing known argues against it, but too little is known: these must be found out first */
  | { go: 'ask'; about: GateCheck[] }
  /** it would survive under this cover, but not grow */
  | { go: 'at-risk'; cover: 'fleece' | 'wind-break' }
  /** until this day by the forecast; null: longer than that */
  | { go: 'wait'; until: Day | null };

/** What planting out depends on. */
export interface GateQuestion {
  crop: Crop;
  today: Day;
  lastFrost: Day | null;
  /** where the plant will grow, measured and forecast */
  weather: readonly WeatherDay[];
  /** measured with a thermometer, °C, or estimated with its error */
  soil: { celsius: number; error?: number } | null;
  /** the last hardening day is done; null if nothing is recorded */
  hardened: boolean | null;
  /** dark fabric could warm its soil: it is open ground, and none lies there */
  canBeWarmed?: boolean;
}

/** Whether to plant out now. */
export interface Gate {
  rows: GateRow[];
  verdict: GateVerdict;
  /** days that first fruit comes earlier when planted today instead of in a week; a cold week is worth little */
  weekCosts: number | null;
  /** its soil is too cold, and dark fabric would warm it */
  warmSoil: boolean;
}

const WEEK_NEEDS_DAYS = 3;
/** Without these we can't say that it may go out. */
const NEEDED: readonly GateCheck[] = ['soil', 'nights'];

/** Returns whether the crop can be planted out today, condition by condition. */
export function settingOutGate(q: GateQuestion): Gate {
  const rows = gateRows(q, q.today);
  const bad = rows.filter((r) => r.ok === false);
  const unknown = rows.filter((r) => r.ok === null && NEEDED.includes(r.check)).map((r) => r.check);
  const warmSoil = q.canBeWarmed === true && bad.some((r) => r.check === 'soil');
  return { rows, verdict: verdictOf(q, bad, unknown), weekCosts: weekCosts(q), warmSoil };
}

function verdictOf(q: GateQuestion, bad: readonly GateRow[], unknown: GateCheck[]): GateVerdict {
  // unknown does not mean not cold: without soil and nights nothing goes out
  if (bad.length === 0 && unknown.length > 0) return { go: 'ask', about: unknown };
  if (bad.length === 0) {
    const hot = (q.weather.find((w) => w.date === q.today)?.tMaxC ?? 0) > PLANT_IN_EVENING_FROM_C;
    return { go: 'today', ...(hot ? { inTheEvening: true as const } : {}) };
  }
  const night = bad.find((r) => r.check === 'nights');
  const coverable =
    bad.every((r) => r.check === 'nights' || r.check === 'wind' || r.check === 'days') &&
    (!night || night.found! >= night.wanted - FLEECE_KEEPS_C);
  if (coverable)
    return { go: 'at-risk', cover: night || bad.some((r) => r.check === 'days') ? 'fleece' : 'wind-break' };
  for (let n = 1; n <= WEEK_DAYS; n++) {
    const on = addDays(q.today, n);
    if (gateRows(q, on).every((r) => r.ok !== false)) return { go: 'wait', until: on };
  }
  return { go: 'wait', until: null };
}

/** Returns the conditions on a day, using the forecast from then on. */
function gateRows(q: GateQuestion, on: Day): GateRow[] {
  const ahead = q.weather.filter((w) => w.date >= on && w.date < addDays(on, WEEK_DAYS));
  const known = ahead.length >= WEEK_NEEDS_DAYS || on > q.today;
  const coldest = known && ahead.length > 0 ? Math.min(...ahead.map((w) => w.tMinC)) : null;
  const meanMax = known && ahead.length > 0 ? ahead.reduce((t, w) => t + w.tMaxC, 0) / ahead.length : null;
  const first = ahead.find((w) => w.date === on);
  const wind = first?.windMs ?? null;
  const least = (check: GateCheck, found: number | null, wanted: number): GateRow => ({
    check,
    ok: found === null ? null : found >= wanted,
    found: found === null ? null : roundTo(found, 1),
    wanted,
  });
  const frostAhead = coldest !== null && coldest <= SCREEN_FROST_C;
  return [
    { check: 'hardened', ok: q.hardened, found: null, wanted: 1 },
    { ...least('soil', soilOn(q, on), SOIL_FROM_C), ...(q.soil?.error != null ? { error: q.soil.error } : {}) },
    least('nights', coldest, NIGHT_FROM_C[q.crop]),
    least('days', meanMax, DAY_FROM_C[q.crop]),
    {
      check: 'frost',
      ok: frostAhead ? false : q.lastFrost === null ? (coldest === null ? null : true) : on > q.lastFrost,
      found: coldest === null ? null : roundTo(coldest, 1),
      wanted: SCREEN_FROST_C,
    },
    { check: 'wind', ok: wind === null ? null : wind < STRONG_WIND_MS, found: wind, wanted: STRONG_WIND_MS },
  ];
}

/** A later day's soil moves towards the air by a tenth a day (as in the daily model named beside the estimate). */
const SOIL_FOLLOWS = 0.1;
function soilOn(q: GateQuestion, on: Day): number | null {
  if (!q.soil) return null;
  return q.weather
    .filter((w) => w.date >= q.today && w.date < on)
    .reduce((soil, w) => soil + SOIL_FOLLOWS * ((w.tMinC + w.tMaxC) / 2 - soil), q.soil.celsius);
}

/** Returns what the coming week is worth, in days of usual growth. */
function weekCosts({ weather, today }: GateQuestion): number | null {
  const week = weather.filter((w) => w.date >= today && w.date < addDays(today, WEEK_DAYS));
  if (week.length < WEEK_NEEDS_DAYS) return null;
  const mean = week.reduce((t, w) => t + degreeDays(w), 0) / week.length;
  return roundTo((mean * WEEK_DAYS) / USUAL_DEGREE_DAYS, 1);
}
