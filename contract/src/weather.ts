import { IsNumber, IsOptional, Max, Min } from 'class-validator';
import type { Day } from '@candid-leaf/core/units';

/** The gardener's own rain gauge for a day; null takes the reading back. It overrules the station. */
export class GaugeReading {
  @IsOptional()
  @IsNumber({ allowNaN: false, allowInfinity: false })
  @Min(0)
  @Max(500)
  rainMm: number | null;
}

export interface WeatherDto {
  day: Day;
  kind: 'observed' | 'forecast';
  tMinC: number;
  tMaxC: number;
  /** the gauge where there is one, else the station */
  rainMm: number;
  gaugeMm: number | null;
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
