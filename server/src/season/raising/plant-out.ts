import type { EntityManager } from 'typeorm';
import type { GardenSnapshot } from '../../assessment/snapshots.service.js';
import { noteGrown } from '../../places/grown.js';
import { PlantEntity } from '../../plants/plant.entity.js';
import { revisionOf } from '../../shared/garden-revision.js';
import { nextPosition } from '../../shared/ordering.js';
import { updateRows } from '../../shared/rows.js';
import type { PlantingEntity } from '../planting.entity.js';
import { plantIds } from '../plant-ids.js';
import { varietyName } from '../planting-on-view.js';

/** Creates the plants in their bed. */
export async function plantOut(m: EntityManager, s: GardenSnapshot, p: PlantingEntity): Promise<void> {
  const variety = s.varietyOf(p);
  const name = varietyName(variety, p.crop);
  let position = await nextPosition(m, PlantEntity, { gardenId: s.garden.id, placeId: p.placeId });
  for (const [i, id] of plantIds(p).entries()) {
    const old = await m.findOneBy(PlantEntity, { id });
    if (old) {
      await updateRows(m, PlantEntity, { id }, { deletedAt: null, transplantedOn: s.today });
      continue;
    }
    await m.insert(PlantEntity, {
      id,
      gardenId: s.garden.id,
      version: 1,
      revision: revisionOf(m),
      deletedAt: null,
      placeId: p.placeId,
      name: p.count === 1 ? name : `${name} ${i + 1}`,
      crop: p.crop,
      habit: variety?.habit ?? null,
      type: variety?.type ?? null,
      stage: null,
      transplantedOn: s.today,
      heightM: null,
      seenOn: null,
      plantedAbout: null,
      start: 'seedling',
      spacingM: p.spacingM,
      resistantTo: [],
      worth: null,
      training: null,
      varietyId: p.varietyId,
      varietyUnsure: null,
      position: position++,
      retiredOn: null,
      endedBecause: null,
    });
  }
  await noteGrown(m, p.placeId, s.today);
}
