import { Injectable } from '@nestjs/common';
import { Cron, CronExpression } from '@nestjs/schedule';
import { InjectDataSource } from '@nestjs/typeorm';
import type { DataSource } from 'typeorm';
import { inBackground } from '../shared/background.js';
import { Clock } from '../shared/clock.js';

/** Removes expired sessions and counted attempts from the database. */
@Injectable()
export class Sweep {
  constructor(
    @InjectDataSource() private readonly db: DataSource,
    private readonly clock: Clock,
  ) {}

  @Cron(CronExpression.EVERY_30_MINUTES)
  sweep(): Promise<void> {
    return inBackground('the sweep of old sessions', async () => {
      const now = this.clock.now().getTime();
      await this.db.query('DELETE FROM session WHERE expires < ?', [Math.floor(now / 1000)]);
      await this.db.query('DELETE FROM login_attempt WHERE expire < ?', [now]);
    });
  }
}
