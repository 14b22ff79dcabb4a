import type { Observation } from '../records/observation.js';
import type { PlantCase } from '../records/plant-case.js';
import type { WeatherRecord } from '../records/record-classes.js';
import { impliedAbsent, type SignCode } from '../records/vocabulary/signs.js';
import { addDays, type Day } from '../units/day.js';
import { type Formatter, METRIC_FORMAT } from '../units/formatter.js';
import { type Balance, waterBalance } from '../water/balance.js';
import { expectedWeather, type ForecastWeather } from '../water/expected-weather.js';
import type { BalanceDay } from '../water/run.js';

/**
 * One plant's case with everything that rules may read, worked out once: the balance, the signs as they stand,
 * and looks back in time.
 */
export interface CaseContext {
  readonly case: PlantCase;
  /** writes amounts and days as this gardener reads them */
  readonly format: Formatter;
  /** up to the day of the question */
  readonly balance: Balance;
  /** the coming days as they would go with no watering */
  readonly ahead: readonly BalanceDay[];
  /** whether those days come from a forecast */
  readonly foreseen: boolean;
  readonly present: ReadonlySet<SignCode>;
  readonly absent: ReadonlySet<SignCode>;
  /** the newest observation of a sign */
  readonly seen: ReadonlyMap<SignCode, Observation>;
  /** balance days of the last `n` days, up to the day of the question */
  water(n: number): BalanceDay[];
  weather(n: number): WeatherRecord[];
  /** of a list of records, those of the last `n` days */
  recent<T extends { date: Day }>(records: readonly T[], n: number): T[];
}

/** Signs seen longer ago than this no longer speak for today. */
const SIGNS_LAST_DAYS = 14;
const LOOK_AHEAD_DAYS = 7;

export function contextOf(
  c: PlantCase,
  forecast: readonly ForecastWeather[] = [],
  format: Formatter = METRIC_FORMAT,
): CaseContext {
  // one run through the past and on through the expected days; the past is what rules read
  const whole = waterBalance(c, expectedWeather(c, forecast, LOOK_AHEAD_DAYS));
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
  const present = new Set<SignCode>();
  const absent = new Set<SignCode>();
  for (const o of seen.values()) (o.present ? present : absent).add(o.sign);
  for (const sign of present) for (const not of impliedAbsent(sign)) if (!present.has(not)) absent.add(not);

  return {
    case: c,
    format,
    balance,
    ahead: whole.days.slice(today + 1),
    foreseen: forecast.some((f) => f.date > c.asOf),
    present,
    absent,
    seen,
    recent,
    water: (n) => recent(balance.days, n),
    weather: (n) => recent(c.records.weather, n),
  };
}
