import type { Day } from '@candid-leaf/core/units';

/** A day of weather: measured or forecast. */
export interface WeatherDto {
  day: Day;
  kind: 'observed' | 'forecast';
  tMinC: number;
  tMaxC: number;
  /** the gauge if there is one, else the station */
  rainMm: number;
  /** the gardener's own reading for the day, with its record */
  gauge: { recordId: string; version: number; rainMm: number } | null;
  rainChancePct: number | null;
  rhMeanPct: number | null;
  windMs: number | null;
  solarMj: number | null;
}

/** When weather last came in, and what went wrong. */
export interface WeatherState {
  /** when the station last answered; null if never */
  pulledAt: string | null;
  /** newest measured day */
  newest: Day | null;
  /** the error of the last try, in words; null if it went well */
  trouble: string | null;
}
