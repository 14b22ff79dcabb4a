import { readdir, rm, stat } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Injectable } from '@nestjs/common';
import { Cron, CronExpression } from '@nestjs/schedule';
import { inBackground } from '../shared/background.js';
import { Clock } from '../shared/clock.js';
import { ImportJobs } from './import-jobs.service.js';
import { SPOOL_PREFIX } from './spool.js';

/** No upload takes this long, ms. */
const OLD_MS = 24 * 3600 * 1000;

/** Removes folders of uploads that a crash left behind, and old outcomes of imports. */
@Injectable()
export class SpoolSweep {
  constructor(
    private readonly clock: Clock,
    private readonly jobs: ImportJobs,
  ) {}

  @Cron(CronExpression.EVERY_DAY_AT_4AM)
  sweep(): Promise<void> {
    return inBackground('the cleanup of uploads', async () => {
      await this.tidy();
      await this.jobs.tidy();
    });
  }

  /** Returns how many folders were removed. */
  async tidy(root = tmpdir()): Promise<number> {
    const before = this.clock.now().getTime() - OLD_MS;
    let removed = 0;
    for (const name of await readdir(root)) {
      if (!name.startsWith(SPOOL_PREFIX)) continue;
      const folder = join(root, name);
      const found = await stat(folder).catch(() => null);
      if (!found || found.mtimeMs >= before) continue;
      await rm(folder, { recursive: true, force: true });
      removed += 1;
    }
    return removed;
  }
}
