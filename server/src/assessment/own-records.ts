import type { PlantEntity } from '../plants/plant.entity.js';
import type { RecordEntity } from '../records/record.entity.js';
import type { GardenSnapshot } from './snapshots.service.js';

/** Returns a plant's records: its own, and its bed's since it grows there; none later than today. */
export function recordsOfPlant(s: GardenSnapshot, plant: PlantEntity): RecordEntity[] {
  const since = plant.transplantedOn;
  return [...s.recordsOf(plant.id), ...s.recordsOf(plant.placeId).filter((r) => !since || r.day >= since)]
    .filter((r) => r.day <= s.today)
    .sort((a, b) => (a.day < b.day ? -1 : a.day > b.day ? 1 : a.id < b.id ? -1 : 1));
}
