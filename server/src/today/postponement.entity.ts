import { Column, Entity, PrimaryColumn } from 'typeorm';

/** "Not today" said to a task: it is hidden until a day, which for one that is done for good never comes. */
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
