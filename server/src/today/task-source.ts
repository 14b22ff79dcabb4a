import type { TaskDto, TaskSourceCode } from '@candid-leaf/contract';
import type { EntityManager } from 'typeorm';
import type { GardenSnapshot } from '../assessment/snapshots.service.js';

/** A task as its source knows it: `id` is its name there. */
export type Task = Omit<TaskDto, 'key' | 'source' | 'reckoned'> & { id: string };

/** A tick: who, and the id under which a record that it writes is kept. */
export interface Tick {
  accountId: string;
  recordId: string;
}

/**
 * Something that brings tasks to Today. Each lives in the room of its feature and registers itself; Today knows no other
 * way. Every task says why it is asked for and about how many minutes it takes.
 */
export abstract class TaskSource {
  abstract readonly code: TaskSourceCode;

  /** What stands open, also what falls due later, in walking order. */
  abstract list(s: GardenSnapshot): Promise<Task[]>;

  /**
   * Ticks a task, inside the garden's lock; ticked already (or no longer asked for), nothing happens.
   * @returns the id of the record that it wrote, if any
   */
  abstract done(m: EntityManager, s: GardenSnapshot, id: string, tick: Tick): Promise<string | null>;

  /** Takes a tick back; `recordId` is what `done` gave. */
  abstract undo(m: EntityManager, s: GardenSnapshot, id: string, recordId: string | null): Promise<void>;

  /** Is this a task of this source that can be put off? What is not is answered with 404. */
  async knows(_m: EntityManager, s: GardenSnapshot, id: string): Promise<boolean> {
    return (await this.list(s)).some((t) => t.id === id);
  }
}
