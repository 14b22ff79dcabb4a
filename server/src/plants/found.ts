import type { DisorderCode, PlantFacts } from '@candid-leaf/core/records';
import type { Day } from '@candid-leaf/core/units';
import type { EntityManager } from 'typeorm';
import { updateRows } from '../shared/rows.js';
import { PlantEntity } from './plant.entity.js';

/** Notes on a plant what was found on it and taken on, so that other plants of its variety learn from it. */
export async function noteFound(m: EntityManager, plant: PlantEntity, disorder: DisorderCode, on: Day): Promise<void> {
  const found = plant.found ?? [];
  if (found.some((f) => f.disorder === disorder)) return;
  await updateRows(m, PlantEntity, { id: plant.id }, { found: [...found, { disorder, on }] });
}

type Alike = NonNullable<PlantFacts['alike']>;
const known = new WeakMap<readonly PlantEntity[], ReadonlyMap<string, readonly PlantEntity[]>>();

/**
 * Returns what was found on the other plants of its variety in this garden, of all seasons; null if it has no variety, its
 * variety is unsure, or nothing was found on them.
 */
export function alikeOf(plants: readonly PlantEntity[], plant: PlantEntity, today: Day): Alike | null {
  if (!plant.varietyId || plant.varietyUnsure) return null;
  let byVariety = known.get(plants);
  if (!byVariety) {
    const map = new Map<string, PlantEntity[]>();
    for (const p of plants)
      if (p.varietyId && !p.varietyUnsure) map.set(p.varietyId, [...(map.get(p.varietyId) ?? []), p]);
    known.set(plants, (byVariety = map));
  }
  const others = (byVariety.get(plant.varietyId) ?? []).filter((p) => p.id !== plant.id);
  const counts = new Map<DisorderCode, number>();
  for (const p of others)
    for (const { disorder, on } of p.found ?? [])
      if (on <= today) counts.set(disorder, (counts.get(disorder) ?? 0) + 1);
  if (counts.size === 0) return null;
  return { of: others.length, found: [...counts].map(([disorder, n]) => ({ disorder, plants: n })) };
}
