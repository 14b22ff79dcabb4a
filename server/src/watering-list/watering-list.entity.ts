import { Column, Entity, PrimaryColumn } from 'typeorm';

/** A watering list behind a secret link. Records ticked on it carry its id. */
@Entity('watering_list')
export class WateringListEntity {
  @PrimaryColumn('uuid')
  id: string;

  @Column('uuid')
  gardenId: string;

  @Column('varchar', { length: 80 })
  name: string;

  @Column('char', { length: 64 })
  secretHash: string;

  /** the manager it ends with; null: made before anyone noted it */
  @Column('uuid', { nullable: true })
  madeBy: string | null;

  @Column('date')
  fromDay: string;

  @Column('date')
  toDay: string;

  /** no longer valid; its name still shows on records ticked on it */
  @Column('datetime', { precision: 3, nullable: true })
  revokedAt: Date | null;
}
