import type { TrialDto } from '@candid-leaf/contract';
import { queryOptions } from '@tanstack/react-query';
import { api } from '../../lib/api';
import { apiOf } from '../../lib/paths';
import { queryKeys } from '../../lib/query-keys';

export const trialsQuery = (gardenId: string) =>
  queryOptions({
    queryKey: [...queryKeys.garden(gardenId), 'trials'] as const,
    queryFn: () => api<TrialDto[]>('GET', apiOf(gardenId, 'trials')),
  });
