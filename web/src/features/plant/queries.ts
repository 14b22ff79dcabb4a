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

/** All that the plant's report is reckoned from: kept with it, so that it can be reckoned here where there is no signal. */
export const plantCaseQuery = (gardenId: string, plantId: string) =>
  queryOptions({
    queryKey: [...queryKeys.garden(gardenId), 'case', plantId] as const,
    queryFn: () => api<CaseFile>('GET', apiOf(gardenId, 'plants', plantId, 'case')),
  });
