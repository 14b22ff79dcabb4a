import { PICK_EVERY_DAYS, ripeFromSet } from '@candid-leaf/core/harvest';
import type { Spraying, TrussCount } from '@candid-leaf/core/records';
import { waitsOn } from '@candid-leaf/core/spray';
import { addDays, type Day } from '@candid-leaf/core/units';
import type { PlaceEntity } from '../places/place.entity.js';
import type { PlantEntity } from '../plants/plant.entity.js';
import { growthIn, stageIn } from './growth.js';
import type { GardenSnapshot } from './snapshots.service.js';
import { weatherIn } from './weather-lists.js';

/** Nobody said yet whether its fruit colours: from this chance on a look is worth the way (judgement). */
const MAY_BE_RIPE = 0.4;

/**
 * Returns the day on which this plant is picked next, by its records: null while a spray's waiting time runs or nothing more
 * is expected, undefined where the records say nothing.
 */
export function pickOnByRecords(s: GardenSnapshot, plant: PlantEntity, place: PlaceEntity): Day | null | undefined {
  const records = s.recordsOf(plant.id).filter((r) => r.day <= s.today);
  const sprays = [...records, ...s.recordsOf(place.id)]
    .filter((r) => r.type === 'spray')
    .map((r) => r.data as Spraying);
  if (waitsOn(s.today, sprays).length > 0) return null;
  const last = records.filter((r) => r.type === 'picking').at(-1);
  const stage = stageIn(s, plant);
  if (last) return stage === 'late' ? null : addDays(last.day, PICK_EVERY_DAYS[plant.crop]);
  if (stage === 'ripening') return s.today;
  const { unsure } = growthIn(s, plant, place);
  if (unsure?.stage === 'ripening' && unsure.chance >= MAY_BE_RIPE) return s.today;
  const set = records.find((r) => r.type === 'truss-count' && (r.data as TrussCount).fruit > 0);
  return set ? (ripeFromSet(plant.crop, set.day, s.today, weatherIn(s))?.from ?? null) : undefined;
}
