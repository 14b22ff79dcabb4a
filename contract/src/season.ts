import { Cultivar } from '@candid-leaf/core/cultivars';
import { PlantingMake, type Band, type Needs, type Rotation, type SeedNeed } from '@candid-leaf/core/planning';
import type { Gate, HardeningPlan } from '@candid-leaf/core/setting-out';
import type { GrowingYear } from '@candid-leaf/core/season';
import { KIT_CODES, type KitCode } from '@candid-leaf/core/reports';
import { IsCalendarDay, type DisorderCode, type EarlierYear } from '@candid-leaf/core/records';
import type { Day } from '@candid-leaf/core/units';
import { ArrayUnique, IsArray, IsIn, IsInt, IsOptional, IsString, Max, MaxLength, Min } from 'class-validator';
import { IsId } from './id.js';
import type { PlantDto, PlantEnd } from './plants.js';

/** A kind that the gardener grows. */
export class CultivarInput extends Cultivar {
  @IsId()
  id: string;

  @IsOptional()
  @IsInt()
  @Min(1)
  version?: number;
}

export interface CultivarDto extends CultivarInput {
  version: number;
}

/** So many of one kind for one place in one season. */
export class PlantingInput extends PlantingMake {
  @IsId()
  id: string;

  @IsOptional()
  @IsInt()
  @Min(1)
  version?: number;

  @IsId()
  placeId: string;

  @IsOptional()
  @IsId()
  cultivarId?: string | null;
}

export interface PlantingDto extends PlantingInput {
  version: number;
}

/** A planting with all that is reckoned of it. */
export interface PlantingOnView {
  planting: PlantingDto;
  kind: string;
  place: string;
  seeds: SeedNeed;
  rotation: Rotation;
  rotationText: string;
  /** it is too much for its place, or its pot too small, or cannot ripen: each in a sentence */
  warnings: string[];
  hardening: HardeningPlan | null;
  gate: Gate | null;
  gateText: string | null;
}

/** One kind's year. */
export interface YearLine {
  label: string;
  bands: (Band & { title: string; text: string; /** how it came about */ how: string })[];
}

/** A plant of a season: where it stood, from when to when, and how it ended. */
export interface StoodPlant extends Pick<PlantDto, 'id' | 'name' | 'crop' | 'habit' | 'type' | 'heightM' | 'training'> {
  kind: string;
  plantedOn: Day;
  endedOn: Day | null;
  because: PlantEnd | null;
}

/** One place in a season: what stood there, and what ailed it. */
export interface StoodPlace {
  placeId: string;
  place: string;
  plants: StoodPlant[];
  troubles: string[];
  disorders: DisorderCode[];
}

/** May a second crop stand there this year? */
export interface SecondCropPlace {
  placeId: string;
  place: string;
  fits: boolean;
  text: string;
}

export interface SeasonView {
  season: GrowingYear;
  /** every season of which anything is written down, and the next; the newest first */
  seasons: GrowingYear[];
  today: Day;
  /** an earlier one is read, not written */
  past: boolean;
  lines: YearLine[];
  plantings: PlantingOnView[];
  /** what stood where in it, in walking order */
  stood: StoodPlace[];
  /** the look back at it */
  notes: SeasonNotesDto | null;
  /** the season before: what stood and ailed where, and what was said of it; null where nothing is written down */
  before: { label: string; year: number; notes: SeasonNotesDto | null; stood: StoodPlace[] } | null;
  /** what grew and ailed in each place, by its id */
  grounds: Record<string, EarlierYear[]>;
  needs: Needs | null;
  /** of the running season, while it may still be sown: where a second crop fits, and where not, with why */
  second: { by: Day; places: SecondCropPlace[] } | null;
}

/** What the gardener says of a season when it is over; the next year's plan reads it. */
export class SeasonNotesInput {
  @IsId()
  id: string;

  @IsOptional()
  @IsInt()
  @Min(1)
  version?: number;

  @IsInt()
  @Min(1990)
  @Max(2200)
  year: number;

  @IsOptional()
  @IsString()
  @MaxLength(4000)
  worked?: string | null;

  @IsOptional()
  @IsString()
  @MaxLength(4000)
  change?: string | null;

  /** what of the kit is put away, by its code */
  @IsOptional()
  @IsArray()
  @IsIn(KIT_CODES, { each: true, message: 'names something that is not in the list' })
  @ArrayUnique({ message: 'names the same thing twice' })
  kit?: KitCode[] | null;

  /** the day on which the year was closed */
  @IsOptional()
  @IsCalendarDay()
  closedOn?: Day | null;
}

export interface SeasonNotesDto extends SeasonNotesInput {
  version: number;
}
