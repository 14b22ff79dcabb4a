import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { disorderRow } from '@candid-leaf/core/diagnosis';
import { isUUID } from 'class-validator';
import { IsNull, type DataSource, type EntityManager } from 'typeorm';
import type { GardenSnapshot } from '../assessment/snapshots.service.js';
import { notFound } from '../shared/http-errors.js';
import { TaskSource, type Task } from '../today/task-source.js';
import { TreatmentEntity } from './treatment.entity.js';

const MINUTES = 2;

/** "Did it help?": one follow-up for every open treatment. The plant's page answers and closes it. */
@Injectable()
export class FollowUpsSource extends TaskSource {
  readonly code = 'look-again';

  constructor(@InjectDataSource() private readonly db: DataSource) {
    super();
  }

  async list(s: GardenSnapshot): Promise<Task[]> {
    const open = await this.db.manager.find(TreatmentEntity, {
      where: { gardenId: s.garden.id, closedOn: IsNull() },
    });
    return open.flatMap((t): Task[] => {
      const plant = s.plants.find((p) => p.id === t.plantId && !p.retiredOn);
      if (!plant) return [];
      return [
        {
          id: t.id,
          plantId: plant.id,
          placeId: null,
          title: `Look again: ${plant.name}`,
          where: s.places.find((p) => p.id === plant.placeId)?.name ?? '',
          why: `${disorderRow(t.disorder).label}. Sign of success: ${t.successIs}`,
          dueOn: t.followUpOn,
          minutes: MINUTES,
          litres: null,
          remedy: null,
          dose: null,
          cautions: [],
        },
      ];
    });
  }

  /** Answered on the plant's page, not ticked. */
  async done(m: EntityManager, s: GardenSnapshot, id: string): Promise<null> {
    await this.find(m, s, id);
    return null;
  }

  undo(m: EntityManager, s: GardenSnapshot, id: string): Promise<void> {
    return this.find(m, s, id);
  }

  private async find(m: EntityManager, s: GardenSnapshot, id: string): Promise<void> {
    if (!isUUID(id) || !(await m.existsBy(TreatmentEntity, { id, gardenId: s.garden.id }))) throw notFound('task');
  }
}
