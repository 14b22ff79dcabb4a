import type { BenchDto, BenchInput, HoseTimerDto, HoseTimerInput, PlacePlanDto } from '@candid-leaf/contract';
import { queryOptions } from '@tanstack/react-query';
import { api } from '../lib/api';
import { apiOf } from '../lib/paths';
import { queryKeys } from '../lib/query-keys';
import { defineWrite, type OfGarden } from '../lib/writes';

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

type OfPlace = OfGarden & { placeId: string };

export const sendTimer = defineWrite('timer.send', ({ gardenId, placeId }: OfPlace) =>
  api<PlacePlanDto>('POST', apiOf(gardenId, 'places', placeId, 'timer', 'send')),
);
export const readTimer = defineWrite('timer.read', ({ gardenId, placeId }: OfPlace) =>
  api<PlacePlanDto>('POST', apiOf(gardenId, 'places', placeId, 'timer', 'read')),
);
export const saveBench = defineWrite('bench.save', ({ gardenId, bench }: OfGarden & { bench: BenchInput }) =>
  api<BenchDto>('PUT', apiOf(gardenId, 'benches'), bench),
);
export const deleteBench = defineWrite('bench.delete', ({ gardenId, id }: OfGarden & { id: string }) =>
  api('DELETE', apiOf(gardenId, 'benches', id)),
);
export const saveHoseTimer = defineWrite(
  'hose-timer.save',
  ({ gardenId, timer }: OfGarden & { timer: HoseTimerInput }) =>
    api<HoseTimerDto>('PUT', apiOf(gardenId, 'timer'), timer),
);
export const removeHoseTimer = defineWrite('hose-timer.remove', ({ gardenId }: OfGarden) =>
  api('DELETE', apiOf(gardenId, 'timer')),
);
