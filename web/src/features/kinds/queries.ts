import type { CultivarDto } from '@candid-leaf/contract';
import { queryOptions } from '@tanstack/react-query';
import { api } from '../../lib/api';
import { apiOf } from '../../lib/paths';
import { queryKeys } from '../../lib/query-keys';

export const kindsQuery = (gardenId: string) =>
  queryOptions({
    queryKey: [...queryKeys.garden(gardenId), 'kinds'] as const,
    queryFn: () => api<CultivarDto[]>('GET', apiOf(gardenId, 'kinds')),
  });
