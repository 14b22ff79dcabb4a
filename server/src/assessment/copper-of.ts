import type { Spraying } from '@candid-leaf/core/records';
import { copperTotal, type CopperTotal } from '@candid-leaf/core/spray';
import type { Day } from '@candid-leaf/core/units';
import type { PlaceEntity } from '../places/place.entity.js';
import type { GardenSnapshot } from './snapshots.service.js';

/** Returns the copper metal that a bed or pot got in the twelve months up to a day, on all plants that stand or stood there. */
export function copperOf(s: GardenSnapshot, place: PlaceEntity, on: Day): CopperTotal {
  const here = [place.id, ...s.plants.filter((p) => p.placeId === place.id).map((p) => p.id)];
  const sprays = here
    .flatMap((id) => s.recordsOf(id))
    .filter((r) => r.type === 'spray')
    .map((r) => r.data as Spraying);
  return copperTotal(sprays, place.lengthM && place.widthM ? place.lengthM * place.widthM : null, on);
}
