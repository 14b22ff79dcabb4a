import { Cultivar } from '@candid-leaf/core/cultivars';
import { PlantingMake, type Band, type Needs, type Rotation, type SeedNeed } from '@candid-leaf/core/planning';
import type { Gate, HardeningPlan } from '@candid-leaf/core/setting-out';
import type { GrowingYear } from '@candid-leaf/core/season';
import type { EarlierYear } from '@candid-leaf/core/records';
import type { Day } from '@candid-leaf/core/units';
import { IsInt, IsOptional, IsString, Max, MaxLength, Min } from 'class-validator';
import { IsId } from './id.js';

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
  bands: (Band & { title: string; text: string })[];
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
  /** the look back at it, and the one at the season before */
  notes: SeasonNotesDto | null;
  before: { label: string; notes: SeasonNotesDto } | null;
  /** what grew and ailed in each place, by its id */
  grounds: Record<string, EarlierYear[]>;
  needs: Needs | null;
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
}

export interface SeasonNotesDto extends SeasonNotesInput {
  version: number;
}
