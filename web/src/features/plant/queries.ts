import type { PlantView } from '@candid-leaf/contract';
import type { CaseFile } from '@candid-leaf/core/casefile';
import { queryOptions } from '@tanstack/react-query';
import { api } from '../../lib/api';
import { apiOf } from '../../lib/paths';
import { queryKeys } from '../../lib/query-keys';

export const plantViewQuery = (gardenId: string, plantId: string) =>
  queryOptions({
    queryKey: [...queryKeys.garden(gardenId), 'plant', plantId] as const,
    queryFn: () => api<PlantView>('GET', apiOf(gardenId, 'plants', plantId, 'view')),
  });

/** Everything the plant's report needs, stored so it can be computed offline. */
export const plantCaseQuery = (gardenId: string, plantId: string) =>
  queryOptions({
    queryKey: [...queryKeys.garden(gardenId), 'case', plantId] as const,
    queryFn: () => api<CaseFile>('GET', apiOf(gardenId, 'plants', plantId, 'case')),
  });
