import type { WateringListDto, WateringListView } from '@candid-leaf/contract';
import { queryOptions } from '@tanstack/react-query';
import { api } from '../../lib/api';
import { apiOf } from '../../lib/paths';
import { queryKeys } from '../../lib/query-keys';

export const wateringListsQuery = (gardenId: string) =>
  queryOptions({
    queryKey: [...queryKeys.garden(gardenId), 'watering-lists'] as const,
    queryFn: () => api<WateringListDto[]>('GET', apiOf(gardenId, 'watering-lists')),
  });

/** The list as the helper sees it. */
export const wateringQuery = (secret: string) =>
  queryOptions({
    queryKey: ['watering', secret] as const,
    queryFn: () => api<WateringListView>('GET', `/watering/${encodeURIComponent(secret)}`),
  });
