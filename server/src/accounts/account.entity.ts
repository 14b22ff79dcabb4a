import { Column, Entity, PrimaryColumn } from 'typeorm';

/** An account; passwords are stored as scrypt hashes only. */
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

  /**
   * sessions with an earlier number are invalid; it is raised when someone signs out everywhere or changes the
   * password
   */
  @Column('int', { default: 0 })
  sessionsSince: number;

  /** when the account will be deleted, unless its owner keeps it */
  @Column('datetime', { precision: 3, nullable: true })
  leavingAt: Date | null;
}
