import type { SignCode } from '@candid-leaf/core/records';
import { Column, Entity } from 'typeorm';
import { GardenRow } from '../shared/garden-row.entity.js';

/** A gardener's trial: two groups, one change, one measure. */
@Entity('trial')
export class TrialEntity extends GardenRow {
  @Column('varchar', { length: 80 })
  name: string;

  @Column('varchar', { length: 40 })
  measure: SignCode;

  @Column('simple-json')
  changed: string[];

  @Column('simple-json')
  untouched: string[];

  @Column('date')
  startedOn: string;

  @Column('date')
  judgeOn: string;

  @Column('date', { nullable: true })
  judgedOn: string | null;
}
