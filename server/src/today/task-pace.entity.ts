import { Column, Entity, PrimaryColumn } from 'typeorm';

/** How long one type of task takes in a garden, by the time between two ticks. */
@Entity('task_pace')
export class TaskPaceEntity {
  @PrimaryColumn('uuid')
  gardenId: string;

  @PrimaryColumn('varchar', { length: 20 })
  source: string;

  @Column('int')
  ticks: number;

  /** minutes measured */
  @Column('double')
  took: number;

  /** minutes estimated */
  @Column('double')
  estimatedMinutes: number;

  @Column('datetime', { precision: 3 })
  lastAt: Date;
}
