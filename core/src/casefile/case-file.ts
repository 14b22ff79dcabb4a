import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  Equals,
  IsArray,
  IsBoolean,
  IsDefined,
  IsIn,
  IsInt,
  IsNumber,
  IsObject,
  IsOptional,
  IsString,
  Matches,
  Max,
  MaxLength,
  Min,
  ValidateNested,
} from 'class-validator';
import type { Day } from '../day.js';
import { DISORDER_CODES, type DisorderCode } from '../diagnosis/vocabulary/disorders.js';
import { SIGN_CODES, type SignCode } from '../diagnosis/vocabulary/signs.js';
import {
  CROPS,
  HABITS,
  PLACE_KINDS,
  PLANT_TYPES,
  POT_MATERIALS,
  STAGES,
  type Crop,
  type Habit,
  type PlaceKind,
  type PlantType,
  type PotMaterial,
  type Stage,
} from '../plant.js';
import { TEXTURES, type Texture } from '../water/soils.js';
import {
  Dated,
  Feeding,
  Happening,
  IsCalendarDay,
  PotWeight,
  Pruning,
  SoilCheck,
  Spraying,
  Watering,
  WeatherRecord,
} from './record-classes.js';

const number = { allowNaN: false, allowInfinity: false };
const MONTH_DAY = /^(0[1-9]|1[0-2])-(0[1-9]|[12]\d|3[01])$/;
const LEVELS = ['low', 'ok', 'high'] as const;
export type Level = (typeof LEVELS)[number];
export const MULCH_KINDS = ['straw', 'leaves', 'grass', 'compost', 'bark', 'paper', 'film', 'other'] as const;

export class GardenFacts {
  @IsNumber(number)
  @Min(-66)
  @Max(66)
  latitude: number;

  @IsNumber(number)
  @Min(-180)
  @Max(180)
  longitude: number;

  @IsNumber(number)
  @Min(-430)
  @Max(5500)
  elevationM: number;

  @IsOptional()
  @Matches(MONTH_DAY, { message: 'must be a month and day, MM-DD' })
  lastFrost?: string | null;

  @IsOptional()
  @Matches(MONTH_DAY, { message: 'must be a month and day, MM-DD' })
  firstFrost?: string | null;
}

export class MulchSpell {
  @IsCalendarDay()
  from: Day;

  @IsOptional()
  @IsCalendarDay()
  to?: Day | null;

  @IsOptional()
  @IsString()
  @MaxLength(40)
  kind?: string;

  @IsNumber(number)
  @Min(0)
  @Max(500)
  depthMm: number;
}

export class ShadeSpell {
  @IsCalendarDay()
  from: Day;

  @IsOptional()
  @IsCalendarDay()
  to?: Day | null;

  @IsNumber(number)
  @Min(0)
  @Max(95)
  blockPct: number;
}

export class SoilTest extends Dated {
  @IsOptional()
  @IsNumber(number)
  @Min(2, { message: 'must be a soil pH between 2 and 11' })
  @Max(11, { message: 'must be a soil pH between 2 and 11' })
  pH?: number;

  @IsOptional()
  @IsIn(LEVELS)
  calcium?: Level;

  @IsOptional()
  @IsIn(LEVELS)
  nitrogen?: Level;

  @IsOptional()
  @IsIn(LEVELS)
  phosphorus?: Level;

  @IsOptional()
  @IsIn(LEVELS)
  potassium?: Level;

  @IsOptional()
  @IsIn(LEVELS)
  magnesium?: Level;

  @IsOptional()
  @IsNumber(number)
  @Min(0)
  @Max(60)
  saltsDsPerM?: number;
}

export class EarlierYear {
  @IsInt()
  @Min(1900)
  @Max(2200)
  year: number;

  @IsIn(['nightshade', 'other'])
  family: 'nightshade' | 'other';

  @IsOptional()
  @IsArray()
  @IsIn(DISORDER_CODES, { each: true, message: 'names a disorder that is not in the vocabulary' })
  problems?: DisorderCode[];
}

/** What a place is made of; both a case file's place and a garden's have it. */
export class PlaceMake {
  @IsIn(PLACE_KINDS)
  kind: PlaceKind;

  @IsIn(TEXTURES)
  texture: Texture;

  @IsOptional()
  @IsNumber(number)
  @Min(0.5, { message: 'must be 0.5 litres or more for anything to grow in' })
  @Max(5000)
  volumeL?: number | null;

  @IsOptional()
  @IsIn(POT_MATERIALS)
  potMaterial?: PotMaterial | null;

  @IsOptional()
  @IsArray()
  @ValidateNested({ each: true })
  @Type(() => MulchSpell)
  mulch?: MulchSpell[];

  @IsOptional()
  @IsArray()
  @ValidateNested({ each: true })
  @Type(() => ShadeSpell)
  shade?: ShadeSpell[];

