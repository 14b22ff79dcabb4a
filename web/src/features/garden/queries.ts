import type { GardenDto, GardenView } from '@candid-leaf/contract';
import { queryOptions } from '@tanstack/react-query';
import { api } from '../../lib/api';
import { apiOf } from '../../lib/paths';
import { queryKeys } from '../../lib/query-keys';

export const gardensQuery = () =>
  queryOptions({ queryKey: queryKeys.gardens, queryFn: () => api<GardenDto[]>('GET', '/gardens') });

export const gardenViewQuery = (gardenId: string) =>
  queryOptions({
    queryKey: [...queryKeys.garden(gardenId), 'view'] as const,
    queryFn: () => api<GardenView>('GET', apiOf(gardenId, 'view')),
  });
