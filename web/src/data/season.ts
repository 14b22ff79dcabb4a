import type { PlantingDto, PlantingInput, SeasonView } from '@candid-leaf/contract';
import { queryOptions } from '@tanstack/react-query';
import { api } from '../lib/api';
import { apiOf } from '../lib/paths';
import { queryKeys } from '../lib/query-keys';
import { defineWrite, type OfGarden } from '../lib/writes';

export const seasonQuery = (gardenId: string, year: number | null) =>
  queryOptions({
    queryKey: [...queryKeys.garden(gardenId), 'season', year] as const,
    queryFn: () => api<SeasonView>('GET', `${apiOf(gardenId, 'season')}${year === null ? '' : `?year=${year}`}`),
  });

export const savePlanting = defineWrite(
  'planting.save',
  ({ gardenId, planting }: OfGarden & { planting: PlantingInput }) =>
    api<PlantingDto>('PUT', apiOf(gardenId, 'plantings'), planting),
);
export const deletePlanting = defineWrite('planting.delete', ({ gardenId, id }: OfGarden & { id: string }) =>
  api('DELETE', apiOf(gardenId, 'plantings', id)),
);
export const restorePlanting = defineWrite('planting.restore', ({ gardenId, id }: OfGarden & { id: string }) =>
  api('POST', apiOf(gardenId, 'plantings', id, 'restore')),
);
