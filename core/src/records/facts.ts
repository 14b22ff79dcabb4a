import 'reflect-metadata';
import { OneLine } from './text.js';
import {
  ArrayMaxSize,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsNumber,
  IsOptional,
  IsString,
  Max,
  MaxLength,
  Min,
} from 'class-validator';
import type { Day } from '../units/day.js';
import { VarietyTendencies } from './tendencies.js';
import { Dated, FINITE, IsCalendarDay } from './dated.js';
import { IsListOf, IsPart } from './parts.js';
import {
  type Cover,
  COVERS,
  PLACE_KINDS,
  type PlaceKind,
  POT_MATERIALS,
  type PotMaterial,
  type Texture,
  TEXTURES,
  type Vents,
  VENTS,
  SLOPES,
  type Slope,
} from './place.js';
import { SUPPORTS } from './choices.js';
import {
  type Crop,
  CROPS,
  GROWTH_HABITS,
  type GrowthHabit,
  PLANT_TYPES,
  type PlantType,
  type Stage,
  STAGES,
} from './plant.js';
import { SoilValues } from './soil-values.js';
import { DISORDER_CODES, type DisorderCode } from './vocabulary/disorders.js';

export * from './garden-facts.js';

// Facts about a bed or pot, and a plant, besides its daily records; about the garden in `garden-facts.ts`.

const LEVELS = ['low', 'ok', 'high'] as const;
/** Most spells of mulch or shade, and earlier years, for one bed or pot: a hundred of each is a lifetime. */
const MOST_SPELLS = 100;
/** A level in a soil test: low, right or high. */
export type Level = (typeof LEVELS)[number];

/** Mulch from one day to another, with its material and depth, mm. */
export class MulchSpell {
  @IsCalendarDay()
  from: Day;

  @IsOptional()
  @IsCalendarDay()
  to?: Day | null;

  @IsOptional()
  @IsString()
  @OneLine()
  @MaxLength(40)
  kind?: string;

  @IsNumber(FINITE)
  @Min(0)
  @Max(500)
  depthMm: number;
}

/** Shade from one day to another, %. */
export class ShadeSpell {
  @IsCalendarDay()
  from: Day;

  @IsOptional()
  @IsCalendarDay()
  to?: Day | null;

  @IsNumber(FINITE)
  @Min(0)
  @Max(95)
  blockPct: number;
}

/** A rain cover from one day to another. */
export class RoofSpell {
  @IsCalendarDay()
  from: Day;

  @IsOptional()
  @IsCalendarDay()
  to?: Day | null;
}

/** A soil test as its sheet gives it. */
export class SoilTest extends Dated {
  @IsOptional()
  @IsNumber(FINITE)
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
  @IsNumber(FINITE)
  @Min(0)
  @Max(60)
  saltsDsPerM?: number;

  /** the laboratory's own numbers; the levels above are read from them */
  @IsPart(() => SoilValues, { optional: true })
  values?: SoilValues | null;
}

/** What grew in a bed in an earlier year, and its problems. */
export class EarlierYear {
  @IsInt()
  @Min(1900)
  @Max(2200)
  year: number;

  @IsIn(['nightshade', 'other'])
  family: 'nightshade' | 'other';

  @IsOptional()
  @IsArray()
  @ArrayMaxSize(DISORDER_CODES.length)
  @IsIn(DISORDER_CODES, { each: true, message: 'names a problem that is not in the handbook' })
  problems?: DisorderCode[];
}

/** What describes a bed or pot; a case file and a garden both use it. */
export class PlaceMake {
  @IsIn(PLACE_KINDS)
  kind: PlaceKind;

  @IsIn(TEXTURES)
  texture: Texture;

  /** its cover; usual for its type if left out */
  @IsOptional()
  @IsIn(COVERS)
  cover?: Cover | null;

  /** vents of a tunnel or glasshouse by day; assumed closed if not stated */
  @IsOptional()
  @IsIn(VENTS)
  vents?: Vents | null;

  /** cold air collects here at night */
  @IsOptional()
  @IsBoolean()
  hollow?: boolean | null;

  /** hours of direct sun on a clear day in summer */
  @IsOptional()
  @IsNumber(FINITE)
  @Min(0)
  @Max(18)
  sunHours?: number | null;

  /** low end of a slope or garden: water collects here */
  @IsOptional()
  @IsBoolean()
  lowEnd?: boolean | null;

  /** how steep it is: water runs off a slope sooner */
  @IsOptional()
  @IsIn(SLOPES)
  slope?: Slope | null;

  /** exposed to wind */
  @IsOptional()
  @IsBoolean()
  windy?: boolean | null;

