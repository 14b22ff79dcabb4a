import { Type } from 'class-transformer';
import { type Irrigation, IRRIGATIONS, PlaceMake, FINITE } from '@candid-leaf/core/records';
import {
  ArrayMaxSize,
  IsArray,
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
import { PlaceWatering } from './water.js';

/** A bed, or a group of like pots; `volumeL` is one pot's. */
export class PlaceInput extends PlaceMake {
  @IsUUID()
  id: string;

  @IsOptional()
  @IsInt()
  @Min(1)
  version?: number;

  @IsString()
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

  /** litres an hour for the whole place */
  @IsOptional()
  @IsNumber(FINITE)
  @Min(0.1)
  @Max(5000)
  flowLPerH?: number | null;

  @IsOptional()
  @ValidateNested()
  @Type(() => PlaceWatering)
  watering?: PlaceWatering | null;
}

export interface PlaceDto extends PlaceInput {
  version: number;
  position: number;
  retiredOn: string | null;
}

/** The new walking order: every id of the list once. */
export class NewOrder {
  @IsArray()
  @ArrayMaxSize(2000)
  @IsUUID(undefined, { each: true })
  ids: string[];
}
