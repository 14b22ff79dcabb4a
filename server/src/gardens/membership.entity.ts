import type { Role } from '@candid-leaf/contract';
import { Column, Entity, PrimaryColumn } from 'typeorm';

/** A person's role in a garden. */
@Entity('membership')
export class MembershipEntity {
  @PrimaryColumn('uuid')
  accountId: string;

  @PrimaryColumn('uuid')
  gardenId: string;

  @Column('varchar', { length: 8 })
  role: Role;

  @Column('datetime', { precision: 3 })
  since: Date;
}
