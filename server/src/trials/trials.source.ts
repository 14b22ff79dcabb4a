import { Injectable } from '@nestjs/common';
import type { EntityManager } from 'typeorm';
import type { GardenSnapshot } from '../assessment/snapshots.service.js';
import { TaskSource, type Task } from '../today/task-source.js';
import { TrialEntity } from './trial.entity.js';
import { trialDto, TrialsService } from './trials.service.js';
import { updateRows } from '../shared/rows.js';

/** The day to judge a trial: one look at every plant of both groups, and the result. */
@Injectable()
export class TrialsSource extends TaskSource {
  readonly code = 'trial';

  constructor(private readonly trials: TrialsService) {
    super();
  }

  async list(s: GardenSnapshot): Promise<Task[]> {
    return (await this.trials.rows(s.garden.id))
      .filter((t) => t.judgedOn === null)
      .map((t) => ({
        id: t.id,
        plantId: null,
        placeId: null,
        title: `Judge the trial: ${t.name}`,
        where: `${t.changed.length} plants with the change, ${t.untouched.length} without`,
        why: trialDto(s, t).text,
        dueOn: t.judgeOn,
        minutes: t.changed.length + t.untouched.length,
        litres: null,
        remedy: null,
        dose: null,
        cautions: [],
      }));
  }

  async done(m: EntityManager, s: GardenSnapshot, id: string): Promise<null> {
    const open = await m.findOneBy(TrialEntity, { id, gardenId: s.garden.id });
    if (open?.judgedOn === null && open.judgeOn <= s.today)
      await updateRows(m, TrialEntity, { id }, { judgedOn: s.today });
    return null;
  }

  async undo(m: EntityManager, s: GardenSnapshot, id: string): Promise<void> {
    await updateRows(m, TrialEntity, { id, gardenId: s.garden.id }, { judgedOn: null });
  }
}
