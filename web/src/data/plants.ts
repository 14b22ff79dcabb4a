import type {
  Outcome,
  PlantDto,
  PlantEnd,
  PlantInput,
  PlantView,
  SeveralPlants,
  TreatmentDto,
} from '@candid-leaf/contract';
import type { CaseFile } from '@candid-leaf/core/casefile';
import type { DisorderCode } from '@candid-leaf/core/records';
import { queryOptions } from '@tanstack/react-query';
import { api } from '../lib/api';
import { apiOf } from '../lib/paths';
import { queryKeys } from '../lib/query-keys';
import { defineWrite, type OfGarden } from '../lib/writes';

export const plantViewQuery = (gardenId: string, plantId: string) =>
  queryOptions({
    queryKey: [...queryKeys.garden(gardenId), 'plant', plantId] as const,
    queryFn: () => api<PlantView>('GET', apiOf(gardenId, 'plants', plantId, 'view')),
  });

/** Everything the plant's report needs, stored so it can be computed offline. */
export const plantCaseQuery = (gardenId: string, plantId: string) =>
  queryOptions({
    queryKey: [...queryKeys.garden(gardenId), 'case', plantId] as const,
    queryFn: () => api<CaseFile>('GET', apiOf(gardenId, 'plants', plantId, 'case')),
  });

export const savePlant = defineWrite('plant.save', ({ gardenId, plant }: OfGarden & { plant: PlantInput }) =>
  api<PlantDto>('PUT', apiOf(gardenId, 'plants'), plant),
);
/** Plants of one form, with their new bed if there is one. Kept on the device until the server has them. */
export const savePlants = defineWrite(
  'plants.save',
  ({ gardenId, ...several }: OfGarden & SeveralPlants) =>
    api<PlantDto[]>('PUT', apiOf(gardenId, 'plants', 'several'), several),
  { label: ({ plants }) => (plants.length === 1 ? plants[0]!.name : `${plants.length} plants`), apply: () => [] },
);
/** A rooted sucker of a plant becomes a plant. */
export const plantSucker = defineWrite(
  'plant.sucker',
  ({ gardenId, motherId, plant }: OfGarden & { motherId: string; plant: PlantInput }) =>
    api<PlantDto>('PUT', apiOf(gardenId, 'plants', motherId, 'sucker'), plant),
);
export const orderPlants = defineWrite(
  'plant.order',
  ({ gardenId, placeId, ids }: OfGarden & { placeId: string; ids: string[] }) =>
    api('POST', apiOf(gardenId, 'places', placeId, 'plants', 'order'), { ids }),
);
export const retirePlant = defineWrite(
  'plant.retire',
  ({ gardenId, id, because }: OfGarden & { id: string; because: PlantEnd }) =>
    api('POST', apiOf(gardenId, 'plants', id, 'retire'), { because }),
);
export const restorePlant = defineWrite('plant.restore', ({ gardenId, id }: OfGarden & { id: string }) =>
  api('POST', apiOf(gardenId, 'plants', id, 'restore')),
);
export const startTreatment = defineWrite(
  'treatment.start',
  ({ gardenId, plantId, id, disorder }: OfGarden & { plantId: string; id: string; disorder: DisorderCode }) =>
    api<TreatmentDto>('POST', apiOf(gardenId, 'plants', plantId, 'treatments'), { id, disorder }),
);
export const closeTreatment = defineWrite(
  'treatment.close',
  ({ gardenId, id, outcome }: OfGarden & { id: string; outcome: Outcome }) =>
    api<TreatmentDto>('POST', apiOf(gardenId, 'treatments', id, 'outcome'), { outcome }),
);
