import { Entity, PrimaryColumn } from 'typeorm';

@Entity('membership')
export class MembershipEntity {
  @PrimaryColumn('uuid')
  accountId: string;

  @PrimaryColumn('uuid')
  gardenId: string;
}
