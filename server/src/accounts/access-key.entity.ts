import type { Role } from '@candid-leaf/contract';
import { Column, Entity, PrimaryColumn } from 'typeorm';

/** A person's key for a script, to one garden, with a role. Only its hash is stored. */
@Entity('access_key')
export class AccessKeyEntity {
  @PrimaryColumn('uuid')
  id: string;

  @Column('uuid')
  accountId: string;

  @Column('uuid')
  gardenId: string;

  @Column('varchar', { length: 80 })
  name: string;

  @Column('varchar', { length: 8 })
  role: Role;

  @Column('char', { length: 64 })
  secretHash: string;

  @Column('datetime', { precision: 3 })
  expiresAt: Date;

  @Column('datetime', { precision: 3, nullable: true })
  usedAt: Date | null;
}
