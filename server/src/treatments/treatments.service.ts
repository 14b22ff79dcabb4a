import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import type { Outcome, StartTreatment, TreatmentDto } from '@candid-leaf/contract';
import { DRIVERS, remedyRow, type Remedy } from '@candid-leaf/core/diagnosis';
import { IsNull, type DataSource } from 'typeorm';
import { v7 as uuid } from 'uuid';
import { Assessments } from '../assessment/assessments.service.js';
import { Snapshots } from '../assessment/snapshots.service.js';
import { GardensService } from '../gardens/gardens.service.js';
import { RecordsService } from '../records/records.service.js';
import { badRequest, notFound } from '../shared/http-errors.js';
import { TreatmentTaskEntity } from './treatment-task.entity.js';
import { TreatmentEntity } from './treatment.entity.js';

const treatmentDto = (t: TreatmentEntity): TreatmentDto => {
  const { gardenId: _g, report: _r, ...rest } = t;
  return rest;
};

@Injectable()
export class TreatmentsService {
  constructor(
    @InjectDataSource() private readonly db: DataSource,
    private readonly gardens: GardensService,
    private readonly snapshots: Snapshots,
    private readonly assessments: Assessments,
    private readonly records: RecordsService,
  ) {}

  async ofPlant(gardenId: string, plantId: string): Promise<TreatmentDto[]> {
    const rows = await this.db.manager.find(TreatmentEntity, {
      where: { gardenId, plantId },
      order: { openedOn: 'DESC', id: 'DESC' },
    });
    return rows.map(treatmentDto);
  }

  /** Takes on a finding that stands on the plant's page now: a treatment is opened and its remedies become tasks. */
  async start(gardenId: string, plantId: string, input: StartTreatment): Promise<TreatmentDto> {
    return this.gardens.change(gardenId, async (m) => {
      const existing = await m.findOneBy(TreatmentEntity, { id: input.id });
      if (existing) {
        if (existing.gardenId !== gardenId || existing.plantId !== plantId) throw notFound('treatment');
        return treatmentDto(existing);
      }
      // one open treatment of a kind on a plant: taking it on twice gives the same one
      const open = await m.findOneBy(TreatmentEntity, {
        gardenId,
        plantId,
        disorder: input.disorder,
        closedOn: IsNull(),
      });
      if (open) return treatmentDto(open);
      const s = await this.snapshots.load(gardenId, m);
      const plant = s.plants.find((p) => p.id === plantId);
      if (!plant) throw notFound('plant');
      const { report } = await this.assessments.ofPlant(s, plant);
      const finding = report.diagnosis.find((d) => d.disorder === input.disorder);
      const remedies = report.remedies.filter((r) => r.forDisorder === input.disorder);
      const [first] = remedies;
      if (!finding || !first)
        throw badRequest([{ path: 'disorder', reason: `${input.disorder} is not a finding on this plant now` }]);
      const treatment = m.create(TreatmentEntity, {
        id: input.id,
        gardenId,
        plantId,
        disorder: input.disorder,
        openedOn: s.today,
        followUpOn: first.followUpOn,
        successIs: first.successIs,
        report: { headline: report.headline, finding },
        remedies: remedies.map((r) => r.remedy),
        closedOn: null,
        outcome: null,
      });
      await m.insert(TreatmentEntity, treatment);
      // what waters is ordered by the plan alone: a task beside it would be a second order
      const tasks = remedies.filter((r) => !remedyRow(r.remedy).acts).map((r) => taskOf(r, treatment));
      if (tasks.length > 0) await m.insert(TreatmentTaskEntity, tasks);
      return treatmentDto(treatment);
    });
  }

  /** What came of it. "Worked" also records that its signs are gone; any answer closes the treatment and its tasks. */
  async close(gardenId: string, accountId: string, treatmentId: string, outcome: Outcome): Promise<TreatmentDto> {
    return this.gardens.change(gardenId, async (m, garden) => {
      const treatment = await m.findOneBy(TreatmentEntity, { id: treatmentId, gardenId });
      if (!treatment) throw notFound('treatment');
      if (treatment.closedOn !== null) return treatmentDto(treatment);
      const today = this.gardens.today(garden);
      treatment.closedOn = today;
      treatment.outcome = outcome;
      await m.save(treatment);
      await m.update(TreatmentTaskEntity, { treatmentId, doneOn: IsNull() }, { doneOn: today });
      if (outcome === 'worked')
        await this.records.write(m, gardenId, accountId, today, {
          id: uuid(),
          type: 'inspection',
          plantId: treatment.plantId,
          data: {
            date: today,
            allClear: true,
            signs: treatment.report.finding.explains.map((sign) => ({ sign, present: false })),
          },
        });
      return treatmentDto(treatment);
    });
  }
}

function taskOf(r: Remedy, t: TreatmentEntity): TreatmentTaskEntity {
  return {
    id: uuid(),
    gardenId: t.gardenId,
    plantId: t.plantId,
    treatmentId: t.id,
    remedy: r.remedy,
    dueOn: r.when,
    dose: r.dose,
    cautions: r.cautions,
    why: r.forDriver ? `because of ${DRIVERS[r.forDriver]}` : remedyRow(r.remedy).how.slice(0, 400),
    doneOn: null,
  };
}
