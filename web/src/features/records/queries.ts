import type { RecordDto } from '@candid-leaf/contract';
import { queryOptions } from '@tanstack/react-query';
import { api } from '../../lib/api';
import { apiOf } from '../../lib/paths';
import { queryKeys } from '../../lib/query-keys';

export const placeRecordsQuery = (gardenId: string, placeId: string) =>
  queryOptions({
    queryKey: [...queryKeys.garden(gardenId), 'records', placeId] as const,
    queryFn: () => api<RecordDto[]>('GET', `${apiOf(gardenId, 'records')}?placeId=${placeId}`),
  });
