import { Column, Entity, PrimaryColumn } from 'typeorm';

/** A run sent to the timer for a day, and what its log says. */
@Entity('timer_run')
export class TimerRunEntity {
  @PrimaryColumn('uuid')
  placeId: string;

  @PrimaryColumn('date')
  day: string;

  @Column('uuid')
  gardenId: string;

  @Column('double')
  minutes: number;

  /** for the whole bed or pot */
  @Column('double')
  litres: number;

  @Column('double', { nullable: true })
  ranMinutes: number | null;

  @Column('double', { nullable: true })
  ranLitres: number | null;
}

/** When the timer of a bed was last sent and read, and the last error. */
@Entity('timer_state')
export class TimerStateEntity {
  @PrimaryColumn('uuid')
  placeId: string;

  @Column('uuid')
  gardenId: string;

  @Column('datetime', { precision: 3, nullable: true })
  sentAt: Date | null;

  @Column('datetime', { precision: 3, nullable: true })
  readAt: Date | null;

  @Column('varchar', { length: 300, nullable: true })
  trouble: string | null;
}

/** The timer on the garden's tap. Its secret is sent only to the timer. */
@Entity('hose_timer')
export class HoseTimerEntity {
  @PrimaryColumn('uuid')
  gardenId: string;

  @Column('varchar', { length: 200 })
  address: string;

  @Column('varchar', { length: 200 })
  secret: string;
}