  /** people pass close by */
  @IsOptional()
  @IsBoolean()
  footpath?: boolean | null;

  /** indoors: lowest and highest room temperature of a day, °C */
  @IsOptional()
  @IsNumber(FINITE)
  @Min(-10)
  @Max(45)
  roomTMinC?: number | null;

  @IsOptional()
  @IsNumber(FINITE)
  @Min(-10)
  @Max(45)
  roomTMaxC?: number | null;

  @IsOptional()
  @IsNumber(FINITE)
  @Min(0.03, { message: 'must be 0.03 litres (a seedling cell) or more' })
  @Max(5000)
  volumeL?: number | null;

  /** soil depth of a raised bed, cm */
  @IsOptional()
  @IsNumber(FINITE)
  @Min(5)
  @Max(200)
  fillingCm?: number | null;

  @IsOptional()
  @IsIn(POT_MATERIALS)
  potMaterial?: PotMaterial | null;

  @IsListOf(() => MulchSpell, { most: MOST_SPELLS, optional: true })
  mulch?: MulchSpell[];

  @IsListOf(() => ShadeSpell, { most: MOST_SPELLS, optional: true })
  shade?: ShadeSpell[];

  @IsOptional()
  @IsNumber(FINITE)
  @Min(0.1, { message: 'must be above 0: a hole that never drains is a pond' })
  @Max(2000)
  drainageMmPerH?: number | null;

  @IsPart(() => SoilTest, { optional: true })
  soilTest?: SoilTest | null;

  @IsListOf(() => EarlierYear, { most: MOST_SPELLS, optional: true })
  history?: EarlierYear[];
}

/** A bed or pot as far as advice depends on it. */
export class PlaceFacts extends PlaceMake {
  /** soil per plant; the spacing squared if not given */
  @IsOptional()
  @IsNumber(FINITE)
  @Min(0.01)
  @Max(100)
  areaM2?: number | null;

  /** plants that carry the crop's pests and viruses stand close by */
  @IsOptional()
  @IsBoolean()
  hostsNear?: boolean;

  /** compost worked in within the year, cm */
  @IsOptional()
  @IsNumber(FINITE)
  @Min(0)
  @Max(30)
  compostCm?: number;

  /** compost in this plant's hole, put there within the year, L */
  @IsOptional()
  @IsNumber(FINITE)
  @Min(0)
  @Max(50)
  holeCompostL?: number;

  /** rain covers put on for a time; `cover` is what always stands there */
  @IsListOf(() => RoofSpell, { most: MOST_SPELLS, optional: true })
  roofed?: RoofSpell[];
}

/** What describes a plant; a case file and a garden both use it. */
export class PlantMake {
  @IsIn(CROPS)
  crop: Crop;

  @IsOptional()
  @IsIn(GROWTH_HABITS)
  habit?: GrowthHabit | null;

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
  @IsNumber(FINITE)
  @Min(0.01)
  @Max(6)
  heightM?: number | null;

  /** entered when it was planted: what is not recorded was not done yet */
  @IsOptional()
  @IsBoolean()
  sinceStart?: boolean;

  /** what holds it up, if that is recorded */
  @IsOptional()
  @IsIn(SUPPORTS)
  support?: (typeof SUPPORTS)[number];

  @IsOptional()
  @IsNumber(FINITE)
  @Min(0.05)
  @Max(5)
  spacingM?: number | null;

  @IsOptional()
  @IsArray()
  @ArrayMaxSize(DISORDER_CODES.length)
  @IsIn(DISORDER_CODES, { each: true, message: 'names a problem that is not in the handbook' })
  resistantTo?: DisorderCode[];
}

/** A problem, and on how many plants it was found. */
export class FoundOn {
  @IsIn(DISORDER_CODES, { message: 'names a problem that is not in the handbook' })
  disorder: DisorderCode;

  @IsInt()
  @Min(1)
  @Max(100_000)
  plants: number;
}

/** What was found on the other plants of a variety in this garden. */
export class AlikePlants {
  /** other plants of this variety, of all seasons */
  @IsInt()
  @Min(1)
  @Max(100_000)
  of: number;

  @IsListOf(() => FoundOn, { most: DISORDER_CODES.length })
  found: FoundOn[];
}

/** A plant as far as advice depends on it. */
export class PlantFacts extends PlantMake {
  /** how its variety differs from others */
  @IsPart(() => VarietyTendencies, { optional: true })
  tendencies?: VarietyTendencies | null;

  /** what was found on other plants of its variety here */
  @IsPart(() => AlikePlants, { optional: true })
  alike?: AlikePlants | null;

  @IsOptional()
  @IsString()
  @OneLine()
  @MaxLength(120)
  name?: string;
}
