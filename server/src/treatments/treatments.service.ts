import { helpedHere, type Rate } from '@candid-leaf/core/helped';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import type { Outcome, StartTreatment, TreatmentDto } from '@candid-leaf/contract';
import type { PlantAssessment, Report } from '@candid-leaf/core/assessment';
import { CAUTIONS } from '@candid-leaf/core/records';
import { DRIVERS, remedyRow, seriousnessOf, type Remedy, type RemedyCode } from '@candid-leaf/core/diagnosis';
import type { DisorderCode, Happening } from '@candid-leaf/core/records';
import { addDays, daysBetween } from '@candid-leaf/core/units';
import { IsNull, type DataSource, type EntityManager } from 'typeorm';
import { v7 as uuid } from 'uuid';
import { Assessments } from '../assessment/assessments.service.js';
import { Snapshots } from '../assessment/snapshots.service.js';
import { GardensService } from '../gardens/gardens.service.js';
import { noteGrown } from '../places/grown.js';
import { noteFound } from '../plants/found.js';
import { partOf, RecordsService } from '../records/records.service.js';
import { badRequest, notFound } from '../shared/http-errors.js';
import { TreatmentTaskEntity } from './treatment-task.entity.js';
import { TreatmentEntity, type FindingThen } from './treatment.entity.js';

const treatmentDto = (t: TreatmentEntity): TreatmentDto => {
  const { gardenId: _g, report, ...rest } = t;
  return { ...rest, stepsLeft: report.later?.length ?? 0 };
};

