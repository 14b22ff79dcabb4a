import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { cutsOf, diseaseVisit } from '@candid-leaf/core/care';
import { remedyRow } from '@candid-leaf/core/diagnosis';
import { isMulched } from '@candid-leaf/core/records';
import { isUUID } from 'class-validator';
import { In, IsNull, type DataSource, type EntityManager } from 'typeorm';
import { Assessments } from '../assessment/assessments.service.js';
import { isHeldUp, recordsOfPlant } from '../assessment/own-records.js';
import { livePlantsIn, type GardenSnapshot } from '../assessment/snapshots.service.js';
import type { PlaceEntity } from '../places/place.entity.js';
import type { PlantEntity } from '../plants/plant.entity.js';
import { ProductsService } from '../products/products.service.js';
import { RecordsService } from '../records/records.service.js';
import { notFound } from '../shared/http-errors.js';
import { TaskSource, type Task, type Tick } from '../today/task-source.js';
import { hasFallen, nextId, nextOf } from './again.js';
import { isOver, mayDo, sprayRecord, sprayStep, sprayTask, type SprayStep } from './spray-tasks.js';
import { TreatmentEntity } from './treatment.entity.js';
import { TreatmentTaskEntity } from './treatment-task.entity.js';

/** Tasks of started remedies, each once. A spray follows its leaf test and limits on the day. */
@Injectable()
export class RemediesSource extends TaskSource {
  readonly code = 'remedy';

  constructor(
    @InjectDataSource() private readonly db: DataSource,
    private readonly assessments: Assessments,
    private readonly products: ProductsService,
    private readonly records: RecordsService,
  ) {
    super();
  }

  async list(s: GardenSnapshot): Promise<Task[]> {
    const stored = await this.db.manager.find(TreatmentTaskEntity, {
      where: { gardenId: s.garden.id, doneOn: IsNull() },
    });
    const repeated = stored.filter((t) => remedyRow(t.remedy).sprays || remedyRow(t.remedy).againDays);
    const treatments = await this.db.manager.findBy(TreatmentEntity, { id: In(stored.map((t) => t.treatmentId)) });
    const levels = new Map(treatments.map((t) => [t.id, t.report.level]));
    const fallen = new Set(treatments.filter((t) => hasFallen(s, t)).map((t) => t.id));
    const tasks: Task[] = [];
    for (const t of stored) {
      // next season's work belongs to the bed: it stays when the plant is gone
      const plant = s.plants.find((p) => p.id === t.plantId && (t.seasonal || !p.retiredOn));
      if (!plant || (repeated.includes(t) && fallen.has(t.treatmentId))) continue;
      // next season's work is not urgent, however bad this one was
      const level = t.seasonal ? undefined : levels.get(t.treatmentId);
      const sequence = t.remedy === 'remove-infected-leaves' ? await this.visit(s, plant) : null;
      const base = { ...baseTask(s, t, plant), ...(level ? { level } : {}), ...(sequence ? { sequence } : {}) };
      const step = await this.sprayOf(this.db.manager, s, t, plant, treatments);
      tasks.push(step ? sprayTask(s, base, step) : base);
    }
    return tasks;
  }

  /** Ticked early or twice: does nothing. A spray is recorded; a leaf test leaves its task open. */
  async done(m: EntityManager, s: GardenSnapshot, id: string, tick: Tick): Promise<string | null> {
    const task = await this.find(m, s, id);
    if (await this.records.exists(m, s.garden.id, tick.recordId)) return tick.recordId;
    if (task.doneOn !== null || task.dueOn > s.today) return null;
    const plant = s.plants.find((p) => p.id === task.plantId);
    const treatments = await m.findBy(TreatmentEntity, { id: task.treatmentId });
    const step = plant ? await this.sprayOf(m, s, task, plant, treatments) : null;
    if (step && !mayDo(s.today, step.plan) && !isOver(step.plan.trial)) return null;
    const data = step && sprayRecord(s.today, step);
    if (data)
      await this.records.write(m, s.garden.id, tick.accountId, s.today, {
        id: tick.recordId,
        type: 'spray',
        plantId: task.plantId,
        data,
      });
    if (!data?.trial) {
      await m.update(TreatmentTaskEntity, { id: task.id }, { doneOn: s.today });
      const over = step && isOver(step.plan.trial);
      const next = treatments[0] && !over ? nextOf(s, task, treatments[0], step?.plan.product.everyDays) : null;
      if (next && !(await m.existsBy(TreatmentTaskEntity, { id: next.id }))) await m.insert(TreatmentTaskEntity, next);
    }
    return data ? tick.recordId : null;
  }

  async undo(m: EntityManager, s: GardenSnapshot, id: string, recordId: string | null): Promise<void> {
    const task = await this.find(m, s, id);
    if (task.doneOn !== null) {
      await m.update(TreatmentTaskEntity, { id: task.id }, { doneOn: null });
      await m.delete(TreatmentTaskEntity, { id: nextId(task), doneOn: IsNull() });
    }
    if (recordId && (await this.records.exists(m, s.garden.id, recordId)))
      await this.records.markDeleted(m, s.garden.id, recordId, true);
  }

  override async knows(m: EntityManager, s: GardenSnapshot, id: string): Promise<boolean> {
    return isUUID(id) && (await m.existsBy(TreatmentTaskEntity, { id, gardenId: s.garden.id }));
  }

  /** Returns how spotted leaves are cut: in one visit, in one order. */
  private async visit(s: GardenSnapshot, plant: PlantEntity): Promise<string[]> {
    const place = placeOf(s, plant);
    const own = await this.assessments.ofPlant(s, plant);
    return diseaseVisit({
      place: place ?? { kind: 'ground' },
      training: cutsOf(own, plant.training).training.training,
      heightM: own.context.case.plant.heightM,
      supported: isHeldUp(recordsOfPlant(s, plant)),
      mulched: place !== undefined && isMulched(place.mulch, s.today),
      plants: livePlantsIn(s, plant.placeId).length,
    });
  }

  private async sprayOf(
    m: EntityManager,
    s: GardenSnapshot,
    t: TreatmentTaskEntity,
    plant: PlantEntity,
    treatments: readonly TreatmentEntity[],
  ): Promise<SprayStep | null> {
    const place = placeOf(s, plant);
    if (!remedyRow(t.remedy).sprays || !place) return null;
    const treatment = treatments.find((x) => x.id === t.treatmentId);
    if (!treatment) return null;
    const own = await this.assessments.ofPlant(s, plant);
    return sprayStep(s, t, treatment.disorder, { plant, place, own }, await this.products.all(s.garden.id, m));
  }

  private async find(m: EntityManager, s: GardenSnapshot, id: string): Promise<TreatmentTaskEntity> {
    const task = isUUID(id) ? await m.findOneBy(TreatmentTaskEntity, { id, gardenId: s.garden.id }) : null;
    if (!task) throw notFound('task');
    return task;
  }
}

const placeOf = (s: GardenSnapshot, plant: PlantEntity): PlaceEntity | undefined =>
  s.places.find((p) => p.id === plant.placeId);

function baseTask(s: GardenSnapshot, t: TreatmentTaskEntity, plant: PlantEntity): Task {
  const remedy = remedyRow(t.remedy);
  return {
    id: t.id,
    plantId: plant.id,
    placeId: null,
    title: remedy.label,
    where: `${plant.name}, ${placeOf(s, plant)?.name ?? ''}`,
    why: t.why,
    dueOn: t.dueOn,
    minutes: remedy.minutes,
    litres: null,
    remedy: t.remedy,
    dose: t.dose,
    cautions: t.cautions,
  };
}
