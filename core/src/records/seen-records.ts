import 'reflect-metadata';
import { OneLine } from './text.js';
import {
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
} from 'class-validator';
import {
  EVENTS,
  PICK_STATES,
  type PickState,
  PICK_RIPENESS,
  type PickRipeness,
  PICK_USES,
  type PickUse,
  type Taste,
  TASTES,
  COMPANIONS,
  COVERINGS,
  MULCHES,
  SHADE_SIDES,
  SUPPORTS,
  COMPANION_DEEDS,
} from './choices.js';
import { Dated, FINITE } from './dated.js';
import { type Stage, STAGES } from './plant.js';
import { MOST_REASON } from './record-limits.js';
import { SignSeen } from './observation.js';
import { IsListOf } from './parts.js';

// Records of what was seen, counted and picked.

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

  /** how it tasted */
  @IsOptional()
  @IsIn(TASTES)
  taste?: Taste | null;

  /** sugar of its juice by a refractometer, °Brix: g in 100 g */
  @IsOptional()
  @IsNumber(FINITE)
  @Min(0)
  @Max(30, { message: 'must be 30 or less: no fresh fruit has more sugar' })
  brix?: number | null;

  /** why it was picked during a waiting time, or weighs so much */
  @IsOptional()
  @IsString()
  @OneLine()
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
  @OneLine()
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

/** Stage or height seen on a plant. */
export class GrowthSeen extends Dated {
  @IsOptional()
  @IsIn(STAGES)
  stage?: Stage | null;

  @IsOptional()
  @IsNumber(FINITE)
  @Min(0.01)
  @Max(6, { message: 'must be 6 m or less' })
  heightM?: number | null;

  /** the height is a word ("hip high"), not a measure */
  @IsOptional()
  @IsBoolean()
  rough?: boolean;

  /** it has reached this stage, or a later one */
  @IsOptional()
  @IsBoolean()
  orLater?: boolean;

  /** whether the next stage is near: buds, or fruit that is full-sized and green */
  @IsOptional()
  @IsBoolean()
  soon?: boolean;
}

/** What grows beside the crop: companions, weeds, host plants. */
export class Companion extends Dated {
  @IsIn(COMPANIONS)
  what: (typeof COMPANIONS)[number];

  @IsIn(COMPANION_DEEDS)
  did: (typeof COMPANION_DEEDS)[number];
}

/** Mulch, shade, a rain cover or a net, put on or taken off on a day. */
export class Covering extends Dated {
  @IsIn(COVERINGS)
  what: (typeof COVERINGS)[number];

  @IsIn(['on', 'off'])
  did: 'on' | 'off';

  /** of mulch */
  @IsOptional()
  @IsIn(MULCHES)
  material?: (typeof MULCHES)[number];

  /** of mulch, as it lies, cm */
  @IsOptional()
  @IsNumber(FINITE)
  @Min(0)
  @Max(50)
  depthCm?: number;

  /** light that shade cloth keeps away, % */
  @IsOptional()
  @IsNumber(FINITE)
  @Min(0)
  @Max(95)
  blockPct?: number;

  /** where shade cloth hangs; over the plants unless it says otherwise */
  @IsOptional()
  @IsIn(SHADE_SIDES)
  side?: (typeof SHADE_SIDES)[number];
}

/** A support put up for one plant or a whole bed. */
export class SupportPut extends Dated {
  @IsIn(SUPPORTS)
  what: (typeof SUPPORTS)[number];
}
