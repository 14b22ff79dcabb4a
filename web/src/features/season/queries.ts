import type { SeasonView } from '@candid-leaf/contract';
import { queryOptions } from '@tanstack/react-query';
import { api } from '../../lib/api';
import { apiOf } from '../../lib/paths';
import { queryKeys } from '../../lib/query-keys';

export const seasonQuery = (gardenId: string, year: number | null) =>
  queryOptions({
    queryKey: [...queryKeys.garden(gardenId), 'season', year] as const,
    queryFn: () => api<SeasonView>('GET', `${apiOf(gardenId, 'season')}${year === null ? '' : `?year=${year}`}`),
  });
