import { Injectable } from '@nestjs/common';
import type { PlaceRetired, PlaceRetiredDto } from '@candid-leaf/contract';
import { IsNull, type EntityManager } from 'typeorm';
import { GardensService } from '../gardens/gardens.service.js';
import { archivedFaults } from '../places/archived.js';
import { noteGrown } from '../places/grown.js';
import { PlaceEntity } from '../places/place.entity.js';
import { badRequest, notFound, throwIfFaults } from '../shared/http-errors.js';
import { nextPosition } from '../shared/ordering.js';
import { updateRows } from '../shared/rows.js';
import { PlantEntity } from './plant.entity.js';

/** Archives a bed or pot. Plants that stand in it move to another, or are archived too: none is forgotten there. */
@Injectable()
export class RetirePlaceService {
  constructor(private readonly gardens: GardensService) {}

  /**
   * Archives a bed or pot; nothing recorded is lost, and it can be undone.
   * @throws 400 if plants stand there and nobody said where they go; 404 without the bed, or the one they move to
   */
  run(gardenId: string, placeId: string, { plants, toPlaceId }: PlaceRetired): Promise<PlaceRetiredDto> {
    return this.gardens.change(gardenId, async (m, garden) => {
      const today = this.gardens.today(garden);
      const place = await m.findOneBy(PlaceEntity, { id: placeId, gardenId });
      if (!place) throw notFound('place');
      const standing = await m.findBy(PlantEntity, { gardenId, placeId, retiredOn: IsNull(), deletedAt: IsNull() });
      if (standing.length > 0 && !plants)
        throw badRequest([
          {
            path: 'plants',
            reason: `${standing.length === 1 ? 'a plant still stands' : `${standing.length} plants still stand`} in ${place.name}: say whether to move or archive ${standing.length === 1 ? 'it' : 'them'}`,
          },
        ]);
      const target = plants === 'move' && standing.length > 0 ? await targetOf(m, place, toPlaceId ?? null) : null;
      for (const plant of standing)
        if (target) await move(m, plant, target);
        else await updateRows(m, PlantEntity, { id: plant.id, gardenId }, { retiredOn: today });
      await updateRows(m, PlaceEntity, { id: placeId, gardenId }, { retiredOn: place.retiredOn ?? today });
      const ids = standing.map((p) => p.id);
      return target ? { ended: [], moved: ids } : { ended: ids, moved: [] };
    });
  }
}

async function targetOf(m: EntityManager, from: PlaceEntity, toPlaceId: string | null): Promise<PlaceEntity> {
  if (toPlaceId === null || toPlaceId === from.id)
    throw badRequest([{ path: 'toPlaceId', reason: 'choose another bed or pot for them' }]);
  const to = await m.findOneBy(PlaceEntity, { id: toPlaceId, gardenId: from.gardenId, deletedAt: IsNull() });
  if (!to) throw notFound('place');
  throwIfFaults(archivedFaults(to, 'toPlaceId'));
  return to;
}

async function move(m: EntityManager, plant: PlantEntity, to: PlaceEntity): Promise<void> {
  const { id, gardenId } = plant;
  const position = await nextPosition(m, PlantEntity, { gardenId, placeId: to.id });
  await updateRows(m, PlantEntity, { id, gardenId }, { placeId: to.id, position, version: plant.version + 1 });
  if (plant.transplantedOn) await noteGrown(m, to.id, plant.transplantedOn);
}
