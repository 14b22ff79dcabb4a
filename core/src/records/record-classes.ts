import 'reflect-metadata';
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
  MinLength,
  ValidateIf,
} from 'class-validator';
import {
  WATERING_WAYS,
  WATERING_ENDS,
  CHECKED_BY,
  type WaterMethod,
  SOIL_FEELS,
  FEED_FORMS,
  CUT_KINDS,
  SPRAYS,
  EVENTS,
  PICK_STATES,
  type PickState,
  PICK_RIPENESS,
  type PickRipeness,
  PICK_USES,
  type PickUse,
  NEIGHBOURS,
  NEIGHBOUR_DEEDS,
} from './choices.js';
import { Dated, FINITE } from './dated.js';
import { SignSeen } from './observation.js';
import { IsListOf } from './parts.js';

/**
 * What can be recorded, one class per record type. Case file, API and forms all use these classes, so each limit is
 * defined once. `record-types.ts` says which types there are and what they are for.
 */

/** Most letters of a reason given for something usually refused. */
const MOST_REASON = 200;
const MOST_LITRES = 200;
const MOST_MINUTES = 1440;
const TOO_MUCH = { message: `must not be more than ${MOST_LITRES} litres per plant` };

/** A watering as stored: always litres per plant, plus the minutes it ran if entered that way. */
export class Watering extends Dated {
  @IsNumber(FINITE)
  @Min(0)
  @Max(MOST_LITRES, TOO_MUCH)
  litres: number;

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

/** A watering as entered: litres per plant, or minutes if the flow is known. Stored form: `Watering`. */
export class WateringEntry extends Dated {
  @ValidateIf((o: WateringEntry) => o.minutes == null || o.litres != null)
  @IsNumber(FINITE, { message: 'must be a number of litres (or give minutes instead)' })
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
}

/** Grams of product per plant as applied, with N, P₂O₅ and K₂O in percent by weight. */
export class Feeding extends Dated {
  @IsOptional()
  @IsString()
  @MaxLength(120)
  product?: string;

  @IsNumber(FINITE)
  @Min(0)
  @Max(100)
  n: number;

  @IsNumber(FINITE)
  @Min(0)
  @Max(100)
  p2o5: number;

  @IsNumber(FINITE)
  @Min(0)
  @Max(100)
  k2o: number;

  @IsNumber(FINITE)
  @Min(0)
  @Max(20_000)
  grams: number;

  @IsOptional()
  @IsIn(FEED_FORMS)
  form?: (typeof FEED_FORMS)[number];

  /** why it was more than the safe amount */
  @IsOptional()
  @IsString()
  @MaxLength(MOST_REASON)
  because?: string;
}

/** A cut: what, how much, and its share of the leaves, %. */
export class Pruning extends Dated {
  @IsOptional()
  @IsInt()
  @Min(0)
  @Max(500)
  cuts?: number;

  @IsOptional()
  @IsNumber(FINITE)
  @Min(0)
  @Max(100)
  leafSharePct?: number;

  @IsOptional()
  @IsArray()
  @ArrayMaxSize(CUT_KINDS.length)
  @IsIn(CUT_KINDS, { each: true })
  what?: (typeof CUT_KINDS)[number][];

  /** why it was so much */
  @IsOptional()
  @IsString()
  @MaxLength(MOST_REASON)
  because?: string;
}

/** A spray: product, amount and reason. */
export class Spraying extends Dated {
  @IsIn(SPRAYS)
  product: (typeof SPRAYS)[number];

  @IsOptional()
  @IsNumber(FINITE)
  @Min(-60)
  @Max(60)
  tMaxC?: number;

  /** its name on the label */
  @IsOptional()
  @IsString()
  @MaxLength(80)
  name?: string;

  /** the problem it was against */
  @IsOptional()
  @IsString()
  @MaxLength(80)
  target?: string;

  /** grams or millilitres of product per litre of water */
  @IsOptional()
  @IsNumber(FINITE)
  @Min(0)
  @Max(1000)
  perLitre?: number;