  @IsOptional()
  @IsNumber(number)
  @Min(0.1, { message: 'must be above 0: a hole that never drains is a pond' })
  @Max(2000)
  drainageMmPerH?: number | null;

  @IsOptional()
  @IsObject()
  @ValidateNested()
  @Type(() => SoilTest)
  soilTest?: SoilTest | null;

  @IsOptional()
  @IsArray()
  @ValidateNested({ each: true })
  @Type(() => EarlierYear)
  history?: EarlierYear[];
}

export class PlaceFacts extends PlaceMake {
  /** soil per plant; the spacing squared where it is not given */
  @IsOptional()
  @IsNumber(number)
  @Min(0.01)
  @Max(100)
  areaM2?: number | null;
}

export class PlantFacts {
  @IsIn(CROPS)
  crop: Crop;

  @IsOptional()
  @IsString()
  @MaxLength(120)
  name?: string;

  @IsOptional()
  @IsIn(HABITS)
  habit?: Habit | null;

  @IsOptional()
  @IsIn(PLANT_TYPES)
  type?: PlantType | null;

  @IsOptional()
  @IsIn(STAGES)
  stage?: Stage | null;

  @IsOptional()
  @IsCalendarDay()
  transplantedOn?: Day | null;

  @IsOptional()
  @IsNumber(number)
  @Min(0.01)
  @Max(6)
  heightM?: number | null;

  @IsOptional()
  @IsNumber(number)
  @Min(0.05)
  @Max(5)
  spacingM?: number | null;

  @IsOptional()
  @IsArray()
  @IsIn(DISORDER_CODES, { each: true, message: 'names a disorder that is not in the vocabulary' })
  resistantTo?: DisorderCode[];
}

export class CaseRecords {
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(4000)
  @ValidateNested({ each: true })
  @Type(() => WeatherRecord)
  weather: WeatherRecord[];

  @IsOptional()
  @IsArray()
  @ArrayMaxSize(4000)
  @ValidateNested({ each: true })
  @Type(() => Watering)
  watering: Watering[];

  @IsOptional()
  @IsArray()
  @ArrayMaxSize(4000)
  @ValidateNested({ each: true })
  @Type(() => SoilCheck)
  soilChecks: SoilCheck[];

  @IsOptional()
  @IsArray()
  @ArrayMaxSize(4000)
  @ValidateNested({ each: true })
  @Type(() => PotWeight)
  potWeights: PotWeight[];

  @IsOptional()
  @IsArray()
  @ArrayMaxSize(4000)
  @ValidateNested({ each: true })
  @Type(() => Feeding)
  feeding: Feeding[];

  @IsOptional()
  @IsArray()
  @ArrayMaxSize(4000)
  @ValidateNested({ each: true })
  @Type(() => Pruning)
  pruning: Pruning[];

  @IsOptional()
  @IsArray()
  @ArrayMaxSize(4000)
  @ValidateNested({ each: true })
  @Type(() => Spraying)
  sprays: Spraying[];

  @IsOptional()
  @IsArray()
  @ArrayMaxSize(4000)
  @ValidateNested({ each: true })
  @Type(() => Happening)
  events: Happening[];
}

export const SEVERITIES = ['slight', 'moderate', 'severe'] as const;
export type Severity = (typeof SEVERITIES)[number];

/** One sign looked for, without its day: what an inspection holds. */
export class SignSeen {
  @IsIn(SIGN_CODES, { message: 'is not a sign of the vocabulary' })
  sign: SignCode;

  @IsBoolean()
  present: boolean;

  @IsOptional()
  @IsInt()
  @Min(0)
  @Max(100_000)
  affected?: number | null;

  @IsOptional()
  @IsInt()
  @Min(1)
  @Max(100_000)
  of?: number | null;

  @IsOptional()
  @IsIn(SEVERITIES)
  severity?: Severity | null;
}

export class Observation extends SignSeen {
  @IsCalendarDay()
  date: Day;
}

/** One plant's story: the format `candid-leaf-case`, version 1. */
export class CaseFile {
  @Equals('candid-leaf-case', { message: 'must be "candid-leaf-case"' })
  format: 'candid-leaf-case';

  @Equals(1, { message: 'must be 1: no other version is known' })
  version: 1;

  @IsCalendarDay()
  asOf: Day;

  @IsDefined()
  @IsObject()
  @ValidateNested()
  @Type(() => GardenFacts)
  garden: GardenFacts;

  @IsDefined()
  @IsObject()
  @ValidateNested()
  @Type(() => PlaceFacts)
  place: PlaceFacts;

  @IsDefined()
  @IsObject()
  @ValidateNested()
  @Type(() => PlantFacts)
  plant: PlantFacts;

  @IsDefined()
  @IsObject()
  @ValidateNested()
  @Type(() => CaseRecords)
  records: CaseRecords;

  @IsArray()
  @ArrayMaxSize(4000)
  @ValidateNested({ each: true })
  @Type(() => Observation)
  observations: Observation[];
}
