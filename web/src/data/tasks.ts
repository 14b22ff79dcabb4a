import type { GardenView } from '@candid-leaf/contract';
import type { QueryClient } from '@tanstack/react-query';
import { api } from '../lib/api';
import { apiOf } from '../lib/paths';
import { queryKeys } from '../lib/query-keys';
import { defineWrite, type OfGarden } from '../lib/writes';

/** Removes a ticked or postponed task from the list, also while offline. */
function takeOffList(client: QueryClient, { gardenId, key }: OfGarden & { key: string }): void {
  client.setQueriesData<GardenView>(
    { queryKey: [...queryKeys.garden(gardenId), 'view'] },
    (old) => old && { ...old, today: old.today.filter((t) => t.key !== key) },
  );
}

export const doTask = defineWrite(
  'task.done',
  ({ gardenId, key, ...tick }: OfGarden & { key: string; recordId: string; estimatedMinutes?: number; at: string }) =>
    api<{ recordId: string | null }>('POST', apiOf(gardenId, 'tasks', key, 'done'), tick),
  {
    label: () => 'A task done',
    apply: (client, input) => {
      takeOffList(client, input);
      return { recordId: input.recordId };
    },
  },
);
export const undoTask = defineWrite(
  'task.undo',
  ({ gardenId, key, recordId }: OfGarden & { key: string; recordId?: string | null }) =>
    api('POST', apiOf(gardenId, 'tasks', key, 'undo'), recordId ? { recordId } : {}),
  { label: () => 'A task undone', apply: () => undefined },
);
export const postponeTask = defineWrite(
  'task.postpone',
  ({ gardenId, key }: OfGarden & { key: string }) => api('POST', apiOf(gardenId, 'tasks', key, 'not-today')),
  { label: () => 'A task put off', apply: takeOffList },
);
