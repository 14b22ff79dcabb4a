import { RECORD_TYPES, type Fault, type RecordData, type RecordType } from '@candid-leaf/core/records';
import type { Day } from '@candid-leaf/core/units';

/** Returns which record types belong to one plant only, never to a whole bed or pot. */
export const isOfPlantOnly = (kind: RecordType): boolean => RECORD_TYPES[kind].of === 'plant';
/** Returns which record types belong to the garden. */
export const isOfGarden = (kind: RecordType): boolean => RECORD_TYPES[kind].of === 'garden';

/** Most records in one request. */
export const MOST_RECORDS_AT_ONCE = 50;

/** For each record sent, in order: what is stored now, or why it was rejected. */
export interface SeveralAnswers {
  answers: ({ record: RecordDto } | { refused: { status: number; message: string; faults?: Fault[] } })[];
}

/** A record of one type, or of any. */
export type RecordDto<K extends RecordType = RecordType> = {
  [T in K]: {
    id: string;
    version: number;
    type: T;
    plantId: string | null;
    placeId: string | null;
    day: Day;
    data: RecordData<T>;
    createdAt: string;
    /** who recorded it: an account, or the watering list it was ticked on */
    by: string;
    /**
     * a claim it names for the first time in this garden: what we know of it is shown once, with the answer to the
     * write
     */
    claim?: string;
  };
}[K];

/** Returns whether a record is of this type, and narrows it. */
export const isRecordOf = <K extends RecordType>(r: RecordDto, kind: K): r is Extract<RecordDto, { type: K }> =>
  r.type === kind;
