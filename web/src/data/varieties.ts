import type { CultivarDto, CultivarInput } from '@candid-leaf/contract';
import { queryOptions } from '@tanstack/react-query';
import { api } from '../lib/api';
import { apiOf } from '../lib/paths';
import { queryKeys } from '../lib/query-keys';
import { defineWrite, type OfGarden } from '../lib/writes';

export const kindsQuery = (gardenId: string) =>
  queryOptions({
    queryKey: [...queryKeys.garden(gardenId), 'kinds'] as const,
    queryFn: () => api<CultivarDto[]>('GET', apiOf(gardenId, 'kinds')),
  });

export const saveKind = defineWrite('kind.save', ({ gardenId, kind }: OfGarden & { kind: CultivarInput }) =>
  api<CultivarDto>('PUT', apiOf(gardenId, 'kinds'), kind),
);
export const deleteKind = defineWrite('kind.delete', ({ gardenId, id }: OfGarden & { id: string }) =>
  api('DELETE', apiOf(gardenId, 'kinds', id)),
);
export const restoreKind = defineWrite('kind.restore', ({ gardenId, id }: OfGarden & { id: string }) =>
  api('POST', apiOf(gardenId, 'kinds', id, 'restore')),
);
