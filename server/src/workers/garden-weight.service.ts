import { Injectable, type OnModuleInit } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import type { DataSource } from 'typeorm';
import { Workers } from '../shared/workers.js';
import { ThreadedWorkers } from './threaded-workers.js';

/** From so many on, a garden is taken for slow until it has been computed (judgement: over 0.4 s on one core). */
const HEAVY = { plants: 60, records: 8000 } as const;

/** Tells the worker threads how heavy a garden is that they have not computed yet. */
@Injectable()
export class GardenWeight implements OnModuleInit {
  constructor(
    @InjectDataSource() private readonly db: DataSource,
    private readonly workers: Workers,
  ) {}

  onModuleInit(): void {
    if (this.workers instanceof ThreadedWorkers) this.workers.weighBy((gardenId) => this.isHeavy(gardenId));
  }

  /** Returns whether a garden is heavy by its size; counts no further than to the limits. */
  async isHeavy(gardenId: string): Promise<boolean> {
    const [row] = await this.db.query<{ plants: string; records: string }[]>(
      `SELECT (SELECT COUNT(*) FROM (SELECT 1 FROM plant WHERE gardenId = ? LIMIT ${HEAVY.plants}) p) AS plants,
        (SELECT COUNT(*) FROM (SELECT 1 FROM record WHERE gardenId = ? LIMIT ${HEAVY.records}) r) AS records`,
      [gardenId, gardenId],
    );
    return Number(row?.plants) >= HEAVY.plants || Number(row?.records) >= HEAVY.records;
  }
}
