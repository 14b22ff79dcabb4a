import type { Day } from '@candid-leaf/core/units';

export interface WeatherDto {
  day: Day;
  kind: 'observed' | 'forecast';
  tMinC: number;
  tMaxC: number;
  /** the gauge where there is one, else the station */
  rainMm: number;
  /** the gardener's own reading for the day, with the record that holds it */
  gauge: { recordId: string; version: number; rainMm: number } | null;
  rainChancePct: number | null;
  rhMeanPct: number | null;
  windMs: number | null;
  solarMj: number | null;
}

export interface WeatherState {
  /** when the station last answered; null if it never did */
  pulledAt: string | null;
  /** newest day measured */
  newest: Day | null;
  /** what went wrong at the last try, in words; null if it went well */
  trouble: string | null;
}
