import { Column, Entity, PrimaryColumn } from 'typeorm';

/** How long one kind of task took in a garden, by the time between two ticks. */
@Entity('task_pace')
export class TaskPaceEntity {
  @PrimaryColumn('uuid')
  gardenId: string;

  @PrimaryColumn('varchar', { length: 20 })
  source: string;

  @Column('int')
  ticks: number;

  /** minutes by the clock */
  @Column('double')
  took: number;

  /** minutes as they were reckoned */
  @Column('double')
  reckoned: number;

  @Column('datetime', { precision: 3 })
  lastAt: Date;
}
