import type { Role } from '@candid-leaf/contract';
import { Column, Entity, PrimaryColumn } from 'typeorm';

/** An invitation to a garden by a link that works once; only the hash of its secret is stored. */
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

  /** who used it; null: no one yet */
  @Column('uuid', { nullable: true })
  usedBy: string | null;
}
