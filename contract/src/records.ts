import { RECORD_KIND_CODES, type RecordKind } from '@candid-leaf/core/records';
import { ArrayMaxSize, ArrayMinSize, IsArray, IsIn, IsInt, IsObject, IsOptional, Min } from 'class-validator';
import { IsId } from './id.js';
import { MOST_RECORDS_AT_ONCE } from './record-dto.js';

export class RecordInput {
  @IsId()
  id: string;

  @IsOptional()
  @IsInt()
  @Min(1)
  version?: number;

  @IsIn(RECORD_KIND_CODES)
  type: RecordKind;

  /** a record is of one plant, of a whole place, or (a gauge reading) of the garden: then neither is named */
  @IsOptional()
  @IsId()
  plantId?: string | null;

  @IsOptional()
  @IsId()
  placeId?: string | null;

  /** checked against the class of its kind */
  @IsObject()
  data: object;
}

/** What a device wrote down without signal, in the order in which it was made. */
export class SeveralRecords {
  /** each is checked by itself: one that cannot be right keeps no other back */
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(MOST_RECORDS_AT_ONCE)
  @IsObject({ each: true })
  records: object[];
}
