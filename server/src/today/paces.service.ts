import { Injectable } from '@nestjs/common';
import { learn, NO_PACE, type Pace } from '@candid-leaf/core/budget';
import type { EntityManager } from 'typeorm';
import { Clock } from '../shared/clock.js';
import { TaskPaceEntity } from './task-pace.entity.js';

/** How long tasks take in a garden, learned from ticks. */
@Injectable()
export class Paces {
  constructor(private readonly clock: Clock) {}

  async of(m: EntityManager, gardenId: string): Promise<Map<string, Pace>> {
    const rows = await m.findBy(TaskPaceEntity, { gardenId });
    return new Map(rows.map((r) => [r.source, r]));
  }

  /** Notes a tick: the time since the previous one, of any type, is what this one took. */
  async note(m: EntityManager, gardenId: string, source: string, estimatedMinutes: number): Promise<void> {
    const rows = await m.findBy(TaskPaceEntity, { gardenId });
    const now = this.clock.now();
    const last = Math.max(...rows.map((r) => r.lastAt.getTime()));
    const { ticks, took, estimatedMinutes: before } = rows.find((r) => r.source === source) ?? NO_PACE;
    const since = Number.isFinite(last) ? (now.getTime() - last) / 60_000 : null;
    const pace = learn({ ticks, took, estimatedMinutes: before }, estimatedMinutes, since);
    await m.upsert(TaskPaceEntity, { gardenId, source, ...pace, lastAt: now }, ['gardenId', 'source']);
  }
}
