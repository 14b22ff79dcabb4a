import { Column, Entity, PrimaryColumn } from 'typeorm';

@Entity('account')
export class AccountEntity {
  @PrimaryColumn('uuid')
  id: string;

  @Column('varchar', { length: 200 })
  email: string;

  @Column('varchar', { length: 255 })
  passwordHash: string;

  @Column('varchar', { length: 80 })
  name: string;

  /** sessions of an earlier number open nothing: it goes up when somebody signs out everywhere, or has a new password */
  @Column('int', { default: 0 })
  sessionsSince: number;

  /** it goes at this moment, unless its owner keeps it */
  @Column('datetime', { precision: 3, nullable: true })
  leavingAt: Date | null;
}
