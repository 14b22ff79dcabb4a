import type { PlantCase } from '../records/plant-case.js';
import { gaveWater } from './watering.js';

/**
 * Returns whether the gardener holds water back: it was recorded, and since then no finger has found the soil dry and
 * nobody has watered. Days alone never end it.
 */
export function heldUntilDry({
  records: { events, soilChecks, watering },
  observations,
  asOf,
}: Pick<PlantCase, 'records' | 'observations' | 'asOf'>): boolean {
  const since = events.findLast((e) => e.what === 'water-held' && e.date <= asOf)?.date;
  if (since === undefined) return false;
  const dry =
    soilChecks.some((s) => s.date >= since && s.feel === 'dry' && s.by !== 'probe') ||
    observations.some((o) => o.date >= since && o.present && o.sign === 'soil-dry-deep');
  return !dry && !watering.some((w) => w.date > since && gaveWater(w));
}
