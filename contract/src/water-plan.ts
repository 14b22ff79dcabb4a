import {
  SCHOOL_CODES,
  TEXTURES,
  type Day,
  type SchoolCode,
  type SetUp,
  type Texture,
  type WeekPlan,
} from '@candid-leaf/core';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  ArrayUnique,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsNumber,
  IsOptional,
  IsString,
  IsUUID,
  Max,
  MaxLength,
  Min,
  MinLength,
  ValidateNested,
} from 'class-validator';

const number = { allowNaN: false, allowInfinity: false };

/** How a place is watered: the gardener's school and what local rules allow. */
export class PlaceWatering {
  @IsOptional()
  @IsIn(SCHOOL_CODES)
  school?: SchoolCode | null;

  @IsOptional()
  @IsIn(['damp', 'dry'])
  lean?: 'damp' | 'dry' | null;

  @IsOptional()
  @IsBoolean()
  drierFinish?: boolean | null;

  /** 0 Sunday to 6 Saturday; none or all seven: no restriction */
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(7)
  @ArrayUnique()
  @IsInt({ each: true })
  @Min(0, { each: true })
  @Max(6, { each: true })
  allowedDays?: number[] | null;

  /** for the whole place */
  @IsOptional()
  @IsNumber(number)
  @Min(1)
  @Max(100_000)
  weeklyCapL?: number | null;

  /** the outlet of the hose timer that waters this place */
  @IsOptional()
  @IsInt()
  @Min(1)
  @Max(8, { message: 'the timer has zones 1 to 8' })
  timerZone?: number | null;
}

/** One planned run beside what the timer says it did. */
export interface TimerRun {
  day: Day;
  minutes: number;
  litres: number;
  ranMinutes: number | null;
  ranLitres: number | null;
  /** in words, where what ran is not what was planned */
  differs: string | null;
}

export interface TimerView {
  zone: number;
  sentAt: string | null;
  readAt: string | null;
  trouble: string | null;
  runs: TimerRun[];
}

/** What a change would do here, in numbers, by a season like the last weeks. */
export interface WhatIf {
  what: 'mulch' | 'bigger-pot';
  /** millimetres of mulch, or litres of pot */
  size: number;
  litresPerWeek: number;
  daysBetween: number;
  evenness: number;
}

/** The coming week of one place. */
export interface PlacePlan {
  placeId: string;
  plants: number;
  school: SchoolCode;
  schools: SchoolCode[];
  watering: PlaceWatering;
  /** null where nothing can be reckoned */
  plan: WeekPlan | null;
  /** for the driest of its plants */
  plantName: string | null;
  fractionAvailable: number | null;
  /** standard error of that fraction */
  uncertainty: number | null;
  evenness: number | null;
  /** days until the driest is at its limit, with no water; null for more than a week */
  dryInDays: number | null;
  /** how the place is now, and what would change it */
  now: Omit<WhatIf, 'what' | 'size'> | null;
  whatIf: WhatIf[];
  weatherUntil: Day | null;
  forecastUntil: Day | null;
  timer: TimerView | null;
}

/** One habit or change on the bench. */
export class SetUpInput implements SetUp {
  @IsString()
  @MinLength(1, { message: 'must not be empty' })
  @MaxLength(60)
  name: string;

  @IsIn([...SCHOOL_CODES, 'timer', 'remembered', 'recorded'])
  habit: SetUp['habit'];

  @IsOptional()
  @IsInt()
  @Min(1)
  @Max(30)
  everyDays?: number | null;

  @IsOptional()
  @IsNumber(number)
  @Min(0.1)
  @Max(100)
  litres?: number | null;

  @IsOptional()
  @IsNumber(number)
  @Min(0)
  @Max(200)
  mulchMm?: number | null;

  @IsOptional()
  @IsNumber(number)
  @Min(1, { message: 'a pot under 1 litre is too small for a tomato or a pepper: is it really litres?' })
  @Max(500)
  volumeL?: number | null;

  @IsOptional()
  @IsIn(TEXTURES)
  texture?: Texture | null;

  @IsOptional()
  @IsNumber(number)
  @Min(0)
  @Max(90)
  shadePct?: number | null;
}

export class BenchInput {
  @IsUUID()
  id: string;

  @IsOptional()
  @IsInt()
  @Min(1)
  version?: number;

  @IsUUID()
  placeId: string;

  @IsString()
  @MinLength(1, { message: 'must not be empty' })
  @MaxLength(80)
  name: string;

  @IsIn(['recorded', 'simulated'])
  weather: 'recorded' | 'simulated';

  @IsInt()
  @Min(1)
  @Max(200)
  years: number;

  @IsArray()
  @ArrayMinSize(2, { message: 'at least two are needed to compare' })
  @ArrayMaxSize(6, { message: 'at most six stand side by side' })
  @ValidateNested({ each: true })
  @Type(() => SetUpInput)
  setUps: SetUpInput[];
}

export interface BenchDto extends BenchInput {
  version: number;
}
