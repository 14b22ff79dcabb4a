import type { PhotoDto } from '@candid-leaf/contract';
import { queryOptions } from '@tanstack/react-query';
import { api } from '../../lib/api';
import { apiOf } from '../../lib/paths';
import { queryKeys } from '../../lib/query-keys';

/** Subject of photos: one plant, or one bed. */
export type PhotoSubject = { plantId: string } | { placeId: string };

export const photosQuery = (gardenId: string, of: PhotoSubject) =>
  queryOptions({
    queryKey: [...queryKeys.garden(gardenId), 'photos', of] as const,
    queryFn: () => api<PhotoDto[]>('GET', `${apiOf(gardenId, 'photos')}?${new URLSearchParams(of)}`),
  });
