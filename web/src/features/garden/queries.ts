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
export const useRoleIn = (gardenId: string): Role => roleAmong(useQuery(gardensQuery()).data, gardenId);

/** Before the list is there all is shown; a garden that is not in it is the made-up one, to look at. The server decides. */
function roleAmong(gardens: readonly { id: string; role?: Role }[] | undefined, gardenId: string): Role {
  return gardens ? (gardens.find((g) => g.id === gardenId)?.role ?? 'look') : 'keep';
}
