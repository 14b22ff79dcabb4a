import type { ImportDto } from '@candid-leaf/contract';
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

export const undoImport = defineWrite('import.undo', ({ gardenId, id }: OfGarden & { id: string }) =>
  api('DELETE', apiOf(gardenId, 'imports', id)),
);
