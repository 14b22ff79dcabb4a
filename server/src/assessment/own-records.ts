import type { Companion, Happening, SupportPut } from '@candid-leaf/core/records';
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

/**
 * Returns what holds a plant up: the newest support; null if none is recorded.
 * @param records of the plant and its bed, oldest first
 */
export function supportIn(records: readonly RecordEntity[]): SupportPut['what'] | null {
  const put = records.findLast((r) => r.type === 'support');
  return put ? (put.data as SupportPut).what : null;
}

/** Returns whether a plant is held up or was tied, as far as its records say. */
export const isHeldUp = (records: readonly RecordEntity[]): boolean =>
  supportIn(records) !== null || records.some((r) => r.type === 'event' && (r.data as Happening).what === 'tied');

/** Returns what was recorded of companion plants and weeds at a bed or pot, oldest first. */
export const companionsIn = (s: GardenSnapshot, placeId: string): Companion[] =>
  s.recordsOf(placeId).flatMap((r) => (r.type === 'companion' && r.day <= s.today ? (r.data as Companion) : []));
