import { Injectable } from '@nestjs/common';
import type { PlaceDto, PlaceInput } from '@candid-leaf/contract';
import { placeFaults } from '@candid-leaf/core';
import { nextPosition, reorder } from '../common/ordering.js';
import { gone, insist } from '../common/refusals.js';
import { putVersioned } from '../common/versioned.js';
import { GardensService } from '../gardens/gardens.service.js';
import { PlaceEntity } from './place.entity.js';

export const placeDto = (p: PlaceEntity): PlaceDto => {
  const { gardenId: _g, deletedAt: _d, ...rest } = p;
  return rest;
};

@Injectable()
export class PlacesService {
  constructor(private readonly gardens: GardensService) {}

  async put(gardenId: string, input: PlaceInput): Promise<PlaceDto> {
    insist([
      ...placeFaults(input.kind, input.volumeL, 'volumeL'),
      ...(input.kind !== 'container' && (input.lengthM == null || input.widthM == null)
        ? [
            {
              path: input.lengthM == null ? 'lengthM' : 'widthM',
              reason: 'a bed needs its length and width: litres are reckoned over its ground',
            },
          ]
        : []),
    ]);
    return this.gardens.change(gardenId, async (m) => {
      const { row } = await putVersioned(
        m,
        PlaceEntity,
        { id: input.id, gardenId, ...(input.version != null ? { version: input.version } : {}) },
        {
          name: input.name,
          kind: input.kind,
          texture: input.texture,
          volumeL: input.volumeL ?? null,
          potMaterial: input.potMaterial ?? null,
          lengthM: input.lengthM ?? null,
          widthM: input.widthM ?? null,
          mulch: input.mulch ?? [],
          shade: input.shade ?? [],
          irrigation: input.irrigation ?? null,
          flowLPerH: input.flowLPerH ?? null,
          drainageMmPerH: input.drainageMmPerH ?? null,
          soilTest: input.soilTest ?? null,
          history: input.history ?? [],
          watering: input.watering ?? null,
        },
        { position: await nextPosition(m, PlaceEntity, { gardenId }), retiredOn: null },
      );
      return placeDto(row);
    });
  }

  order(gardenId: string, ids: string[]): Promise<void> {
    return this.gardens.change(gardenId, (m) => reorder(m, PlaceEntity, gardenId, ids));
  }

  /** Retired places leave the garden view; nothing recorded is lost, and it can be taken back. */
  async retire(gardenId: string, placeId: string, retired: boolean): Promise<void> {
    const today = this.gardens.today(await this.gardens.get(gardenId));
    await this.gardens.change(gardenId, async (m) => {
      const done = await m.update(PlaceEntity, { id: placeId, gardenId }, { retiredOn: retired ? today : null });
      if (done.affected === 0 && !(await m.existsBy(PlaceEntity, { id: placeId, gardenId }))) throw gone('place');
    });
  }
}
