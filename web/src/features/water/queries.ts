import type { BenchDto, HoseTimerDto, PlacePlanDto } from '@candid-leaf/contract';
import { queryOptions } from '@tanstack/react-query';
import { api } from '../../lib/api';
import { apiOf } from '../../lib/paths';
import { queryKeys } from '../../lib/query-keys';

export const plansQuery = (gardenId: string) =>
  queryOptions({
    queryKey: [...queryKeys.plan(gardenId), 'all'] as const,
    queryFn: () => api<PlacePlanDto[]>('GET', apiOf(gardenId, 'plan')),
  });

export const placePlanQuery = (gardenId: string, placeId: string) =>
  queryOptions({
    queryKey: [...queryKeys.plan(gardenId), placeId] as const,
    queryFn: () => api<PlacePlanDto>('GET', apiOf(gardenId, 'places', placeId, 'plan')),
  });

export const benchesQuery = (gardenId: string) =>
  queryOptions({
    queryKey: [...queryKeys.garden(gardenId), 'benches'] as const,
    queryFn: () => api<BenchDto[]>('GET', apiOf(gardenId, 'benches')),
  });

export const hoseTimerQuery = (gardenId: string) =>
  queryOptions({
    queryKey: [...queryKeys.garden(gardenId), 'timer'] as const,
    queryFn: () => api<HoseTimerDto>('GET', apiOf(gardenId, 'timer')),
  });
