import { OneLine, IsCalendarDay, IsListOf, IsPart, PlantMake } from '@candid-leaf/core/records';
import type { Day } from '@candid-leaf/core/units';
import { type Growth, type Start, STARTS } from '@candid-leaf/core/growth';
import { TRAININGS, type Training } from '@candid-leaf/core/pruning';
import { IsBoolean, IsIn, IsInt, IsOptional, IsString, MaxLength, Min, MinLength } from 'class-validator';
import { IsId } from './id.js';
import { PlaceInput } from './places.js';

/** A plant as entered. */
export class PlantInput extends PlantMake {
  @IsId()
  id: string;

  @IsOptional()
  @IsInt()
  @Min(1)
  version?: number;

  @IsId()
  placeId: string;

  @IsString()
  @OneLine()
  @MinLength(1, { message: 'must not be empty' })
  @MaxLength(80)
  name: string;

  /** importance when there is not enough for all: 1 little, 2 as others, 3 much */
  @IsOptional()
  @IsIn([1, 2, 3])
  worth?: 1 | 2 | 3 | null;

  /** its planting day is a guess ("this spring") */
  @IsOptional()
  @IsBoolean()
  plantedAbout?: boolean | null;

  /** how it came into its place: raised, bought or a rooted cutting */
  @IsOptional()
  @IsIn(STARTS)
  start?: Start | null;

  /** its training; suggested by habit, season and heat if left out */
  @IsOptional()
  @IsIn(TRAININGS)
  training?: Training | null;

  /** its variety, if known */
  @IsOptional()
  @IsId()
  varietyId?: string | null;

  /** the label was lost or the seed was mixed: it may be another variety */
  @IsOptional()
  @IsBoolean()
  varietyUnsure?: boolean | null;
}

/** Most plants saved by one form: a large bed can be copied or dated whole. */
export const MOST_PLANTS_AT_ONCE = 300;

/** The plants of one form, saved together or not at all. */
export class SeveralPlants {
  /** their new bed or pots, saved first */
  @IsPart(() => PlaceInput, { optional: true })
  place?: PlaceInput | null;

  @IsListOf(() => PlantInput, { most: MOST_PLANTS_AT_ONCE, least: 1 })
  plants: PlantInput[];
}

/** A plant's growth as a page shows it. */
export type GrowthDto = Pick<Growth, 'stage' | 'stageChance' | 'from' | 'seenOn' | 'unsure'> & {
  /** m; null if nothing is known of its age and size */
  heightM: number | null;
  /** its height is too uncertain for what depends on it */
  askHeight: boolean;
};

/** Why a plant ended. */
export const PLANT_ENDS = ['season-over', 'disease', 'frost', 'died', 'given-away', 'made-room'] as const;
/** Why a plant ended. */
export type PlantEnd = (typeof PLANT_ENDS)[number];

/** Archiving a plant, with a reason if given. */
export class PlantEnded {
  @IsOptional()
  @IsIn(PLANT_ENDS)
  because?: PlantEnd | null;

  /** the day, if it was not today */
  @IsOptional()
  @IsCalendarDay()
  on?: Day | null;
}

/** A plant as stored. */
export interface PlantDto extends PlantInput {
  endedBecause?: PlantEnd | null;
  version: number;
  position: number;
  retiredOn: string | null;
}
