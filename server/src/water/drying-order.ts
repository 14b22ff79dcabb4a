import { isPotted, type SoilCheck } from '@candid-leaf/core/records';
import { dryingOrder, dryingOrderInWords, type FeltPlant } from '@candid-leaf/core/water';
import { sizeIn } from '../assessment/growth.js';
import { livePlaces, livePlantsIn, type GardenSnapshot } from '../assessment/snapshots.service.js';
import type { PlaceEntity } from '../places/place.entity.js';
import type { PlantEntity } from '../plants/plant.entity.js';

/** Returns which plants of a bed or pot dry before others of the garden, or stay damp after them, in words. */
export function dryingOrderOf(s: GardenSnapshot, place: PlaceEntity): string[] {
  const felt = livePlaces(s).flatMap((p) => livePlantsIn(s, p.id).map((plant) => feltPlant(s, p, plant)));
  const here = new Set(livePlantsIn(s, place.id).map((p) => p.id));
  return dryingOrder(felt, here).map(dryingOrderInWords);
}

/** The first check of a day counts, if it was made by hand and before any watering. */
function feltPlant(s: GardenSnapshot, place: PlaceEntity, plant: PlantEntity): FeltPlant {
  const feels = new Map<string, SoilCheck['feel']>();
  for (const r of [...s.recordsOf(plant.id), ...s.recordsOf(place.id)]) {
    const check = r.data as SoilCheck;
    if (r.type !== 'soil-check' || r.day > s.today || check.after || check.by === 'probe' || feels.has(r.day)) continue;
    feels.set(r.day, check.feel);
  }
  const on = (dry: boolean) => new Set([...feels].filter(([, f]) => (f === 'dry') === dry).map(([day]) => day));
  return {
    id: plant.id,
    name: plant.name,
    dryOn: on(true),
    dampOn: on(false),
    volumeL: isPotted(place) ? place.volumeL : null,
    sunHours: place.sunHours,
    heightM: feels.size === 0 ? null : sizeIn(s, plant).heightM,
    lowEnd: place.lowEnd === true,
  };
}