/** Starts treatments, and moves them to the next remedy. */
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

  /** Returns how often each remedy helped against each problem in this garden. */
  async helped(gardenId: string): Promise<Map<string, Rate>> {
    const rows = await this.db.manager.findBy(TreatmentEntity, { gardenId });
    return helpedHere(
      rows.map((t) => ({
        disorder: t.disorder,
        steps: t.report.taken ?? [t.remedies],
        closed: t.closedOn !== null,
        worked: t.outcome === 'worked',
      })),
    );
  }

  /** Returns plants whose open treatment task is such a remedy: only that task shows it. */
  async plantsWith(gardenId: string, such: (remedy: ReturnType<typeof remedyRow>) => boolean): Promise<Set<string>> {
    const open = await this.db.manager.findBy(TreatmentTaskEntity, { gardenId, doneOn: IsNull() });
    return new Set(open.filter((t) => such(remedyRow(t.remedy))).map((t) => t.plantId));
  }

  /**
   * Starts treating a current finding: opens a treatment and creates tasks for the first step. Later steps wait for
   * the follow-up; next season's work comes due by itself.
   */
  async start(gardenId: string, accountId: string, plantId: string, input: StartTreatment): Promise<TreatmentDto> {
    return this.gardens.change(gardenId, async (m) => {
      const existing = await m.findOneBy(TreatmentEntity, { id: input.id });
      if (existing) {
        if (existing.gardenId !== gardenId || existing.plantId !== plantId) throw notFound('treatment');
        return treatmentDto(existing);
      }
      // one open treatment per problem and plant: starting twice returns the same one
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
      const own = await this.assessments.ofPlant(s, plant);
      const { report } = own;
      const finding = report.diagnosis.find((d) => d.disorder === input.disorder);
      const ladder = ladderOf(report, input.disorder);
      const now = report.remedies.filter((r) => r.forDisorder === input.disorder && r.step <= 1);
      const [first] = now;
      if (!finding || !first)
        throw badRequest([{ path: 'disorder', reason: `${input.disorder} is not a current finding on this plant` }]);
      const place = s.places.find((p) => p.id === plant.placeId);
      const prevented = place
        ? this.assessments
            .prevented(s, place, plant, own, finding)
            .map(({ change, risk, riskWith }) => ({ change, risk, riskWith }))
        : [];
      const treatment = m.create(TreatmentEntity, {
        id: input.id,
        gardenId,
        plantId,
        disorder: input.disorder,
        openedOn: s.today,
        followUpOn: first.followUpOn,
        successIs: first.successIs,
        report: {
          headline: report.headline,
          finding,
          later: ladder,
          taken: [now.map((r) => r.remedy)],
          prevented,
          ...levelOf(own, input.disorder),
        },
        remedies: now.map((r) => r.remedy),
        step: 1,
        closedOn: null,
        outcome: null,
      });
      await m.insert(TreatmentEntity, treatment);
      await this.schedule(m, treatment, now);
      await noteGrown(m, plant.placeId, s.today, [input.disorder]);
      await noteFound(m, plant, input.disorder, s.today);
      // the plan keeps to it after the signs have passed, until a finger says that the soil is dry
      if (now.some((r) => remedyRow(r.remedy).acts === 'hold-water'))
        await this.records.write(m, gardenId, accountId, s.today, {
          id: partOf(treatment.id, plantId),
          type: 'event',
          plantId,
          data: { date: s.today, what: 'water-held' } satisfies Happening,
        });
      return treatmentDto(treatment);
    });
  }

  /**
   * Saves the result. "Worked" also records that its signs are gone. Otherwise the next step follows, if any; else,
   * and if it worked, the treatment closes. A result ends the tasks of earlier steps, but none of next season's.
   */
  async close(gardenId: string, accountId: string, treatmentId: string, outcome: Outcome): Promise<TreatmentDto> {
    return this.gardens.change(gardenId, async (m, garden) => {
      const treatment = await m.findOneBy(TreatmentEntity, { id: treatmentId, gardenId });
      if (!treatment) throw notFound('treatment');
      if (treatment.closedOn !== null) return treatmentDto(treatment);
      const today = this.gardens.today(garden);
      // sent twice: the first one moved the follow-up
      if (treatment.followUpOn > today && treatment.step > 1 && outcome !== 'worked') return treatmentDto(treatment);
      await m.update(TreatmentTaskEntity, { treatmentId, doneOn: IsNull(), seasonal: false }, { doneOn: today });
      if (outcome !== 'worked' && (await this.climb(m, treatment, today))) return treatmentDto(treatment);
      treatment.closedOn = today;
      treatment.outcome = outcome;
      await m.save(treatment);
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

  /**
   * Starts what is allowed of the next step, by today's report with its weather and spray intervals. If none is
   * allowed yet, it asks again after the same time.
   */
  private async climb(m: EntityManager, treatment: TreatmentEntity, today: string): Promise<boolean> {
    const [next, ...later] = treatment.report.later ?? [];
    if (!next) return false;
    const s = await this.snapshots.load(treatment.gardenId, m);
    const plant = s.plants.find((p) => p.id === treatment.plantId);
    if (!plant) return false;
    const { report } = await this.assessments.ofPlant(s, plant);
    const held = new Set(report.withheld.filter((w) => !w.afterMilder).map((w) => w.remedy));
    const wait = daysBetween(treatment.openedOn, treatment.followUpOn) / treatment.step;
    const now = next
      .filter((r) => !held.has(r.remedy))
      .map((r) => ({ ...(report.remedies.find((x) => x.remedy === r.remedy) ?? r), when: today }));
    treatment.followUpOn = addDays(today, Math.max(1, Math.round(wait)));
    if (now.length > 0) {
      treatment.step += 1;
      const own = now.map((r) => r.remedy);
      const taken = [...(treatment.report.taken ?? [treatment.remedies]), own];
      treatment.remedies = [...treatment.remedies, ...own];
      treatment.report = { ...treatment.report, later, taken };
      await this.schedule(m, treatment, now);
    }
    await m.save(treatment);
    return true;
  }

  /** Only the plan orders watering: a task beside it would be a second order. */
  private async schedule(m: EntityManager, treatment: TreatmentEntity, remedies: readonly Remedy[]): Promise<void> {
    const tasks = remedies.filter((r) => !remedyRow(r.remedy).acts).map((r) => taskOf(r, treatment));
    if (tasks.length > 0) await m.insert(TreatmentTaskEntity, tasks);
  }
}

/** How much a finding matters on the day its treatment starts. */
function levelOf({ context }: PlantAssessment, disorder: DisorderCode): Pick<FindingThen, 'level'> {
  const serious = seriousnessOf(context, disorder);
  return serious ? { level: serious.level } : {};
}

/** Returns the steps after the first; what waits for gentler steps comes last. */
function ladderOf(report: Report, disorder: DisorderCode): Remedy[][] {
  const own = report.remedies.filter((r) => r.forDisorder === disorder);
  const steps = [...new Set(own.map((r) => r.step).filter((step) => step > 1))].sort((a, b) => a - b);
  const [sample] = own;
  const last = report.withheld.filter((w) => w.forDisorder === disorder && w.afterMilder);
  return [
    ...steps.map((step) => own.filter((r) => r.step === step)),
    ...(sample ? last.map((w) => [afterMilder(w.remedy, sample)]) : []),
  ];
}

/** Returns a remedy held back until now, as shown when its turn comes. */
function afterMilder(code: RemedyCode, sample: Remedy): Remedy {
  const row = remedyRow(code);
  return {
    ...sample,
    remedy: code,
    rung: row.rung,
    forDriver: null,
    general: false,
    dose: null,
    cautions: row.cautions.map((c) => CAUTIONS[c]),
  };
}

function taskOf(r: Remedy, t: TreatmentEntity): TreatmentTaskEntity {
  return {
    id: uuid(),
    gardenId: t.gardenId,
    plantId: t.plantId,
    treatmentId: t.id,
    remedy: r.remedy,
    dueOn: r.when,
    seasonal: r.step === 0,
    dose: r.dose,
    cautions: r.cautions,
    why: r.forDriver ? `because of ${DRIVERS[r.forDriver]}` : remedyRow(r.remedy).how.slice(0, 400),
    doneOn: null,
  };
}
