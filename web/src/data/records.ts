import { MOST_RECORDS_AT_ONCE, type RecordDto, type RecordInput, type SeveralAnswers } from '@candid-leaf/contract';
import { RECORD_TYPES } from '@candid-leaf/core/records';
import { queryOptions } from '@tanstack/react-query';
import { api, ApiError } from '../lib/api';
import { apiOf } from '../lib/paths';
import { queryKeys } from '../lib/query-keys';
import { defineWrite, type OfGarden } from '../lib/writes';
import { hideRecord, showRecord } from './kept-record';

export const placeRecordsQuery = (gardenId: string, placeId: string) =>
  queryOptions({
    queryKey: [...queryKeys.garden(gardenId), 'records', placeId] as const,
    queryFn: () => api<RecordDto[]>('GET', `${apiOf(gardenId, 'records')}?placeId=${placeId}`),
  });

interface Kept extends OfGarden {
  record: RecordInput;
}

/** Records of one garden, in the order they were made. */
async function saveSeveral(kept: Kept[]): Promise<(ApiError | null)[]> {
  const { answers } = await api<SeveralAnswers>('PUT', apiOf(kept[0]!.gardenId, 'records', 'several'), {
    records: kept.map((k) => k.record),
  });
  return answers.map((a) =>
    'refused' in a ? new ApiError(a.refused.status, a.refused.message, a.refused.faults ?? []) : null,
  );
}

export const saveRecord = defineWrite(
  'record.save',
  ({ gardenId, record }: Kept) => api<RecordDto>('PUT', apiOf(gardenId, 'records'), record),
  {
    label: ({ record }) => RECORD_TYPES[record.type].label,
    apply: showRecord,
    together: { most: MOST_RECORDS_AT_ONCE, send: saveSeveral },
  },
);
export const deleteRecord = defineWrite(
  'record.delete',
  ({ gardenId, id }: OfGarden & { id: string }) => api('DELETE', apiOf(gardenId, 'records', id)),
  { label: () => 'A deleted record', apply: hideRecord },
);
export const restoreRecord = defineWrite(
  'record.restore',
  ({ gardenId, id }: OfGarden & { id: string }) => api('POST', apiOf(gardenId, 'records', id, 'restore')),
  { label: () => 'A restored record', apply: () => undefined },
);
