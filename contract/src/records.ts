import {
  RECORD_KIND_CODES,
  RECORD_KINDS,
  type Fault,
  type RecordData,
  type RecordKind,
} from '@candid-leaf/core/records';
import type { Day } from '@candid-leaf/core/units';
import { ArrayMaxSize, ArrayMinSize, IsArray, IsIn, IsInt, IsObject, IsOptional, Min } from 'class-validator';
import { IsId } from './id.js';

/** Which kinds belong to one plant only, never to a whole place. */
export const isOfPlantOnly = (kind: RecordKind): boolean => RECORD_KINDS[kind].of === 'plant';
/** Which kinds belong to the garden as such. */
export const isOfGarden = (kind: RecordKind): boolean => RECORD_KINDS[kind].of === 'garden';

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

/** So many records come in one request at most. */
export const MOST_RECORDS_AT_ONCE = 50;

/** What a device wrote down without signal, in the order in which it was made. */
export class SeveralRecords {
  /** each is checked by itself: one that cannot be right keeps no other back */
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(MOST_RECORDS_AT_ONCE)
  @IsObject({ each: true })
  records: object[];
}

/** Of each record sent, in order, what stands now, or why it was not taken. */
export interface SeveralAnswers {
  answers: ({ record: RecordDto } | { refused: { status: number; message: string; faults?: Fault[] } })[];
}

/** A record of one kind, or of any. */
export type RecordDto<K extends RecordKind = RecordKind> = {
  [T in K]: {
    id: string;
    version: number;
    type: T;
    plantId: string | null;
    placeId: string | null;
    day: Day;
    data: RecordData<T>;
    createdAt: string;
    /** who wrote it down: an account, or the watering list that it was ticked on */
    by: string;
    /** a measure that it names for the first time in this garden: what is known of it is told once, with the answer to the write */
    claim?: string;
  };
}[K];

export const isRecordOf = <K extends RecordKind>(r: RecordDto, kind: K): r is Extract<RecordDto, { type: K }> =>
  r.type === kind;
