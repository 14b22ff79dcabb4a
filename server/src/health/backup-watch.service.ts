import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { Inject, Injectable, Logger, type OnApplicationBootstrap } from '@nestjs/common';
import { Cron, CronExpression } from '@nestjs/schedule';
import { CONFIG, type Config } from '../config.js';
import { inBackground } from '../shared/background.js';
import { Clock } from '../shared/clock.js';

const OLD_DAYS = 7;
const DAY_MS = 24 * 3600 * 1000;

/** Reminds in the log, once a day, when the last backup is old or missing. */
@Injectable()
export class BackupWatch implements OnApplicationBootstrap {
  private readonly log = new Logger('Backups');

  constructor(
    @Inject(CONFIG) private readonly config: Config,
    private readonly clock: Clock,
  ) {}

  async onApplicationBootstrap(): Promise<void> {
    await this.look();
  }

  @Cron(CronExpression.EVERY_DAY_AT_7AM)
  async look(): Promise<void> {
    if (this.config.backups === null) return;
    await inBackground('the check for the last backup', () => {
      const reminder = this.reminder();
      if (reminder) this.log.warn(reminder);
      return Promise.resolve();
    });
  }

  /** Returns the reminder; null while the last backup is recent. */
  reminder(): string | null {
    const file = join(this.config.backups ?? '', 'last.json');
    if (!existsSync(file)) return 'This database has no backup yet. Make one: npm run backup';
    const { madeAt } = JSON.parse(readFileSync(file, 'utf8')) as { madeAt: string };
    const days = Math.floor((this.clock.now().getTime() - Date.parse(madeAt)) / DAY_MS);
    return days >= OLD_DAYS ? `The last backup is ${days} days old. Make one: npm run backup` : null;
  }
}
