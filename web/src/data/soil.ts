import type { RecordDto, SoilView } from '@candid-leaf/contract';
import { queryOptions } from '@tanstack/react-query';
import { api } from '../lib/api';
import { apiOf } from '../lib/paths';
import { queryKeys } from '../lib/query-keys';

export const soilQuery = (gardenId: string, placeId: string) =>
  queryOptions({
    queryKey: [...queryKeys.garden(gardenId), 'soil', placeId] as const,
    queryFn: () => api<SoilView>('GET', apiOf(gardenId, 'places', placeId, 'soil')),
  });

export const companionsQuery = (gardenId: string, placeId: string) =>
  queryOptions({
    queryKey: [...queryKeys.garden(gardenId), 'companions', placeId] as const,
    queryFn: () =>
      api<RecordDto[]>('GET', `${apiOf(gardenId, 'records')}?${new URLSearchParams({ placeId, type: 'companion' })}`),
  });
