import type { Observation } from '../records/observation.js';
import { POSTURE } from '../records/vocabulary/sign-groups.js';
import type { PlantCase } from '../records/plant-case.js';
import { impliedAbsent, type SignCode } from '../records/vocabulary/signs.js';
import type { WeatherDay } from '../climate/gaps.js';
import { weatherInPlace } from '../climate/weather-in-place.js';
import { addDays, type Day, daysBetween } from '../units/day.js';
import { type Formatter, METRIC_FORMAT } from '../units/formatter.js';
import { type Balance, waterBalance } from '../water/balance.js';
import { expectedWeather, type ForecastWeather } from '../water/expected-weather.js';
import { type Felt, feltNow, isFleeting, stillHolds } from '../water/felt.js';
import { isKnown } from '../water/knowledge.js';
import type { BalanceDay } from '../water/run.js';

/**
 * One plant's case with everything the rules read, computed once: the balance, the current signs, and look-back
 * helpers.
 */
export interface CaseContext {
  readonly case: PlantCase;
  /** formats amounts and days for this gardener */
  readonly format: Formatter;
  /** up to the day of the question */
  readonly balance: Balance;
  /** the coming days without watering */
  readonly ahead: readonly BalanceDay[];
  /** coldest forecast night where the plant grows; 99 without a forecast */
  readonly coldestAhead: number;
  /** forecast where the plant grows, day by day; empty without one */
  readonly ownAhead: readonly WeatherDay[];
  /** true if those days come from a forecast */
  readonly hasForecast: boolean;
  readonly present: ReadonlySet<SignCode>;
  readonly absent: ReadonlySet<SignCode>;
  /** newest observation of each sign */
  readonly seen: ReadonlyMap<SignCode, Observation>;
  /** true if the watering history is known. If not, the balance assumes no watering, and nothing may depend on it */
  readonly waterKnown: boolean;
  /** newest soil check that still counts */
  readonly felt: Felt | null;
  /** weather where the plant grows */
  readonly own: readonly WeatherDay[];
  /** balance days of the last `n` days, up to the day of the question, for which watering is known */
  water(n: number): BalanceDay[];
  /** weather of the last `n` days, where the plant grows */
  weather(n: number): WeatherDay[];
  /** the records of a list from the last `n` days */
  recent<T extends { date: Day }>(records: readonly T[], n: number): T[];
}

/** Signs seen longer ago than this no longer count. */
const SIGNS_LAST_DAYS = 14;
/** Drooping counts for this many days only (judgement). */
const POSTURE_LASTS_DAYS = 4;
const isPosture = (sign: SignCode): boolean => POSTURE.has(sign);
const LOOK_AHEAD_DAYS = 7;

/**
 * Returns everything diagnosis and advice read about a case, computed once: weather, water balance, forecast and
 * signs.
 * @param balanceAs the water balance, where it was computed already
 */
export function contextOf(
  c: PlantCase,
  forecast: readonly ForecastWeather[] = [],
  format: Formatter = METRIC_FORMAT,
  balanceAs?: Balance,
): CaseContext {
  // one run through the past and the expected days; rules read only the past
  const whole = balanceAs ?? waterBalance(c, expectedWeather(c, forecast, LOOK_AHEAD_DAYS));
  const today = whole.days.findIndex((d) => d.date === c.asOf);
  const balance: Balance = { ...whole, days: whole.days.slice(0, today + 1) };
  const recent = <T extends { date: Day }>(records: readonly T[], n: number): T[] => {
    const since = addDays(c.asOf, 1 - n);
    return records.filter((r) => r.date >= since && r.date <= c.asOf);
  };

  const seen = new Map<SignCode, Observation>();
  for (const o of recent(c.observations, SIGNS_LAST_DAYS)) {
    const before = seen.get(o.sign);
    // on one day either order means the same; contradictions were refused earlier
    if (!before || o.date > before.date || (o.date === before.date && (o.affected ?? 0) > (before.affected ?? 0)))
      seen.set(o.sign, o);
  }
  const own = c.records.weather.map((w) => weatherInPlace(c.place, w, c.garden));
  const rainOn = new Map(own.map((w) => [w.date, w.rainMm]));
  const ownRainMm = (day: Day): number => rainOn.get(day) ?? 0;
  const daysAhead = forecast
    .filter((f) => f.date > c.asOf && f.date <= addDays(c.asOf, LOOK_AHEAD_DAYS))
    .map((w) => weatherInPlace(c.place, w, c.garden));
  const felt = feltNow(c, ownRainMm);
  for (const o of [...seen.values()]) if (isPast(c, o, felt, ownRainMm)) seen.delete(o.sign);
  const present = new Set<SignCode>();
  const absent = new Set<SignCode>();
  for (const o of seen.values()) (o.present ? present : absent).add(o.sign);
  // the date of planting says it where the gardener did not
  if (isJustPlanted(c) && !absent.has('after-transplanting')) present.add('after-transplanting');
  for (const sign of present) for (const not of impliedAbsent(sign)) if (!present.has(not)) absent.add(not);

  return {
    case: c,
    format,
    balance,
    ahead: whole.days.slice(today + 1),
    coldestAhead: Math.min(99, ...daysAhead.map((w) => w.tMinC)),
    ownAhead: daysAhead,
    hasForecast: forecast.some((f) => f.date > c.asOf),
    present,
    absent,
    seen,
    waterKnown: isKnown(balance),
    felt,
    own,
    recent,
    water: (n) => recent(balance.days, n).filter((d) => d.known),
    weather: (n) => recent(own, n),
  };
}

/**
 * Returns a context as of an earlier day of it, with the signs of another: what was seen today is all that can be known
 * about a coming day.
 */
export function onDay(ctx: CaseContext, asOf: Day, { present, absent, seen }: CaseContext): CaseContext {
  const days = ctx.balance.days.filter((d) => d.date <= asOf);
  const recent = <T extends { date: Day }>(records: readonly T[], n: number): T[] => {
    const since = addDays(asOf, 1 - n);
    return records.filter((r) => r.date >= since && r.date <= asOf);
  };
  return {
    ...ctx,
    case: { ...ctx.case, asOf },
    balance: { ...ctx.balance, days },
    present,
    absent,
    seen,
    // a finger of today says nothing about a later day
    felt: null,
    recent,
    water: (n) => recent(days, n).filter((d) => d.known),
    weather: (n) => recent(ctx.own, n),
  };
}

/** What begins so soon after planting out began with it, days (handbook: transplant shock). */
const JUST_PLANTED_DAYS = 10;
const isJustPlanted = ({ plant: { transplantedOn }, asOf }: PlantCase): boolean =>
  transplantedOn != null && transplantedOn <= asOf && daysBetween(transplantedOn, asOf) <= JUST_PLANTED_DAYS;

/** True for a short-lived sign that no longer counts, or that a newer soil check contradicts. */
function isPast(c: PlantCase, o: Observation, felt: Felt | null, ownRainMm: (day: Day) => number): boolean {
  if (isPosture(o.sign)) return daysBetween(o.date, c.asOf) > POSTURE_LASTS_DAYS;
  if (!isFleeting(o.sign) || o.date === c.asOf) return false;
  if (felt && felt.on > o.date) return true;
  const feel = /heavy|wet|pooling/.test(o.sign) ? 'wet' : /damp/.test(o.sign) ? 'damp' : 'dry';
  return !stillHolds(c, o.date, feel, ownRainMm);
}
