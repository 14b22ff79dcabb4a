import { setTimeout as wait } from 'node:timers/promises';
import { ConflictException } from '@nestjs/common';
import type { DataSource, EntityManager } from 'typeorm';
import { databaseTrouble } from './database-faults.js';

const TRIES = 5;
const PAUSE_MS = 15;

/**
 * Runs work completely or not at all. Conflicts (a deadlock, or both creating one row) are resolved by retrying one:
 * it then finds what the other wrote.
 */
export async function inTransaction<T>(db: DataSource, work: (m: EntityManager) => Promise<T>): Promise<T> {
  for (let turn = 1; ; turn++) {
    try {
      return await db.transaction('READ COMMITTED', work);
    } catch (error) {
      const trouble = databaseTrouble(error);
      if (trouble !== 'collision' && trouble !== 'duplicate') throw error;
      if (turn === TRIES) throw new ConflictException('Someone is saving the same thing right now. Send it again.');
      await wait(PAUSE_MS * turn * Math.random());
    }
  }
}
