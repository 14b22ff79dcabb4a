import type { Outcome } from '@candid-leaf/contract';
import type { DisorderCode } from '@candid-leaf/core';
import { Column, Entity, PrimaryColumn } from 'typeorm';

/** A finding that was taken on: kept with the report it rested on, and with what came of it. */
@Entity('trouble')
export class TroubleEntity {
  @PrimaryColumn('uuid')
  id: string;

  @Column('uuid')
  gardenId: string;

  @Column('uuid')
  plantId: string;

  @Column('varchar', { length: 40 })
  disorder: DisorderCode;

  @Column('date')
  openedOn: string;

  @Column('date')
  followUpOn: string;

  @Column('varchar', { length: 300 })
  successIs: string;

  /** the finding and its evidence as they stood that day */
  @Column('simple-json')
  report: unknown;

  @Column('date', { nullable: true })
  closedOn: string | null;

  @Column('varchar', { length: 20, nullable: true })
  outcome: Outcome | null;
}
