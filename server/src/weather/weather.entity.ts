import type { WeatherSourceCode } from '@candid-leaf/contract';
import { Column, Entity, PrimaryColumn } from 'typeorm';

/** One day of a garden's weather, measured or forecast: both are stored. */
@Entity('weather')
export class WeatherEntity {
  @PrimaryColumn('uuid')
  gardenId: string;

  @PrimaryColumn('date')
  day: string;

  @PrimaryColumn('varchar', { length: 10 })
  kind: 'observed' | 'forecast';

  @Column('double')
  tMinC: number;

  @Column('double')
  tMaxC: number;

  @Column('double')
  rainMm: number;

  @Column('double', { nullable: true })
  rainChancePct: number | null;

  @Column('double', { nullable: true })
  rhMeanPct: number | null;

  @Column('double', { nullable: true })
  windMs: number | null;

  @Column('double', { nullable: true })
  solarMj: number | null;

  /** hours in which a leaf was wet */
  @Column('double', { nullable: true })
  wetHours: number | null;

  /** mean of the night before, °C */
  @Column('double', { nullable: true })
  nightC: number | null;

  /** null: from before this was kept, or imported */
  @Column('varchar', { length: 20, nullable: true })
  source: WeatherSourceCode | null;
}
