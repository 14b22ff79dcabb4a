import { RECORD_TYPE_CODES, type RecordType } from '@candid-leaf/core/records';
import { ArrayMaxSize, ArrayMinSize, IsArray, IsIn, IsInt, IsObject, IsOptional, Min } from 'class-validator';
import { IsId } from './id.js';
import { MOST_RECORDS_AT_ONCE } from './record-dto.js';

/** A record as entered: its type, what it is about, and its data. */
export class RecordInput {
  @IsId()
  id: string;

  @IsOptional()
  @IsInt()
  @Min(1)
  version?: number;

  @IsIn(RECORD_TYPE_CODES)
  type: RecordType;

  /** a record belongs to one plant, to a whole bed or pot, or (a gauge reading) to the garden: then neither is named */
  @IsOptional()
  @IsId()
  plantId?: string | null;

  @IsOptional()
  @IsId()
  placeId?: string | null;

  /** validated against the class of its type */
  @IsObject()
  data: object;
}

/** Records a device made while offline, in the order they were made. */
export class SeveralRecords {
  /** each is validated by itself: an invalid one does not block the others */
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(MOST_RECORDS_AT_ONCE)
  @IsObject({ each: true })
  records: object[];
}
