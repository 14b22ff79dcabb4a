import 'reflect-metadata';
import { IsIn, IsNumber, IsOptional, Matches, Max, Min } from 'class-validator';
import { FINITE } from './dated.js';
import { IsListOf } from './parts.js';

// Facts about a garden as far as advice depends on them.

const MONTH_DAY = /^(0[1-9]|1[0-2])-(0[1-9]|[12]\d|3[01])$/;

/** The warm part of the year, or the mild winter of a hot country, on purpose. */
export const SEASON_MODES = ['warm', 'mild-winter'] as const;
/** When the growing season lies: in the warm months, or through a mild winter. */
export type SeasonMode = (typeof SEASON_MODES)[number];

/** The usual weather of a month, where a weather service gave years of days. */
export class MonthOfClimate {
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
  @Max(1)
  wetAfterDry: number;

  @IsNumber(FINITE)
  @Min(0)
  @Max(1)
  wetAfterWet: number;

  @IsNumber(FINITE)
  @Min(0)
  @Max(200)
  rainPerWetDayMm: number;

  @IsNumber(FINITE)
  @Min(0)
  @Max(100)
  rhMeanPct: number;

  @IsNumber(FINITE)
  @Min(0)
  @Max(60)
  windMs: number;
}

/** The garden as far as advice depends on it. */
export class GardenFacts {
  @IsNumber(FINITE)
  @Min(-66)
  @Max(66)
  latitude: number;

  @IsNumber(FINITE)
  @Min(-180)
  @Max(180)
  longitude: number;

  @IsNumber(FINITE)
  @Min(-430)
  @Max(5500)
  elevationM: number;

  @IsOptional()
  @Matches(MONTH_DAY, { message: 'must be a month and day, such as 05-12' })
  lastFrost?: string | null;

  @IsOptional()
  @Matches(MONTH_DAY, { message: 'must be a month and day, such as 05-12' })
  firstFrost?: string | null;

  /** the warm part of the year, or the mild winter of a hot country, on purpose; warm if left out */
  @IsOptional()
  @IsIn(SEASON_MODES)
  seasonMode?: SeasonMode | null;

  /** January first; estimated from the location if left out */
  @IsListOf(() => MonthOfClimate, { most: 12, optional: true })
  climate?: MonthOfClimate[] | null;
}
