import type { CaseFile, Observation } from '../casefile/case-file.js';
import type { WeatherRecord } from '../casefile/record-classes.js';
import { addDays, type Day } from '../day.js';
import { waterBalance, type Balance } from '../water/balance.js';
import type { BalanceDay } from '../water/run.js';
import { expectedWeather, upcomingFrom, type ForecastWeather, type Upcoming } from '../water/next-watering.js';
import { METRIC, type Units } from '../units/units.js';
import { impliedAbsent, type SignCode } from './vocabulary/signs.js';

/**
 * One plant's case with everything that rules may read, worked out once: the balance, the signs as they stand,
 * and looks back in time.
 */
export interface Story {
  readonly c: CaseFile;
  /** the gardener's units, for what is told */
  readonly units: Units;
  readonly balance: Balance;
  readonly present: ReadonlySet<SignCode>;
  readonly absent: ReadonlySet<SignCode>;
  /** the newest observation of a sign */
  readonly seen: ReadonlyMap<SignCode, Observation>;
  /** the next watering, and the coming days without one */
  readonly upcoming: Upcoming;
  /** balance days of the last `n` days, up to the day of the question */
  water(n: number): BalanceDay[];
  weather(n: number): WeatherRecord[];
  /** of a list of records, those of the last `n` days */
  recent<T extends { date: Day }>(records: readonly T[], n: number): T[];
}

/** Signs seen longer ago than this no longer speak for today. */
const SIGNS_LAST_DAYS = 14;

export function storyOf(c: CaseFile, forecast: readonly ForecastWeather[] = [], units: Units = METRIC): Story {
  // one run through the past and on through the expected days; the past is what rules read
  const expected = expectedWeather(c, forecast);
  const whole = waterBalance(c, expected.days);
  const balance: Balance = { ...whole, days: whole.days.filter((d) => d.date <= c.asOf) };
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
  const present = new Set<SignCode>();
  const absent = new Set<SignCode>();
  for (const o of seen.values()) (o.present ? present : absent).add(o.sign);
  for (const sign of present) for (const not of impliedAbsent(sign)) if (!present.has(not)) absent.add(not);

  return {
    c,
    units,
    balance,
    present,
    absent,
    seen,
    recent,
    upcoming: upcomingFrom(c, whole.days, expected.known),
    water: (n) => recent(balance.days, n),
    weather: (n) => recent(c.records.weather, n),
  };
}
