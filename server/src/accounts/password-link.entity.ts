import { Column, Entity, PrimaryColumn } from 'typeorm';

/** A link to choose a new password. It works once and expires soon; only the hash of its secret is stored. */
@Entity('password_link')
export class PasswordLinkEntity {
  @PrimaryColumn('char', { length: 64 })
  secretHash: string;

  @Column('uuid')
  accountId: string;

  @Column('datetime', { precision: 3 })
  expiresAt: Date;
}
