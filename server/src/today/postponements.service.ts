import { Injectable } from '@nestjs/common';
import type { Day } from '@candid-leaf/core/units';
import { MoreThan, type EntityManager } from 'typeorm';
import { PostponementEntity } from './postponement.entity.js';

/** A day that never comes. */
const NEVER = '9999-12-31';

/** Which tasks are hidden, and until when. */
@Injectable()
export class Postponements {
  async hiddenOn(m: EntityManager, gardenId: string, today: Day): Promise<Set<string>> {
    const rows = await m.find(PostponementEntity, { where: { gardenId, until: MoreThan(today) } });
    return new Set(rows.map((r) => r.taskKey));
  }

  async hide(m: EntityManager, gardenId: string, taskKey: string, until: Day = NEVER): Promise<void> {
    await m.upsert(PostponementEntity, { gardenId, taskKey, until }, ['gardenId', 'taskKey']);
  }

  async show(m: EntityManager, gardenId: string, taskKey: string): Promise<void> {
    await m.delete(PostponementEntity, { gardenId, taskKey });
  }
}
