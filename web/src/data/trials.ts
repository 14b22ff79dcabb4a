import type { TrialDto, TrialInput } from '@candid-leaf/contract';
import { queryOptions } from '@tanstack/react-query';
import { api } from '../lib/api';
import { apiOf } from '../lib/paths';
import { queryKeys } from '../lib/query-keys';
import { defineWrite, type OfGarden } from '../lib/writes';

export const trialsQuery = (gardenId: string) =>
  queryOptions({
    queryKey: [...queryKeys.garden(gardenId), 'trials'] as const,
    queryFn: () => api<TrialDto[]>('GET', apiOf(gardenId, 'trials')),
  });

export const saveTrial = defineWrite('trial.save', ({ gardenId, trial }: OfGarden & { trial: TrialInput }) =>
  api<TrialDto>('PUT', apiOf(gardenId, 'trials'), trial),
);
export const deleteTrial = defineWrite('trial.delete', ({ gardenId, id }: OfGarden & { id: string }) =>
  api('DELETE', apiOf(gardenId, 'trials', id)),
);
