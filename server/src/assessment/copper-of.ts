import type { Spraying } from '@candid-leaf/core/records';
import { copperTotal, type CopperTotal } from '@candid-leaf/core/spray';
import type { Day } from '@candid-leaf/core/units';
import type { PlaceEntity } from '../places/place.entity.js';
import type { RecordEntity } from '../records/record.entity.js';
import type { GardenSnapshot } from './snapshots.service.js';

type Sprayed = Pick<RecordEntity, 'placeId' | 'plantId' | 'data'>;

/**
 * Returns the copper metal that a bed or pot got in the twelve months up to a day, on all plants that stand or stood there.
 * @param sprays of the garden; by default those that the snapshot has, which begin with the season
 */
export function copperOf(s: GardenSnapshot, place: PlaceEntity, on: Day, sprays?: readonly Sprayed[]): CopperTotal {
  const here = new Set([place.id, ...s.plants.filter((p) => p.placeId === place.id).map((p) => p.id)]);
  const all = sprays ?? [...here].flatMap((id) => s.recordsOf(id)).filter((r) => r.type === 'spray');
  return copperTotal(
    all.filter((r) => here.has(r.plantId ?? r.placeId ?? '')).map((r) => r.data as Spraying),
    place.lengthM && place.widthM ? place.lengthM * place.widthM : null,
    on,
  );
}
