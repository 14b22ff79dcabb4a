import type { PlaceEntity } from '../places/place.entity.js';
import { alikeOf } from '../plants/found.js';
import type { PlantEntity } from '../plants/plant.entity.js';
import { livePlantsIn, type GardenSnapshot } from './snapshots.service.js';

/** Returns the versions of everything a plant's assessment depends on. */
export const plantStamp = (s: GardenSnapshot, plant: PlantEntity, place: PlaceEntity): string =>
  [
    ...commonStamp(s, place),
    plant.revision,
    s.varietyOf(plant)?.revision ?? '',
    s.kept.stampOf(plant.id),
    foundStamp(s, plant),
    // a bed's ground is shared by its plants
    livePlantsIn(s, place.id).length,
  ].join(' ');

/** Returns the versions of everything that the plants of a bed or pot depend on. */
export const placeStamp = (s: GardenSnapshot, place: PlaceEntity, plants: readonly PlantEntity[]): string =>
  [
    ...commonStamp(s, place),
    ...plants.flatMap((p) => [
      p.id,
      p.revision,
      s.varietyOf(p)?.revision ?? '',
      s.kept.stampOf(p.id),
      foundStamp(s, p),
    ]),
  ].join(' ');

/** What was found on other plants of its variety counts for it too. */
const foundStamp = (s: GardenSnapshot, plant: PlantEntity): string => {
  const alike = alikeOf(s.plants, plant, s.today);
  return alike ? JSON.stringify(alike) : '';
};

const commonStamp = (s: GardenSnapshot, place: PlaceEntity): readonly string[] => [
  s.today,
  String(s.garden.version),
  s.kept.weatherRevision,
  s.kept.stampOf(), // the rain gauge
  place.revision,
  s.kept.stampOf(place.id),
];

/** Returns the cached result if nothing it depends on has changed. */
export const kept = <T>(s: GardenSnapshot, key: string, stamp: string, work: () => T): T =>
  s.kept.remember(key, stamp, s.tentative, work);
