import { createHash } from 'node:crypto';
import { isDeepStrictEqual } from 'node:util';
import type { TaskDto } from '@candid-leaf/contract';
import { daysBetween, type Day } from '@candid-leaf/core/units';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import type { DataSource } from 'typeorm';
import { ShownSinceEntity, type Shown } from './shown-since.entity.js';

/** Days after which a task that nobody answers leaves the first places (judgement). */
const FADES_AFTER_DAYS = 10;

/** Only the words of a task are compared: the same words are the same task. */
const saidBy = ({ title, why }: TaskDto): string => createHash('sha1').update(`${title}\n${why}`).digest('base64url');

/** Tells since when tasks stand on Today unchanged. */
@Injectable()
export class ShownSince {
  constructor(@InjectDataSource() private readonly db: DataSource) {}

  /** Marks tasks that nobody answered or changed for ten days, and notes those that are new. */
  async marked(gardenId: string, today: Day, due: readonly TaskDto[]): Promise<TaskDto[]> {
    const { manager } = this.db;
    const row = await manager.findOneBy(ShownSinceEntity, { gardenId });
    const before = row?.tasks ?? {};
    const now: Record<string, Shown> = {};
    for (const task of due) {
      const said = saidBy(task);
      const known = before[task.key];
      now[task.key] = known?.said === said && known.since <= today ? known : { said, since: today };
    }
    if (!isDeepStrictEqual(before, now)) await this.note(gardenId, now, row !== null);
    return due.map((task) => {
      const { since } = now[task.key]!;
      return daysBetween(since, today) > FADES_AFTER_DAYS ? { ...task, unansweredSince: since } : task;
    });
  }

  private async note(gardenId: string, tasks: Record<string, Shown>, exists: boolean): Promise<void> {
    const { manager } = this.db;
    if (exists) await manager.update(ShownSinceEntity, { gardenId }, { tasks });
    // another reader may have been first, and the garden may be gone by now: neither is a fault
    else
      await manager
        .createQueryBuilder()
        .insert()
        .orIgnore()
        .into(ShownSinceEntity)
        .values({ gardenId, tasks })
        .execute();
  }
}
