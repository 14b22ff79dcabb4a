import 'reflect-metadata';
import { IsBoolean, IsIn, IsInt, IsNumber, IsOptional, Max, Min, ValidateIf } from 'class-validator';
import { WATERING_WAYS, WATERING_ENDS, CHECKED_BY, type WaterMethod, SOIL_FEELS } from './choices.js';
import { Dated, FINITE, IsCalendarDay } from './dated.js';
import type { Day } from '../units/day.js';
import { MOST_LITRES } from './record-limits.js';

// Records of water, soil moisture and weather.

const MOST_MINUTES = 1440;
const TOO_MUCH = { message: `must not be more than ${MOST_LITRES} litres per plant` };

/** A watering as stored: litres per plant if known, plus the minutes it ran if entered that way. */
export class Watering extends Dated {
  /** per plant; absent: watered, amount unknown; 0: not watered */
  @IsOptional()
  @IsNumber(FINITE)
  @Min(0)
  @Max(MOST_LITRES, TOO_MUCH)
  litres?: number;

  @IsOptional()
  @IsNumber(FINITE)
  @Min(0.1)
  @Max(MOST_MINUTES)
  minutes?: number;

  @IsOptional()
  @IsIn(WATERING_WAYS)
  how?: WaterMethod;

  /** until it ran out below: the store was full then */
  @IsOptional()
  @IsIn(WATERING_ENDS)
  end?: (typeof WATERING_ENDS)[number];
}

/**
 * A watering as entered: litres per plant, or minutes, or how it ended, or only that it was watered. Stored form:
 * `Watering`.
 */
export class WateringEntry extends Dated {
  @IsOptional()
  @IsNumber(FINITE)
  @Min(0)
  @Max(MOST_LITRES, TOO_MUCH)
  litres?: number | null;

  @IsOptional()
  @IsNumber(FINITE)
  @Min(0.1)
  @Max(MOST_MINUTES)
  minutes?: number | null;

  /** how it was given; usual for this bed or pot if left out */
  @IsOptional()
  @IsIn(WATERING_WAYS)
  how?: WaterMethod | null;

  @IsOptional()
  @IsIn(WATERING_ENDS)
  end?: (typeof WATERING_ENDS)[number] | null;
}

/** A timer on the tap that waters every few days for some minutes, from this day until the next setting. */
export class TimerSet extends Dated {
  @ValidateIf((t: TimerSet) => t.off !== true || t.everyDays != null)
  @IsInt({ message: 'must be a number of days, unless it is switched off' })
  @Min(1)
  @Max(14)
  everyDays?: number;

  @IsOptional()
  @IsNumber(FINITE)
  @Min(0.1)
  @Max(MOST_MINUTES)
  minutes?: number;

  /** per plant, if that is known and the minutes are not */
  @IsOptional()
  @IsNumber(FINITE)
  @Min(0)
  @Max(MOST_LITRES, TOO_MUCH)
  litres?: number;

  /** hour at which it starts */
  @IsOptional()
  @IsInt()
  @Min(0)
  @Max(23)
  startHour?: number;

  /** it does not run when it rains */
  @IsOptional()
  @IsBoolean()
  skipsRain?: boolean;

  /** switched off */
  @IsOptional()
  @IsBoolean()
  off?: boolean;

  /** a day on which it ran, if the setting was only confirmed */
  @IsOptional()
  @IsCalendarDay()
  since?: Day;
}

/** A soil check: dry, damp or wet, and how deep, cm. */
export class SoilCheck extends Dated {
  @IsIn(SOIL_FEELS)
  feel: (typeof SOIL_FEELS)[number];

  @IsOptional()
  @IsNumber(FINITE)
  @Min(0)
  @Max(60)
  depthCm?: number;

  @IsOptional()
  @IsIn(CHECKED_BY)
  by?: (typeof CHECKED_BY)[number];

  /** of a calibrated probe: share of the available water, 0 dry to 1 drained */
  @IsOptional()
  @IsNumber(FINITE)
  @Min(0)
  @Max(1.3)
  share?: number | null;

  /** when that probe was last calibrated */
  @IsOptional()
  @IsCalendarDay()
  calibratedOn?: Day | null;

  /** made after that day's watering; a check comes before it unless this says otherwise */
  @IsOptional()
  @IsBoolean()
  after?: boolean;
}

/** Soil temperature in the morning. */
export class SoilWarmth extends Dated {
  @IsNumber(FINITE)
  @Min(-10, { message: 'must be a soil temperature' })
  @Max(45, { message: 'must be a soil temperature' })
  celsius: number;
}

/** A weighed pot, kg. */
export class PotWeight extends Dated {
  @IsNumber(FINITE)
  @Min(0.1)
  @Max(300)
  kg: number;

  @IsIn(['dry', 'drained', 'unknown'])
  state: 'dry' | 'drained' | 'unknown';

  /** weighed after that day's watering */
  @IsOptional()
  @IsBoolean()
  after?: boolean;
}

/** The gardener's own rain gauge for a day. It overrides the station; the last reading of a day counts. */
export class RainGauge extends Dated {
  @IsNumber(FINITE)
  @Min(0)
  @Max(500)
  rainMm: number;
}

/** One day's weather: °C, mm, %, m/s, MJ/m², hours of leaf wetness. */
export class WeatherRecord extends Dated {
  @IsNumber(FINITE)
  @Min(-60)
  @Max(60)
  tMinC: number;

  @IsNumber(FINITE)
  @Min(-60)
  @Max(60)
  tMaxC: number;

  @IsNumber(FINITE)
  @Min(0)
  @Max(800)
  rainMm: number;

  @IsOptional()
  @IsNumber(FINITE)
  @Min(0)
  @Max(100)
  rhMeanPct?: number | null;

  @IsOptional()
  @IsNumber(FINITE)
  @Min(0)
  @Max(60)
  windMs?: number | null;

  @IsOptional()
  @IsNumber(FINITE)
  @Min(0)
  @Max(50)
  solarMj?: number | null;

  @IsOptional()
  @IsNumber(FINITE)
  @Min(0)
  @Max(24)
  wetHours?: number | null;

  /** mean of the night before, °C */
  @IsOptional()
  @IsNumber(FINITE)
  @Min(-60)
  @Max(60)
  nightC?: number | null;
}
