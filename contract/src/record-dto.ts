import { RECORD_KINDS, type Fault, type RecordData, type RecordKind } from '@candid-leaf/core/records';
import type { Day } from '@candid-leaf/core/units';

/** Which kinds belong to one plant only, never to a whole place. */
export const isOfPlantOnly = (kind: RecordKind): boolean => RECORD_KINDS[kind].of === 'plant';
/** Which kinds belong to the garden as such. */
export const isOfGarden = (kind: RecordKind): boolean => RECORD_KINDS[kind].of === 'garden';

/** So many records come in one request at most. */
export const MOST_RECORDS_AT_ONCE = 50;

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
