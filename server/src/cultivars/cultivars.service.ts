import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import type { CultivarDto, CultivarInput } from '@candid-leaf/contract';
import { cultivarFaults } from '@candid-leaf/core/cultivars';
import { IsNull, type DataSource, type EntityManager } from 'typeorm';
import { GardensService } from '../gardens/gardens.service.js';
import { notFound, throwIfFaults } from '../shared/http-errors.js';
import { putVersioned, updateRows } from '../shared/rows.js';
import { CultivarEntity } from './cultivar.entity.js';

const cultivarDto = ({ gardenId: _g, deletedAt: _d, revision: _r, ...rest }: CultivarEntity): CultivarDto => rest;

@Injectable()
export class CultivarsService {
  constructor(
    private readonly gardens: GardensService,
    @InjectDataSource() private readonly db: DataSource,
  ) {}

  async list(gardenId: string, m: EntityManager = this.db.manager): Promise<CultivarDto[]> {
    const rows = await m.find(CultivarEntity, {
      where: { gardenId, deletedAt: IsNull() },
      order: { crop: 'DESC', name: 'ASC', id: 'ASC' },
    });
    return rows.map(cultivarDto);
  }

  put(gardenId: string, { id, version, ...make }: CultivarInput): Promise<CultivarDto> {
    throwIfFaults(cultivarFaults(make));
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
      cultivarDto(await putVersioned(m, CultivarEntity, { id, gardenId, version }, content)),
    );
  }

  /** Plants of this variety keep their facts; only the variety is hidden. */
  setDeleted(gardenId: string, id: string, deleted: boolean): Promise<void> {
    return this.gardens.change(gardenId, async (m) => {
      const found = await updateRows(m, CultivarEntity, { id, gardenId }, { deletedAt: deleted ? new Date() : null });
      if (found === 0) throw notFound('kind');
    });
  }
}
