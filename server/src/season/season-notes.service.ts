import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import type { SeasonNotesDto, SeasonNotesInput } from '@candid-leaf/contract';
import { IsNull, Not, type DataSource } from 'typeorm';
import { GardensService } from '../gardens/gardens.service.js';
import { throwIfFaults } from '../shared/http-errors.js';
import { putVersioned } from '../shared/rows.js';
import { SeasonNotesEntity } from './season-notes.entity.js';

const notesDto = ({ gardenId: _g, deletedAt: _d, revision: _r, ...rest }: SeasonNotesEntity): SeasonNotesDto => rest;

/** Season reviews: what worked, what to change. One per season. */
@Injectable()
export class SeasonNotesService {
  constructor(
    private readonly gardens: GardensService,
    @InjectDataSource() private readonly db: DataSource,
  ) {}

  async of(gardenId: string, year: number): Promise<SeasonNotesDto | null> {
    const row = await this.db.manager.findOneBy(SeasonNotesEntity, { gardenId, year, deletedAt: IsNull() });
    return row && notesDto(row);
  }

  put(
    gardenId: string,
    { id, version, year, worked, change, kit, closedOn }: SeasonNotesInput,
  ): Promise<SeasonNotesDto> {
    return this.gardens.change(gardenId, async (m, garden) => {
      const today = this.gardens.today(garden);
      if (closedOn && closedOn > today) throwIfFaults([{ path: 'closedOn', reason: `${closedOn} is in the future` }]);
      if (await m.existsBy(SeasonNotesEntity, { gardenId, year, id: Not(id), deletedAt: IsNull() }))
        throwIfFaults([{ path: 'year', reason: 'already has a review: change that one' }]);
      const content = {
        year,
        worked: worked?.trim() || null,
        change: change?.trim() || null,
        kit: kit ?? null,
        closedOn: closedOn ?? null,
      };
      return notesDto(await putVersioned(m, SeasonNotesEntity, { id, gardenId, version }, content));
    });
  }
}
