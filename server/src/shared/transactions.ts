import { setTimeout as wait } from 'node:timers/promises';
import { ConflictException } from '@nestjs/common';
import type { DataSource, EntityManager } from 'typeorm';
import { databaseTrouble } from './database-faults.js';

const TRIES = 5;
const PAUSE_MS = 15;

/**
 * Work that is done whole or not at all. Two that get in each other's way (a deadlock, or both making the same row) are told
 * apart by doing one again: it then finds what the other has written.
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
