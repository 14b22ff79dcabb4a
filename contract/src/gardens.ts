import { type Stock } from '@candid-leaf/core/support';
import { OneLine, GardenFacts, IsCalendarDay, IsListOf, IsPart, FINITE } from '@candid-leaf/core/records';
import {
  type AreaUnit,
  type Day,
  type LengthUnit,
  type MassUnit,
  type TemperatureUnit,
  type Units,
  type VolumeUnit,
  SCALE_STEPS_G,
  SPOON_SETS,
  type SpoonSet,
  DATE_FORMS,
  type DateForm,
} from '@candid-leaf/core/units';
import { PEPPER_FEEDS, type PepperFeed, STARTER_METHODS, type StarterMethod } from '@candid-leaf/core/nutrition';
import type { Away } from '@candid-leaf/core/walks';
import {
  IsBoolean,
  IsIn,
  IsInt,
  IsOptional,
  IsString,
  IsTimeZone,
  MaxLength,
  Min,
  MinLength,
  IsNumber,
  Max,
} from 'class-validator';
import { IsId } from './id.js';
import type { Role } from './roles.js';
import { WEATHER_SERVICES, type WeatherServiceCode } from './weather.js';

/** The units a garden uses. */
export class UnitChoice implements Units {
  @IsIn(['C', 'F'])
  temperature: TemperatureUnit;

  @IsIn(['L', 'gal-us', 'gal-imp'])
  volume: VolumeUnit;

  @IsIn(['cm', 'in'])
  length: LengthUnit;

  @IsIn(['g', 'oz'])
  mass: MassUnit;

  @IsIn(['m2', 'ft2'])
  area: AreaUnit;

  /** the smallest step of the scale, g; 0 without a scale */
  @IsOptional()
  @IsIn(SCALE_STEPS_G)
  scaleStepG?: number | null;

  @IsOptional()
  @IsIn(SPOON_SETS)
  spoons?: SpoonSet | null;
}

/** First and last day of an absence. */
export class AwayDays implements Away {
  @IsCalendarDay()
  from: Day;

  @IsCalendarDay()
  to: Day;
}

const STOCK = { message: 'must be 0 to 10 000' };
const ROLL = { message: 'must be 1 to 10 000' };
/** Numbers in stock; fields left out were not counted. */
export class StockInput implements Stock {
  @IsOptional()
  @IsNumber(FINITE)
  @Min(0, STOCK)
  @Max(10_000, STOCK)
  clothM2?: number | null;

  @IsOptional()
  @IsInt()
  @Min(0, STOCK)
  @Max(10_000, STOCK)
  covers?: number | null;

  @IsOptional()
  @IsInt()
  @Min(0, STOCK)
  @Max(10_000, STOCK)
  cages?: number | null;

  @IsOptional()
  @IsInt()
  @Min(0, STOCK)
  @Max(10_000, STOCK)
  stakes?: number | null;

  @IsOptional()
  @IsInt()
  @Min(0, STOCK)
  @Max(10_000, STOCK)
  canes?: number | null;

  @IsOptional()
  @IsNumber(FINITE)
  @Min(0, STOCK)
  @Max(10_000, STOCK)
  stringM?: number | null;

  @IsOptional()
  @IsInt()
  @Min(0, STOCK)
  @Max(10_000, STOCK)
  ties?: number | null;

  @IsOptional()
  @IsNumber(FINITE)
  @Min(0, STOCK)
  @Max(10_000, STOCK)
  priceCage?: number | null;

  @IsOptional()
  @IsNumber(FINITE)
  @Min(0, STOCK)
  @Max(10_000, STOCK)
  priceStake?: number | null;

  @IsOptional()
  @IsNumber(FINITE)
  @Min(0, STOCK)
  @Max(10_000, STOCK)
  priceMesh?: number | null;

  @IsOptional()
  @IsNumber(FINITE)
  @Min(0, STOCK)
  @Max(10_000, STOCK)
  priceString?: number | null;

  @IsOptional()
  @IsNumber(FINITE)
  @Min(1, ROLL)
  @Max(10_000, ROLL)
  rollM?: number | null;

  @IsOptional()
  @IsNumber(FINITE)
  @Min(0, STOCK)
  @Max(10_000, STOCK)
  barrelL?: number | null;

  @IsOptional()
  @IsNumber(FINITE)
  @Min(0, STOCK)
  @Max(10_000, STOCK)
  roofM2?: number | null;

  @IsOptional()
  @IsNumber(FINITE)
  @Min(0, STOCK)
  @Max(10_000, STOCK)
  barrelSeenL?: number | null;

  @IsOptional()
  @IsCalendarDay()
  barrelSeenOn?: Day | null;
}

/** Days on which a week may start. */
export const WEEK_STARTS = ['monday', 'sunday', 'saturday'] as const;

/** A garden's settings as entered. */
export class GardenInput extends GardenFacts {
  @IsId()
  id: string;

  /** the version this change is based on; absent for a new garden */
  @IsOptional()
  @IsInt()
  @Min(1)
  version?: number;

  @IsString()
  @OneLine()
  @MinLength(1, { message: 'must not be empty' })
  @MaxLength(80)
  name: string;

  @IsTimeZone({ message: 'must be a time zone such as Europe/Rome' })
  timeZone: string;

  @IsPart(() => UnitChoice)
  units: UnitChoice;

  @IsIn(WEEK_STARTS)
  weekStart: (typeof WEEK_STARTS)[number];

  @IsIn(DATE_FORMS)
  dateForm: DateForm;

  /** a demo garden is paused on this day until it is moved; others follow their calendar */
  @IsOptional()
  @IsCalendarDay()
  pinnedDate?: Day | null;

  /** offer only products allowed in organic growing */
  @IsOptional()
  @IsBoolean()
  organicOnly?: boolean | null;

  /** may be counted with other gardens of its region; no if left out */
  @IsOptional()
  @IsBoolean()
  shareCounts?: boolean | null;

  /** supports and covers in the shed */
  @IsPart(() => StockInput, { optional: true })
  stock?: StockInput | null;

  /** feed at planting; compost and a balanced feed if left out */
  @IsOptional()
  @IsIn(STARTER_METHODS)
  starter?: StarterMethod | null;

  /** feeding of healthy peppers in flower; none if left out */
  @IsOptional()
  @IsIn(PEPPER_FEEDS)
  pepperFeed?: PepperFeed | null;

  @IsListOf(() => AwayDays, { most: 20, optional: true })
  away?: AwayDays[] | null;

  /** where its weather comes from; the first service of the installation if left out */
  @IsOptional()
  @IsIn(WEATHER_SERVICES)
  weatherService?: WeatherServiceCode | null;
}

/** A garden's settings as stored. */
export interface GardenDto extends GardenInput {
  version: number;
  /** the garden's calendar day */
  today: Day;
}

/** A garden in the list of those a person may see. */
export interface MyGarden extends GardenDto {
  role: Role;
}
