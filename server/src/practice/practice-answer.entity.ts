import type { PracticeTheme } from '@candid-leaf/core/practice';
import type { DisorderCode } from '@candid-leaf/core/records';
import { Column, Entity, PrimaryColumn } from 'typeorm';

/** An account's answer to a practice plant; the first one counts. It belongs to the account, not to a garden. */
@Entity('practice_answer')
export class PracticeAnswerEntity {
  @PrimaryColumn('uuid')
  accountId: string;

  @PrimaryColumn('varchar', { length: 12 })
  theme: PracticeTheme;

  @PrimaryColumn('int')
  seed: number;

  @Column('varchar', { length: 40 })
  trouble: DisorderCode;

  /** what the plant had; null for answers before 0.20 */
  @Column('varchar', { length: 40, nullable: true })
  was: DisorderCode | null;

  @Column('smallint')
  surePct: number;

  @Column('boolean')
  right: boolean;

  @Column('boolean')
  causeRight: boolean;

  @Column('boolean')
  actRight: boolean;

  @Column('smallint')
  minutes: number;

  @Column('datetime', { precision: 3 })
  answeredAt: Date;
}
