import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import type { AcceptFinding, Inspection, Outcome, TroubleDto } from '@candid-leaf/contract';
import { DRIVERS, remedyRow, type Remedy } from '@candid-leaf/core';
import type { DataSource } from 'typeorm';
import { v7 as uuid } from 'uuid';
import { GardenBooks } from '../cases/garden-book.js';
import { InsightService } from '../cases/insight.service.js';
import { gone, refuse } from '../common/refusals.js';
import { GardensService } from '../gardens/gardens.service.js';
import { RecordsService } from '../records/records.service.js';
import { TaskEntity } from './task.entity.js';
import { TroubleEntity } from './trouble.entity.js';

export const troubleDto = (t: TroubleEntity): TroubleDto => {
  const { gardenId: _g, report: _r, ...rest } = t;
  return rest;
};

@Injectable()
export class TroublesService {
  constructor(
    @InjectDataSource() private readonly db: DataSource,
    private readonly gardens: GardensService,
    private readonly books: GardenBooks,
    private readonly insights: InsightService,
    private readonly records: RecordsService,
  ) {}

  async ofPlant(gardenId: string, plantId: string): Promise<TroubleDto[]> {
    const rows = await this.db.manager.find(TroubleEntity, {
      where: { gardenId, plantId },
      order: { openedOn: 'DESC', id: 'DESC' },
    });
    return rows.map(troubleDto);
  }

  /** Takes on a finding that stands on the plant's page now: a trouble is opened and its remedies become tasks. */
  async accept(gardenId: string, plantId: string, input: AcceptFinding): Promise<TroubleDto> {
    const existing = await this.db.manager.findOneBy(TroubleEntity, { id: input.id });
    if (existing) {
      if (existing.gardenId !== gardenId || existing.plantId !== plantId) throw gone('trouble');
      return troubleDto(existing);
    }
    const book = await this.books.open(gardenId);
    const plant = book.plants.find((p) => p.id === plantId);
    if (!plant) throw gone('plant');
    const { report } = this.insights.of(book, plant);
    const finding = report.diagnosis.find((d) => d.disorder === input.disorder);
    const remedies = report.remedies.filter((r) => r.forDisorder === input.disorder);
    const first = remedies[0];
    if (!finding || !first)
      throw refuse([{ path: 'disorder', reason: `${input.disorder} is not a finding on this plant now` }]);
    return this.gardens.change(gardenId, async (m) => {
      // one open trouble of a kind on a plant: taking it on twice gives the same one
      const open = await m.findOne(TroubleEntity, {
        where: { gardenId, plantId, disorder: input.disorder },
        order: { openedOn: 'DESC' },
        lock: { mode: 'pessimistic_write' },
      });
      if (open && open.closedOn === null) return troubleDto(open);
      const trouble = m.create(TroubleEntity, {
        id: input.id,
        gardenId,
        plantId,
        disorder: input.disorder,
        openedOn: book.today,
        followUpOn: first.followUpOn,
        successIs: first.successIs,
        report: { headline: report.headline, finding },
        closedOn: null,
        outcome: null,
      });
      await m.insert(TroubleEntity, trouble as never);
      await m.insert(TaskEntity, remedies.map((r) => taskOf(r, trouble)) as never);
      return troubleDto(trouble);
    });
  }

  /** What came of it. "Worked" also records that its signs are gone; any answer closes the trouble and its tasks. */
  async close(gardenId: string, accountId: string, troubleId: string, outcome: Outcome): Promise<TroubleDto> {
    const book = await this.books.open(gardenId);
    return this.gardens.change(gardenId, async (m) => {
      const trouble = await m.findOne(TroubleEntity, {
        where: { id: troubleId, gardenId },
        lock: { mode: 'pessimistic_write' },
      });
      if (!trouble) throw gone('trouble');
      if (trouble.closedOn !== null) return troubleDto(trouble);
      trouble.closedOn = book.today;
      trouble.outcome = outcome;
      await m.save(trouble);
      await m
        .createQueryBuilder()
        .update(TaskEntity)
        .set({ doneOn: book.today })
        .where({ troubleId })
        .andWhere('doneOn IS NULL')
        .execute();
      if (outcome === 'worked') {
        const finding = (trouble.report as { finding: { explains: Inspection['signs'][number]['sign'][] } }).finding;
        const signs = finding.explains.map((sign) => ({ sign, present: false }));
        await this.records.write(m, gardenId, accountId, book.today, {
          id: uuid(),
          type: 'inspection',
          plantId: trouble.plantId,
          data: { date: book.today, allClear: true, signs },
        });
      }
      return troubleDto(trouble);
    });
  }
}

function taskOf(r: Remedy, t: TroubleEntity): TaskEntity {
  const row = remedyRow(r.remedy);
  return {
    id: uuid(),
    gardenId: t.gardenId,
    plantId: t.plantId,
    troubleId: t.id,
    remedy: r.remedy,
    dueOn: r.when,
    lastOn: r.when > t.followUpOn ? r.when : t.followUpOn,
    everyDays: r.dose?.everyDays ?? null,
    dose: r.dose,
    cautions: r.cautions,
    why: r.forDriver ? `because of ${DRIVERS[r.forDriver]}` : row.how.slice(0, 400),
    doneOn: null,
    laterUntil: null,
  };
}
