import type { PlaceDto, PlaceInput, PlaceRetired, PlaceRetiredDto } from '@candid-leaf/contract';
import { api } from '../lib/api';
import { apiOf } from '../lib/paths';
import { defineWrite, type OfGarden } from '../lib/writes';

export const savePlace = defineWrite('place.save', ({ gardenId, place }: OfGarden & { place: PlaceInput }) =>
  api<PlaceDto>('PUT', apiOf(gardenId, 'places'), place),
);
export const orderPlaces = defineWrite('place.order', ({ gardenId, ids }: OfGarden & { ids: string[] }) =>
  api('POST', apiOf(gardenId, 'places', 'order'), { ids }),
);
export const retirePlace = defineWrite(
  'place.retire',
  ({ gardenId, id, ...body }: OfGarden & { id: string } & PlaceRetired) =>
    api<PlaceRetiredDto>('POST', apiOf(gardenId, 'places', id, 'retire'), body),
);
export const restorePlace = defineWrite('place.restore', ({ gardenId, id }: OfGarden & { id: string }) =>
  api('POST', apiOf(gardenId, 'places', id, 'restore')),
);
