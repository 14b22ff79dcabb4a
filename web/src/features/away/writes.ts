import type { NewLink, WateringListInput } from '@candid-leaf/contract';
import { api } from '../../lib/api';
import { apiOf } from '../../lib/paths';
import { defineWrite, type OfGarden } from '../../lib/writes';

export const makeWateringList = defineWrite(
  'watering-list.make',
  ({ gardenId, ...input }: OfGarden & WateringListInput) =>
    api<NewLink>('POST', apiOf(gardenId, 'watering-lists'), input),
);
export const takeWateringListBack = defineWrite(
  'watering-list.take-back',
  ({ gardenId, id }: OfGarden & { id: string }) => api('DELETE', apiOf(gardenId, 'watering-lists', id)),
);
