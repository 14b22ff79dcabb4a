import type { NewLink, WateringListDto, WateringListInput, WateringListView } from '@candid-leaf/contract';
import { queryOptions } from '@tanstack/react-query';
import { api } from '../lib/api';
import { apiOf } from '../lib/paths';
import { queryKeys } from '../lib/query-keys';
import { defineWrite, type OfGarden } from '../lib/writes';

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

export const makeWateringList = defineWrite(
  'watering-list.make',
  ({ gardenId, ...input }: OfGarden & WateringListInput) =>
    api<NewLink>('POST', apiOf(gardenId, 'watering-lists'), input),
);
export const takeWateringListBack = defineWrite(
  'watering-list.take-back',
  ({ gardenId, id }: OfGarden & { id: string }) => api('DELETE', apiOf(gardenId, 'watering-lists', id)),
);
