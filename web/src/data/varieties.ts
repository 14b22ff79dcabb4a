import type { VarietyDto, VarietyInput } from '@candid-leaf/contract';
import { queryOptions } from '@tanstack/react-query';
import { api } from '../lib/api';
import { apiOf } from '../lib/paths';
import { queryKeys } from '../lib/query-keys';
import { defineWrite, type OfGarden } from '../lib/writes';

export const varietiesQuery = (gardenId: string) =>
  queryOptions({
    queryKey: [...queryKeys.garden(gardenId), 'varieties'] as const,
    queryFn: () => api<VarietyDto[]>('GET', apiOf(gardenId, 'varieties')),
  });

export const saveVariety = defineWrite('variety.save', ({ gardenId, variety }: OfGarden & { variety: VarietyInput }) =>
  api<VarietyDto>('PUT', apiOf(gardenId, 'varieties'), variety),
);
export const deleteVariety = defineWrite('variety.delete', ({ gardenId, id }: OfGarden & { id: string }) =>
  api('DELETE', apiOf(gardenId, 'varieties', id)),
);
export const restoreVariety = defineWrite('variety.restore', ({ gardenId, id }: OfGarden & { id: string }) =>
  api('POST', apiOf(gardenId, 'varieties', id, 'restore')),
);
