import type { PlantingDto, PlantingInput } from '@candid-leaf/contract';
import { api } from '../../lib/api';
import { apiOf } from '../../lib/paths';
import { defineWrite, type OfGarden } from '../../lib/writes';

export const savePlanting = defineWrite(
  'planting.save',
  ({ gardenId, planting }: OfGarden & { planting: PlantingInput }) =>
    api<PlantingDto>('PUT', apiOf(gardenId, 'plantings'), planting),
);
export const deletePlanting = defineWrite('planting.delete', ({ gardenId, id }: OfGarden & { id: string }) =>
  api('DELETE', apiOf(gardenId, 'plantings', id)),
);
export const restorePlanting = defineWrite('planting.restore', ({ gardenId, id }: OfGarden & { id: string }) =>
  api('POST', apiOf(gardenId, 'plantings', id, 'restore')),
);
