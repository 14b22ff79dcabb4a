import { Variety } from '@candid-leaf/core/varieties';
import { PlantingMake, type Band, type Needs, type Rotation, type SeedNeed } from '@candid-leaf/core/planning';
import type { Gate, HardeningPlan } from '@candid-leaf/core/setting-out';
import type { GrowingYear } from '@candid-leaf/core/season';
import { KIT_CODES, type KitCode } from '@candid-leaf/core/reports';
import { IsCalendarDay, type DisorderCode, type EarlierYear } from '@candid-leaf/core/records';
import type { Day } from '@candid-leaf/core/units';
import { ArrayUnique, IsArray, IsIn, IsInt, IsOptional, IsString, Max, MaxLength, Min } from 'class-validator';
import { IsId } from './id.js';
import type { PlantDto, PlantEnd } from './plants.js';

/** A variety the gardener grows. */
export class VarietyInput extends Variety {
  @IsId()
  id: string;

  @IsOptional()
  @IsInt()
  @Min(1)
  version?: number;
}

/** A variety as stored. */
export interface VarietyDto extends VarietyInput {
  version: number;
}

/** A number of plants of one variety for one bed or pot and season. */
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
  varietyId?: string | null;
}

/** A planting as stored. */
export interface PlantingDto extends PlantingInput {
  version: number;
}

/** A planting with everything computed for it. */
export interface PlantingOnView {
  planting: PlantingDto;
  variety: string;
  place: string;
  seeds: SeedNeed;
  /** other plants of that year that stand in its bed */
  standing: number;
  rotation: Rotation;
  rotationText: string;
  /** too many for its bed, too small a pot, or too late to ripen: each in a sentence */
  warnings: string[];
  hardening: HardeningPlan | null;
  gate: Gate | null;
  gateText: string | null;
}

/** The year of one variety. */
export interface YearLine {
  label: string;
  bands: (Band & { title: string; text: string; /** how it was computed */ how: string })[];
}

/** A plant of a season: where it grew, from when to when, and how it ended. */
export interface StoodPlant extends Pick<PlantDto, 'id' | 'name' | 'crop' | 'habit' | 'type' | 'heightM' | 'training'> {
  variety: string;
  plantedOn: Day;
  endedOn: Day | null;
  because: PlantEnd | null;
}

/** One bed or pot in a season: what grew there, and its problems. */
export interface StoodPlace {
  placeId: string;
  place: string;
  isPot: boolean;
  plants: StoodPlant[];
  troubles: string[];
  disorders: DisorderCode[];
}

/** Whether a second crop fits there this year. */
interface SecondCropPlace {
  placeId: string;
  place: string;
  fits: boolean;
  text: string;
}

/** The season page of one year. */
export interface SeasonView {
  season: GrowingYear;
  /** every season with any records, and the next; newest first */
  seasons: GrowingYear[];
  today: Day;
  /** an earlier season is read-only */
  past: boolean;
  lines: YearLine[];
  plantings: PlantingOnView[];
  /** what grew where in it, in walking order */
  stood: StoodPlace[];
  /** its review */
  notes: SeasonNotesDto | null;
  /** the season before: what grew where, its problems and its review; null without records */
  before: { label: string; year: number; notes: SeasonNotesDto | null; stood: StoodPlace[] } | null;
  /** what grew in each bed or pot and its problems, by id */
  grounds: Record<string, EarlierYear[]>;
  needs: Needs | null;
  /** warmest usual daily maximum of a month here, °C */
  hottestC: number;
  /** seedlings were eaten here before: some are sown to spare */
  nibbled: boolean;
  /** for the current season, while sowing is possible: where a second crop fits, and where not, with the reason */
  second: { by: Day; places: SecondCropPlace[] } | null;
}

/** The gardener's review of a finished season; the next year's plan reads it. */
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

  /** equipment put away, by code */
  @IsOptional()
  @IsArray()
  @IsIn(KIT_CODES, { each: true, message: 'names something that is not in the list' })
  @ArrayUnique({ message: 'names the same thing twice' })
  kit?: KitCode[] | null;

  /** day the year was closed */
  @IsOptional()
  @IsCalendarDay()
  closedOn?: Day | null;
}

/** Notes on a season as stored. */
export interface SeasonNotesDto extends SeasonNotesInput {
  version: number;
}
