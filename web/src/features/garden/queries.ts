import type { GardenView, MyGarden, Role } from '@candid-leaf/contract';
import { queryOptions, useQuery } from '@tanstack/react-query';
import { api } from '../../lib/api';
import { apiOf } from '../../lib/paths';
import { queryKeys } from '../../lib/query-keys';

export const gardensQuery = () =>
  queryOptions({ queryKey: queryKeys.gardens, queryFn: () => api<MyGarden[]>('GET', '/gardens') });

export const gardenViewQuery = (gardenId: string) =>
  queryOptions({
    queryKey: [...queryKeys.garden(gardenId), 'view'] as const,
    queryFn: () => api<GardenView>('GET', apiOf(gardenId, 'view')),
  });

/** How far whoever looks may go in this garden; until that is known nothing is hidden, and the server decides. */
export const useRoleIn = (gardenId: string): Role =>
  useQuery(gardensQuery()).data?.find((g) => g.id === gardenId)?.role ?? 'keep';
