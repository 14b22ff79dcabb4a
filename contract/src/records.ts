import {
  Dated,
  Feeding,
  Happening,
  PotWeight,
  Pruning,
  SignSeen,
  SoilCheck,
  Spraying,
  Watering,
  type Day,
} from '@candid-leaf/core';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  IsArray,
  IsBoolean,
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
  ValidateIf,
  ValidateNested,
} from 'class-validator';

/** A watering as a gardener says it: litres for each plant, or minutes where the place's flow is known. */
export class WateringEntry extends Watering {
  @ValidateIf((o: WateringEntry) => o.minutes == null)
  @IsNumber(
    { allowNaN: false, allowInfinity: false },
    { message: 'must be a number of litres (or give minutes instead)' },
  )
  @Min(0)
  @Max(200, { message: 'must not be more than 200 litres for one plant' })
  override litres: number;

  @IsOptional()
  @IsNumber({ allowNaN: false, allowInfinity: false })
  @Min(0.1)
  @Max(1440)
  minutes?: number | null;
}

/** One look at a plant: signs found and not found, or simply all clear. */
export class Inspection extends Dated {
  @IsBoolean()
  allClear: boolean;

  @IsOptional()
  @IsIn(['morning', 'afternoon'])
  partOfDay?: 'morning' | 'afternoon';

  @IsArray()
  @ArrayMaxSize(200)
  @ValidateNested({ each: true })
  @Type(() => SignSeen)
  signs: SignSeen[];
}

export class Note extends Dated {
  @IsString()
  @MinLength(1, { message: 'must not be empty' })
  @MaxLength(2000)
  text: string;
}

/** Every kind of record with the class that its data must satisfy. A new kind is one more row. */
export const RECORD_CLASSES = {
  watering: WateringEntry,
  'soil-check': SoilCheck,
  'pot-weight': PotWeight,
  feeding: Feeding,
  pruning: Pruning,
  spray: Spraying,
  event: Happening,
  inspection: Inspection,
  note: Note,
} as const;
export type RecordType = keyof typeof RECORD_CLASSES;
export const RECORD_TYPES = Object.keys(RECORD_CLASSES) as RecordType[];
export type RecordData<T extends RecordType = RecordType> = InstanceType<(typeof RECORD_CLASSES)[T]>;

/** Which kinds belong to one plant only, never to a whole place. */
export const PLANT_ONLY: readonly RecordType[] = ['inspection', 'pot-weight'];

export class RecordInput {
  @IsUUID()
  id: string;

  @IsOptional()
  @IsInt()
  @Min(1)
  version?: number;

  @IsIn(RECORD_TYPES)
  type: RecordType;

  /** a record is of one plant, or of a whole place */
  @IsOptional()
  @IsUUID()
  plantId?: string | null;

  @IsOptional()
  @IsUUID()
  placeId?: string | null;

  /** checked against the class of the type */
  @IsObject()
  data: object;
}

export interface RecordDto<T extends RecordType = RecordType> {
  id: string;
  version: number;
  type: T;
  plantId: string | null;
  placeId: string | null;
  day: Day;
  data: RecordData<T>;
  createdAt: string;
}