  /** total litres mixed */
  @IsOptional()
  @IsNumber(FINITE)
  @Min(0)
  @Max(MOST_LITRES)
  batchL?: number;

  /** on one leaf only, to test for burns */
  @IsOptional()
  @IsBoolean()
  trial?: boolean;

  /** days until harvest, by the label at that time */
  @IsOptional()
  @IsInt()
  @Min(0)
  @Max(365)
  harvestDays?: number;

  /** hours until re-entry, by the label at that time */
  @IsOptional()
  @IsInt()
  @Min(0)
  @Max(720)
  reentryHours?: number;

  /** days until the next spray, by the label at that time */
  @IsOptional()
  @IsInt()
  @Min(0)
  @Max(365)
  everyDays?: number;

  @IsOptional()
  @IsString()
  @MaxLength(MOST_REASON)
  because?: string;
}

/** Picked fruit of one condition: how many, how heavy, and for what use. */
export class Picking extends Dated {
  @IsOptional()
  @IsInt()
  @Min(1)
  @Max(2000, { message: 'must not be more than 2000 fruit at once' })
  count?: number | null;

  /** total weight, g */
  @IsOptional()
  @IsNumber(FINITE)
  @Min(1)
  @Max(50_000, { message: 'must not be more than 50 kg: no plant bears that much at once' })
  grams?: number | null;

  @IsIn(PICK_STATES)
  state: PickState;

  @IsIn(PICK_USES)
  use: PickUse;

  @IsOptional()
  @IsIn(PICK_RIPENESS)
  ripeness?: PickRipeness | null;

  /** why it was picked during a waiting time, or weighs so much */
  @IsOptional()
  @IsString()
  @MaxLength(MOST_REASON)
  because?: string;
}

/** An event, such as hail, a move or a tie. */
export class Happening extends Dated {
  @IsIn(EVENTS)
  what: (typeof EVENTS)[number];

  /** why it was done during a waiting time */
  @IsOptional()
  @IsString()
  @MaxLength(MOST_REASON)
  because?: string;
}

/** One look at a plant: signs found and not found, or all clear. */
export class Inspection extends Dated {
  @IsBoolean()
  allClear: boolean;

  @IsOptional()
  @IsIn(['morning', 'afternoon'])
  partOfDay?: 'morning' | 'afternoon';

  @IsListOf(() => SignSeen, { most: 200 })
  signs: SignSeen[];
}

/** A note in one's own words. */
export class Note extends Dated {
  @IsString()
  @MinLength(1, { message: 'must not be empty' })
  @MaxLength(2000)
  text: string;
}

/** One truss as counted: open or faded flowers, and fruit set. */
export class TrussCount extends Dated {
  /** counted from below */
  @IsInt()
  @Min(1)
  @Max(40)
  truss: number;

  @IsInt()
  @Min(0)
  @Max(200)
  flowers: number;

  @IsInt()
  @Min(0)
  @Max(200)
  fruit: number;
}

/** What grows beside the crop: companions, weeds, host plants. */
export class Neighbour extends Dated {
  @IsIn(NEIGHBOURS)
  what: (typeof NEIGHBOURS)[number];

  @IsIn(NEIGHBOUR_DEEDS)
  did: (typeof NEIGHBOUR_DEEDS)[number];
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
}

/** The stored class of each record type. */
export const RECORD_CLASSES = {
  watering: Watering,
  'soil-check': SoilCheck,
  'soil-warmth': SoilWarmth,
  feeding: Feeding,
  pruning: Pruning,
  note: Note,
  spray: Spraying,
  event: Happening,
  picking: Picking,
  'pot-weight': PotWeight,
  'rain-gauge': RainGauge,
  'truss-count': TrussCount,
  neighbour: Neighbour,
  inspection: Inspection,
};

/** The entry class of each, where it differs from the stored one. */
export const ENTRY_CLASSES = { ...RECORD_CLASSES, watering: WateringEntry };
