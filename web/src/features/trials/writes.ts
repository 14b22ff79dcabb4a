import type { TrialDto, TrialInput } from '@candid-leaf/contract';
import { api } from '../../lib/api';
import { apiOf } from '../../lib/paths';
import { defineWrite, type OfGarden } from '../../lib/writes';

export const saveTrial = defineWrite('trial.save', ({ gardenId, trial }: OfGarden & { trial: TrialInput }) =>
  api<TrialDto>('PUT', apiOf(gardenId, 'trials'), trial),
);
export const deleteTrial = defineWrite('trial.delete', ({ gardenId, id }: OfGarden & { id: string }) =>
  api('DELETE', apiOf(gardenId, 'trials', id)),
);
