import type { ImportDto, ImportJobDto, ImportUndone, ImportUndoPreview, UndoOf } from '@candid-leaf/contract';
import { queryOptions } from '@tanstack/react-query';
import { api } from '../lib/api';
import { apiOf } from '../lib/paths';
import { queryKeys } from '../lib/query-keys';
import { defineWrite, type OfGarden } from '../lib/writes';

export const importsQuery = (gardenId: string) =>
  queryOptions({
    queryKey: [...queryKeys.garden(gardenId), 'imports'] as const,
    queryFn: () => api<ImportDto[]>('GET', apiOf(gardenId, 'imports')),
  });

/** How far an import is, asked again and again while it runs. */
export const importJobQuery = (gardenId: string, id: string) =>
  queryOptions({
    queryKey: ['import-job', gardenId, id] as const,
    queryFn: () => api<ImportJobDto>('GET', apiOf(gardenId, 'imports', id, 'job')),
    refetchInterval: ({ state }) => (state.data && state.data.state !== 'running' ? false : 700),
    gcTime: 0,
  });
export const cancelImport = (gardenId: string, id: string) => api('POST', apiOf(gardenId, 'imports', id, 'cancel'));

/** Asks what an undo would remove and keep. */
export const undoPreview = (gardenId: string, id: string) =>
  api<ImportUndoPreview>('GET', apiOf(gardenId, 'imports', id, 'undo'));

export const undoImport = defineWrite(
  'import.undo',
  ({ gardenId, id, edited = 'keep' }: OfGarden & { id: string } & UndoOf) =>
    api<ImportUndone>('DELETE', `${apiOf(gardenId, 'imports', id)}?edited=${edited}`),
);
