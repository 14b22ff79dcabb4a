import type { RecordData, RecordType } from '@candid-leaf/contract';
import { Column, Entity } from 'typeorm';
import { Owned } from '../common/owned.entity.js';

@Entity('record')
export class RecordEntity extends Owned {
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

  @Column({ type: 'datetime', precision: 3, insert: false, update: false })
  createdAt: Date;
}
