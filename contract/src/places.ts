import {
  EarlierYear,
  IRRIGATIONS,
  MulchSpell,
  PLACE_KINDS,
  POT_MATERIALS,
  ShadeSpell,
  SoilTest,
  TEXTURES,
  type Irrigation,
  type PlaceKind,
  type PotMaterial,
  type Texture,
} from '@candid-leaf/core';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  IsArray,
  IsIn,
  IsInt,
  IsNumber,
  IsObject,
  IsOptional,
  IsString,
  IsUUID,
  Max,
  MaxLength,
  Min,
  MinLength,
  ValidateNested,
} from 'class-validator';

const number = { allowNaN: false, allowInfinity: false };

export class PlaceInput {
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

  @IsIn(PLACE_KINDS)
  kind: PlaceKind;

  @IsIn(TEXTURES)
  texture: Texture;

  /** one pot's volume, containers only */
  @IsOptional()
  @IsNumber(number)
  @Min(0.5, { message: 'must be 0.5 litres or more for anything to grow in' })
  @Max(5000)
  volumeL?: number | null;

  @IsOptional()
  @IsIn(POT_MATERIALS)
  potMaterial?: PotMaterial | null;

  @IsOptional()
  @IsNumber(number)
  @Min(0.1)
  @Max(200)
  lengthM?: number | null;

  @IsOptional()
  @IsNumber(number)
  @Min(0.1)
  @Max(50)
  widthM?: number | null;

  @IsOptional()
  @IsArray()
  @ArrayMaxSize(50)
  @ValidateNested({ each: true })
  @Type(() => MulchSpell)
  mulch?: MulchSpell[];

  @IsOptional()
  @IsArray()
  @ArrayMaxSize(50)
  @ValidateNested({ each: true })
  @Type(() => ShadeSpell)
  shade?: ShadeSpell[];

  @IsOptional()
  @IsIn(IRRIGATIONS)
  irrigation?: Irrigation | null;

  /** litres an hour for the whole place */
  @IsOptional()
  @IsNumber(number)
  @Min(0.1)
  @Max(5000)
  flowLPerH?: number | null;

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
  @ArrayMaxSize(50)
  @ValidateNested({ each: true })
  @Type(() => EarlierYear)
  history?: EarlierYear[];
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
