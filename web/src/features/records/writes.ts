import type { RecordDto, RecordInput } from '@candid-leaf/contract';
import { RECORD_KINDS } from '@candid-leaf/core/records';
import { api } from '../../lib/api';
import { apiOf } from '../../lib/paths';
import { defineWrite, type OfGarden } from '../../lib/writes';
import { hideRecord, showRecord } from './kept-record';

export const saveRecord = defineWrite(
  'record.save',
  ({ gardenId, record }: OfGarden & { record: RecordInput }) =>
    api<RecordDto>('PUT', apiOf(gardenId, 'records'), record),
  { label: ({ record }) => RECORD_KINDS[record.type].label, apply: showRecord },
);
export const deleteRecord = defineWrite(
  'record.delete',
  ({ gardenId, id }: OfGarden & { id: string }) => api('DELETE', apiOf(gardenId, 'records', id)),
  { label: () => 'A record thrown away', apply: hideRecord },
);
export const restoreRecord = defineWrite(
  'record.restore',
  ({ gardenId, id }: OfGarden & { id: string }) => api('POST', apiOf(gardenId, 'records', id, 'restore')),
  { label: () => 'A record brought back', apply: () => undefined },
);
