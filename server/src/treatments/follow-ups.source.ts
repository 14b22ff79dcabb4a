import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { disorderRow } from '@candid-leaf/core/diagnosis';
import { IsNull, type DataSource } from 'typeorm';
import type { GardenSnapshot } from '../assessment/snapshots.service.js';
import { TaskSource, type Task } from '../today/task-source.js';
import { TreatmentEntity } from './treatment.entity.js';

const MINUTES = 2;

/** "Did it help?": one look again for every open treatment. It is answered on the plant's page, which closes it. */
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
          why: `${disorderRow(t.disorder).label}: it worked if ${t.successIs}`,
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

  /** It is answered on the plant's page, not ticked. */
  done(): Promise<null> {
    return Promise.resolve(null);
  }

  undo(): Promise<void> {
    return Promise.resolve();
  }
}
