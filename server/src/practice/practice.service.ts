import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import type { PracticeAnswerInput, PracticeDto } from '@candid-leaf/contract';
import { calibrationOf, PRACTICE_THEMES } from '@candid-leaf/core/practice';
import { LessThan, type DataSource } from 'typeorm';
import { Clock } from '../shared/clock.js';
import { PracticeAnswerEntity } from './practice-answer.entity.js';

/** Answers shown and used for calibration. */
const MOST_SHOWN = 200;
/** Most answers stored per account, newest first. */
export const MOST_KEPT = 1000;

/** Stores the answers given in practice, per account. */
@Injectable()
export class PracticeService {
  constructor(
    @InjectDataSource() private readonly db: DataSource,
    private readonly clock: Clock,
  ) {}

  async of(accountId: string): Promise<PracticeDto> {
    const rows = await this.db.manager.find(PracticeAnswerEntity, {
      where: { accountId },
      order: { answeredAt: 'DESC', theme: 'ASC', seed: 'DESC' },
      take: MOST_SHOWN,
    });
    const answers = rows
      // plants of an earlier series cannot be opened any more; how sure one was of them still counts
      .filter((row) => PRACTICE_THEMES.includes(row.theme))
      .map(({ accountId: _a, answeredAt, ...answer }) => ({ ...answer, answeredAt: answeredAt.toISOString() }));
    return { answers, calibration: calibrationOf(rows) };
  }

  /** Stores the first answer to a plant: later ones were given after reading the solution. */
  async keep(accountId: string, answer: PracticeAnswerInput): Promise<PracticeDto> {
    await this.db.manager
      .createQueryBuilder()
      .insert()
      .into(PracticeAnswerEntity)
      .values({ ...answer, was: answer.was ?? null, accountId, answeredAt: this.clock.now() })
      .orIgnore()
      .execute();
    await this.forgetOld(accountId);
    return this.of(accountId);
  }

  private async forgetOld(accountId: string): Promise<void> {
    const [oldest] = await this.db.manager.find(PracticeAnswerEntity, {
      where: { accountId },
      order: { answeredAt: 'DESC' },
      skip: MOST_KEPT - 1,
      take: 1,
    });
    if (oldest)
      await this.db.manager.delete(PracticeAnswerEntity, { accountId, answeredAt: LessThan(oldest.answeredAt) });
  }
}
