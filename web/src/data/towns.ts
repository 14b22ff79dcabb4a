import type { TownDto } from '@candid-leaf/contract';
import { queryOptions } from '@tanstack/react-query';
import { api } from '../lib/api';

const LONG_MS = 3_600_000;

export const townsQuery = (name: string) =>
  queryOptions({
    queryKey: ['towns', name],
    queryFn: () => api<TownDto[]>('GET', `/towns?name=${encodeURIComponent(name)}`),
    enabled: name.trim().length >= 2,
    staleTime: LONG_MS,
    placeholderData: (before: TownDto[] | undefined) => before,
  });

export const townNearQuery = (latitude: number, longitude: number) =>
  queryOptions({
    queryKey: ['towns', 'near', latitude, longitude],
    queryFn: () => townNear(latitude, longitude),
    enabled: Number.isFinite(latitude) && Number.isFinite(longitude),
    staleTime: LONG_MS,
  });

export const townNear = (latitude: number, longitude: number): Promise<TownDto> =>
  api('GET', `/towns/near?latitude=${latitude}&longitude=${longitude}`);
