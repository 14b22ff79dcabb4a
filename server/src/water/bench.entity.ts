import type { SetUp } from '@candid-leaf/core/water';
import { Column, Entity } from 'typeorm';
import { GardenRow } from '../shared/garden-row.entity.js';

/** Named and saved set-ups of a comparison. */
@Entity('bench')
export class BenchEntity extends GardenRow {
  @Column('uuid')
  placeId: string;

  @Column('varchar', { length: 80 })
  name: string;

  @Column('varchar', { length: 20 })
  weather: 'recorded' | 'simulated';

  @Column('int')
  years: number;

  @Column('simple-json')
  setUps: SetUp[];
}
