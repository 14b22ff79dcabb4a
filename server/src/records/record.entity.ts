import type { RecordData, RecordType } from '@candid-leaf/core/records';
import { Column, Entity } from 'typeorm';
import { GardenRow } from '../shared/garden-row.entity.js';

/** A record: its type, day and data. */
@Entity('record')
export class RecordEntity extends GardenRow {
  @Column('varchar', { length: 20 })
  type: RecordType;

  @Column('uuid', { nullable: true })
  plantId: string | null;

  @Column('uuid', { nullable: true })
  placeId: string | null;

  @Column('date')
  day: string;

  @Column('simple-json')
  data: RecordData;

  @Column('uuid')
  createdBy: string;

  @Column({ type: 'datetime', precision: 3, update: false })
  createdAt?: Date;
}
