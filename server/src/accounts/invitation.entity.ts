import type { Role } from '@candid-leaf/contract';
import { Column, Entity, PrimaryColumn } from 'typeorm';

/** Somebody is asked into a garden, by a link that works once; only a hash of its secret is kept. */
@Entity('invitation')
export class InvitationEntity {
  @PrimaryColumn('uuid')
  id: string;

  @Column('uuid')
  gardenId: string;

  @Column('varchar', { length: 80 })
  name: string;

  @Column('varchar', { length: 8 })
  role: Role;

  @Column('char', { length: 64 })
  secretHash: string;

  @Column('uuid')
  madeBy: string;

  @Column('datetime', { precision: 3 })
  expiresAt: Date;

  /** who came by it; null: nobody yet */
  @Column('uuid', { nullable: true })
  usedBy: string | null;
}
