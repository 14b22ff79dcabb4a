import { RECORD_KIND_CODES, RECORD_KINDS, type RecordData, type RecordKind } from '@candid-leaf/core/records';
import type { Day } from '@candid-leaf/core/units';
import { IsIn, IsInt, IsObject, IsOptional, IsUUID, Min } from 'class-validator';

/** Which kinds belong to one plant only, never to a whole place. */
export const isOfPlantOnly = (kind: RecordKind): boolean => RECORD_KINDS[kind].of === 'plant';

export class RecordInput {
  @IsUUID()
  id: string;

  @IsOptional()
  @IsInt()
  @Min(1)
  version?: number;

  @IsIn(RECORD_KIND_CODES)
  type: RecordKind;

  /** a record is of one plant, or of a whole place */
  @IsOptional()
  @IsUUID()
  plantId?: string | null;

  @IsOptional()
  @IsUUID()
  placeId?: string | null;

  /** checked against the class of its kind */
  @IsObject()
  data: object;
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
  };
}[K];

export const isRecordOf = <K extends RecordKind>(r: RecordDto, kind: K): r is Extract<RecordDto, { type: K }> =>
  r.type === kind;
