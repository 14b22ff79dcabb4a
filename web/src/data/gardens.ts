import type { GardenDto, GardenInput, GardenView, MyGarden, Role, WeatherState } from '@candid-leaf/contract';
import { queryOptions, useQuery } from '@tanstack/react-query';
import { api, ApiError } from '../lib/api';
import { apiOf } from '../lib/paths';
import { queryKeys } from '../lib/query-keys';
import { defineWrite, type OfGarden } from '../lib/writes';

export const gardensQuery = () =>
  queryOptions({ queryKey: queryKeys.gardens, queryFn: () => api<MyGarden[]>('GET', '/gardens') });

export const gardenViewQuery = (gardenId: string) =>
  queryOptions({
    queryKey: [...queryKeys.garden(gardenId), 'view'] as const,
    queryFn: () => api<GardenView>('GET', apiOf(gardenId, 'view')),
  });

/** Returns the user's role in this garden; until it is known nothing is hidden, and the server decides. */
export function useRoleIn(gardenId: string): Role {
  const { data, error } = useQuery(gardensQuery());
  // signed out, there is only the demo garden to look at
  return error instanceof ApiError && error.status === 401 ? 'look' : roleAmong(data, gardenId);
}

/** Until the list is loaded everything is shown; a garden not in it is the demo. The server decides. */
function roleAmong(gardens: readonly { id: string; role?: Role }[] | undefined, gardenId: string): Role {
  return gardens ? (gardens.find((g) => g.id === gardenId)?.role ?? 'look') : 'keep';
}

export const saveGarden = defineWrite('garden.save', ({ garden }: OfGarden & { garden: GardenInput }) =>
  api<GardenDto>('PUT', '/gardens', garden),
);
export const pullWeather = defineWrite('weather.pull', ({ gardenId }: OfGarden) =>
  api<WeatherState>('POST', apiOf(gardenId, 'weather', 'pull')),
);
