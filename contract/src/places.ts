import {
  OneLine,
  type Irrigation,
  IRRIGATIONS,
  PlaceMake,
  FINITE,
  IsCalendarDay,
  IsListOf,
  IsPart,
  SoilTest,
} from '@candid-leaf/core/records';
import { CHANGE_CODES, type ChangeCode } from '@candid-leaf/core/prevented';
import type { Day } from '@candid-leaf/core/units';
import { WALK_RHYTHMS, type WalkRhythm } from '@candid-leaf/core/walks';
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
} from 'class-validator';
import { PlaceWatering } from './water.js';
import { IsId } from './id.js';

/** Something done differently from now on in a bed, because it would have prevented a problem there. */
export class BedRule {
  @IsIn(CHANGE_CODES)
  rule: ChangeCode;

  @IsCalendarDay()
  since: Day;
}

/** A bed, or a group of equal pots; `volumeL` is for one pot. */
export class PlaceInput extends PlaceMake {
  @IsId()
  id: string;

  @IsOptional()
  @IsInt()
  @Min(1)
  version?: number;

  @IsString()
  @OneLine()
  @MinLength(1, { message: 'must not be empty' })
  @MaxLength(80)
  name: string;

  @IsOptional()
  @IsNumber(FINITE)
  @Min(0.1)
  @Max(200)
  lengthM?: number | null;

  @IsOptional()
  @IsNumber(FINITE)
  @Min(0.1)
  @Max(50)
  widthM?: number | null;

  @IsOptional()
  @IsIn(IRRIGATIONS)
  irrigation?: Irrigation | null;

  /** litres an hour for the whole bed or pot */
  @IsOptional()
  @IsNumber(FINITE)
  @Min(0.1)
  @Max(5000)
  flowLPerH?: number | null;

  /** how often it is checked; weekly if left out */
  @IsOptional()
  @IsIn(WALK_RHYTHMS)
  looking?: WalkRhythm | null;

  /** all tests of its soil; the newest counts */
  @IsListOf(() => SoilTest, { most: 30, optional: true })
  soilTests?: SoilTest[] | null;

  /** open water nearby: no sprays */
  @IsOptional()
  @IsBoolean()
  pondNear?: boolean | null;

  /** rules made from what would have prevented a problem here; each at most once */
  @IsListOf(() => BedRule, { most: CHANGE_CODES.length, optional: true })
  rules?: BedRule[] | null;

  @IsPart(() => PlaceWatering, { optional: true })
  watering?: PlaceWatering | null;
}

/** A bed or pot as stored. */
export interface PlaceDto extends PlaceInput {
  version: number;
  position: number;
  retiredOn: string | null;
}

/** What becomes of the plants that stand in a bed or pot when it is archived. */
export class PlaceRetired {
  /** `end`: archived too; `move`: to another bed or pot. Only needed if plants stand there */
  @IsOptional()
  @IsIn(['end', 'move'])
  plants?: 'end' | 'move' | null;

  /** where they move */
  @IsOptional()
  @IsId()
  toPlaceId?: string | null;
}

/** The plants that were archived or moved with their bed or pot, by id. */
export interface PlaceRetiredDto {
  ended: string[];
  moved: string[];
}

/** The new walking order: every id of the list once. */
export class NewOrder {
  @IsArray()
  @ArrayMaxSize(2000)
  @IsId({ each: true })
  ids: string[];
}
