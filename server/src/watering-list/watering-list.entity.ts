import { Column, Entity, PrimaryColumn } from 'typeorm';

/** A list for whoever waters, behind a secret link. What is ticked on it stands in the records under its id. */
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

  @Column('date')
  fromDay: string;

  @Column('date')
  toDay: string;

  /** it opens nothing any more; its name still stands beside what was ticked on it */
  @Column('datetime', { precision: 3, nullable: true })
  revokedAt: Date | null;
}
