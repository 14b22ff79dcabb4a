import { Column, Entity, PrimaryColumn } from 'typeorm';

/** A link to choose a new password with. It works once, and not for long; only a hash of its secret is kept. */
@Entity('password_link')
export class PasswordLinkEntity {
  @PrimaryColumn('char', { length: 64 })
  secretHash: string;

  @Column('uuid')
  accountId: string;

  @Column('datetime', { precision: 3 })
  expiresAt: Date;
}
