import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import type { PlantingDto, PlantingInput } from '@candid-leaf/contract';
import { plantingFaults } from '@candid-leaf/core/planning';
import { IsNull, type DataSource, type EntityManager } from 'typeorm';
import { VarietyEntity } from '../varieties/variety.entity.js';
import { GardensService } from '../gardens/gardens.service.js';
import { PlaceEntity } from '../places/place.entity.js';
import { notFound, throwIfFaults } from '../shared/http-errors.js';
import { putVersioned, updateRows } from '../shared/rows.js';
import { PlantingEntity } from './planting.entity.js';

/** Returns a planting without the server's own fields. */
export const plantingDto = ({ gardenId: _g, deletedAt: _d, revision: _r, ...rest }: PlantingEntity): PlantingDto =>
  rest;

/** Creates and changes plantings. */
@Injectable()
export class PlantingsService {
  constructor(
    private readonly gardens: GardensService,
    @InjectDataSource() private readonly db: DataSource,
  ) {}

  of(gardenId: string, year?: number, m: EntityManager = this.db.manager): Promise<PlantingEntity[]> {
    return m.find(PlantingEntity, {
      where: { gardenId, deletedAt: IsNull(), ...(year === undefined ? {} : { year }) },
      order: { crop: 'DESC', id: 'ASC' },
    });
  }

  put(gardenId: string, { id, version, ...make }: PlantingInput): Promise<PlantingDto> {
    throwIfFaults(plantingFaults(make));
    const content = {
      year: make.year,
      placeId: make.placeId,
      varietyId: make.varietyId ?? null,
      crop: make.crop,
      count: make.count,
      spacingM: make.spacingM ?? null,
      sownOn: make.sownOn ?? null,
      cells: make.cells ?? null,
      lost: make.lost ?? null,
      litOn: make.litOn ?? null,
      thinnedOn: make.thinnedOn ?? null,
      trayDays: make.trayDays ?? null,
      trayWetG: make.trayWetG ?? null,
      cellMl: make.cellMl ?? null,
      potMl: make.potMl ?? null,
      looks: make.looks ?? null,
      aim: make.aim ?? null,
      spots: make.spots ?? null,
      pottedOn: make.pottedOn ?? null,
      hardenFrom: make.hardenFrom ?? null,
      outDays: make.outDays ?? null,
      plantedOn: make.plantedOn ?? null,
    };
    return this.gardens.change(gardenId, async (m) => {
      if (!(await m.existsBy(PlaceEntity, { id: make.placeId, gardenId }))) throw notFound('place');
      if (make.varietyId) {
        const variety = await m.findOneBy(VarietyEntity, { id: make.varietyId, gardenId });
        if (!variety) throw notFound('variety');
        if (variety.crop !== make.crop)
          throwIfFaults([
            { path: 'varietyId', reason: `${variety.name} is a ${variety.crop}, and not a ${make.crop}` },
          ]);
      }
      return plantingDto(await putVersioned(m, PlantingEntity, { id, gardenId, version }, content));
    });
  }

  setDeleted(gardenId: string, id: string, deleted: boolean): Promise<void> {
    return this.gardens.change(gardenId, async (m) => {
      const found = await updateRows(m, PlantingEntity, { id, gardenId }, { deletedAt: deleted ? new Date() : null });
      if (found === 0) throw notFound('planting');
    });
  }
}
