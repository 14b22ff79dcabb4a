import { Column, Entity, PrimaryColumn } from 'typeorm';

/** A task postponed with "not today": hidden until a day, or for good. */
@Entity('postponement')
export class PostponementEntity {
  @PrimaryColumn('uuid')
  gardenId: string;

  @PrimaryColumn('varchar', { length: 120 })
  taskKey: string;

  /** shown again from this day on */
  @Column('date')
  until: string;
}
