import type { RecordDto, RecordInput } from '@candid-leaf/contract';
import { api } from '../../lib/api';
import { apiOf } from '../../lib/paths';
import { defineWrite, type OfGarden } from '../../lib/writes';

export const saveRecord = defineWrite('record.save', ({ gardenId, record }: OfGarden & { record: RecordInput }) =>
  api<RecordDto>('PUT', apiOf(gardenId, 'records'), record),
);
export const deleteRecord = defineWrite('record.delete', ({ gardenId, id }: OfGarden & { id: string }) =>
  api('DELETE', apiOf(gardenId, 'records', id)),
);
export const restoreRecord = defineWrite('record.restore', ({ gardenId, id }: OfGarden & { id: string }) =>
  api('POST', apiOf(gardenId, 'records', id, 'restore')),
);
