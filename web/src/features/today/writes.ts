import { api } from '../../lib/api';
import { apiOf } from '../../lib/paths';
import { defineWrite, type OfGarden } from '../../lib/writes';

export const doTask = defineWrite(
  'task.done',
  ({ gardenId, key, recordId, reckoned }: OfGarden & { key: string; recordId: string; reckoned?: number }) =>
    api<{ recordId: string | null }>('POST', apiOf(gardenId, 'tasks', key, 'done'), { recordId, reckoned }),
);
export const undoTask = defineWrite(
  'task.undo',
  ({ gardenId, key, recordId }: OfGarden & { key: string; recordId?: string | null }) =>
    api('POST', apiOf(gardenId, 'tasks', key, 'undo'), recordId ? { recordId } : {}),
);
export const postponeTask = defineWrite('task.postpone', ({ gardenId, key }: OfGarden & { key: string }) =>
  api('POST', apiOf(gardenId, 'tasks', key, 'not-today')),
);
