import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import type { VarietyDto, VarietyInput } from '@candid-leaf/contract';
import { varietyFaults } from '@candid-leaf/core/varieties';
import { IsNull, type DataSource, type EntityManager } from 'typeorm';
import { GardensService } from '../gardens/gardens.service.js';
import { notFound, throwIfFaults } from '../shared/http-errors.js';
import { putVersioned, updateRows } from '../shared/rows.js';
import { VarietyEntity } from './variety.entity.js';

const varietyDto = ({ gardenId: _g, deletedAt: _d, revision: _r, ...rest }: VarietyEntity): VarietyDto => rest;

/** Creates and changes varieties. */
@Injectable()
export class VarietiesService {
  constructor(
    private readonly gardens: GardensService,
    @InjectDataSource() private readonly db: DataSource,
  ) {}

  async list(gardenId: string, m: EntityManager = this.db.manager): Promise<VarietyDto[]> {
    const rows = await m.find(VarietyEntity, {
      where: { gardenId, deletedAt: IsNull() },
      order: { crop: 'DESC', name: 'ASC', id: 'ASC' },
    });
    return rows.map(varietyDto);
  }

  put(gardenId: string, { id, version, ...make }: VarietyInput): Promise<VarietyDto> {
    throwIfFaults(varietyFaults(make));
    const content = {
      name: make.name,
      crop: make.crop,
      type: make.type ?? null,
      habit: make.habit ?? null,
      daysToMaturity: make.daysToMaturity ?? null,
      ripeColour: make.ripeColour ?? null,
      fruitG: make.fruitG ?? null,
      letters: make.letters ?? null,
      heatSet: make.heatSet ?? null,
      coldSet: make.coldSet ?? null,
      splits: make.splits ?? null,
      darkEnds: make.darkEnds ?? null,
    };
    return this.gardens.change(gardenId, async (m) =>
      varietyDto(await putVersioned(m, VarietyEntity, { id, gardenId, version }, content)),
    );
  }

  /** Plants of this variety keep their facts; only the variety is hidden. */
  setDeleted(gardenId: string, id: string, deleted: boolean): Promise<void> {
    return this.gardens.change(gardenId, async (m) => {
      const found = await updateRows(m, VarietyEntity, { id, gardenId }, { deletedAt: deleted ? new Date() : null });
      if (found === 0) throw notFound('variety');
    });
  }
}
