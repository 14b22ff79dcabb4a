import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { remedyRow } from '@candid-leaf/core/diagnosis';
import { isUUID } from 'class-validator';
import { IsNull, type DataSource, type EntityManager } from 'typeorm';
import type { GardenSnapshot } from '../assessment/snapshots.service.js';
import { notFound } from '../shared/http-errors.js';
import { TaskSource, type Task } from '../today/task-source.js';
import { TreatmentTaskEntity } from './treatment-task.entity.js';

/** Remedies that were taken on, each once. */
@Injectable()
export class RemediesSource extends TaskSource {
  readonly code = 'remedy';

  constructor(@InjectDataSource() private readonly db: DataSource) {
    super();
  }

  async list(s: GardenSnapshot): Promise<Task[]> {
    const stored = await this.db.manager.find(TreatmentTaskEntity, {
      where: { gardenId: s.garden.id, doneOn: IsNull() },
    });
    return stored.flatMap((t): Task[] => {
      // next season's work belongs to the place: it stays when the plant is gone
      const plant = s.plants.find((p) => p.id === t.plantId && (t.seasonal || !p.retiredOn));
      if (!plant) return [];
      const remedy = remedyRow(t.remedy);
      return [
        {
          id: t.id,
          plantId: plant.id,
          placeId: null,
          title: remedy.label,
          where: `${plant.name}, ${s.places.find((p) => p.id === plant.placeId)?.name ?? ''}`,
          why: t.why,
          dueOn: t.dueOn,
          minutes: remedy.minutes,
          litres: null,
          remedy: t.remedy,
          dose: t.dose,
          cautions: t.cautions,
        },
      ];
    });
  }

  /** Ticked before its day, or a second time: nothing happens. */
  async done(m: EntityManager, s: GardenSnapshot, id: string): Promise<null> {
    const task = await this.find(m, s, id);
    if (task.doneOn === null && task.dueOn <= s.today)
      await m.update(TreatmentTaskEntity, { id: task.id }, { doneOn: s.today });
    return null;
  }

  async undo(m: EntityManager, s: GardenSnapshot, id: string): Promise<void> {
    const task = await this.find(m, s, id);
    if (task.doneOn !== null) await m.update(TreatmentTaskEntity, { id: task.id }, { doneOn: null });
  }

  override async knows(m: EntityManager, s: GardenSnapshot, id: string): Promise<boolean> {
    return isUUID(id) && (await m.existsBy(TreatmentTaskEntity, { id, gardenId: s.garden.id }));
  }

  private async find(m: EntityManager, s: GardenSnapshot, id: string): Promise<TreatmentTaskEntity> {
    const task = isUUID(id) ? await m.findOneBy(TreatmentTaskEntity, { id, gardenId: s.garden.id }) : null;
    if (!task) throw notFound('task');
    return task;
  }
}
