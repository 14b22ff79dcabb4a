import { type Stock } from '@candid-leaf/core/support';
import type { UnitChoice, WeatherServiceCode } from '@candid-leaf/contract';
import type { PepperFeed, StarterMethod } from '@candid-leaf/core/nutrition';
import type { MonthOfClimate } from '@candid-leaf/core/records';
import type { SeasonMode } from '@candid-leaf/core/season';
import type { Away } from '@candid-leaf/core/walks';
import { Column, Entity, PrimaryColumn } from 'typeorm';

/** A garden with its settings. */
@Entity('garden')
export class GardenEntity {
  @PrimaryColumn('uuid')
  id: string;

  @Column('varchar', { length: 80 })
  name: string;

  @Column('double')
  latitude: number;

  @Column('double')
  longitude: number;

  @Column('double')
  elevationM: number;

  @Column('char', { length: 5, nullable: true })
  lastFrost: string | null;

  @Column('char', { length: 5, nullable: true })
  firstFrost: string | null;

  @Column('varchar', { length: 60 })
  timeZone: string;

  @Column('simple-json')
  units: UnitChoice;

  @Column('varchar', { length: 10 })
  weekStart: 'monday' | 'sunday' | 'saturday';

  @Column('varchar', { length: 20 })
  dateForm: 'd MMMM' | 'MMMM d' | 'yyyy-MM-dd';

  @Column('date', { nullable: true })
  pinnedDate: string | null;

  /** days away */
  @Column('simple-json', { nullable: true })
  away: Away[] | null;

  /** offer only products allowed in organic growing */
  @Column('boolean', { nullable: true })
  organicOnly: boolean | null;

  /** it is counted with other gardens of its region */
  @Column('boolean', { nullable: true })
  shareCounts: boolean | null;

  /** supports and covers in the shed */
  @Column('simple-json', { nullable: true })
  stock: Stock | null;

  /** the warm part of the year, or the mild winter on purpose; warm by default */
  @Column('varchar', { length: 12, nullable: true })
  seasonMode: SeasonMode | null;

  /** feed at planting */
  @Column('varchar', { length: 20, nullable: true })
  starter: StarterMethod | null;

  /** feeding of healthy peppers in flower */
  @Column('varchar', { length: 10, nullable: true })
  pepperFeed: PepperFeed | null;

  /** where its weather comes from; null: the first service of the installation */
  @Column('varchar', { length: 20, nullable: true })
  weatherService: WeatherServiceCode | null;

  /** means of each month, where a service gave years of days */
  @Column('simple-json', { nullable: true })
  climate: MonthOfClimate[] | null;

  @Column('int')
  version: number;

  /** raised with every write in the garden; cached results of older ones are stale */
  @Column('bigint', { default: 1 })
  revision: string;

  @Column('datetime', { precision: 3, nullable: true })
  weatherPulledAt: Date | null;

  @Column('varchar', { length: 300, nullable: true })
  weatherTrouble: string | null;

  /** revision of the last weather write */
  @Column('bigint', { default: 1 })
  weatherRevision: string;
}
