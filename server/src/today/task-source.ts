import type { TaskDto, TaskSourceCode } from '@candid-leaf/contract';
import type { EntityManager } from 'typeorm';
import type { GardenSnapshot } from '../assessment/snapshots.service.js';

/** A task as its source knows it; `id` is its name there. */
export type Task = Omit<TaskDto, 'key' | 'source' | 'estimatedMinutes'> & { id: string };

/** A tick: who, and the id for a record it writes. */
export interface Tick {
  accountId: string;
  recordId: string;
}

/**
 * A source of tasks for Today. Each is a provider of its feature's module, where Today finds it; there is no other way
 * in. Every task says why it is due and about how many minutes it takes.
 */
export abstract class TaskSource {
  abstract readonly code: TaskSourceCode;

  /** Lists open tasks, including later ones, in walking order. */
  abstract list(s: GardenSnapshot): Promise<Task[]>;

  /**
   * Ticks a task inside the garden's lock; if already ticked or no longer due, does nothing.
   * @returns the id of the record it wrote, if any
   */
  abstract done(m: EntityManager, s: GardenSnapshot, id: string, tick: Tick): Promise<string | null>;

  /** Undoes a tick; `recordId` is what `done` returned. */
  abstract undo(m: EntityManager, s: GardenSnapshot, id: string, recordId: string | null): Promise<void>;

  /** Returns whether this is a task of this source that can be postponed; otherwise 404. */
  async knows(_m: EntityManager, s: GardenSnapshot, id: string): Promise<boolean> {
    return (await this.list(s)).some((t) => t.id === id);
  }
}
