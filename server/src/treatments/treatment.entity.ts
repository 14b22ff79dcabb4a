import type { Outcome } from '@candid-leaf/contract';
import type { Diagnosis, Remedy, RemedyCode } from '@candid-leaf/core/diagnosis';
import type { DisorderCode } from '@candid-leaf/core/records';
import { Column, Entity, PrimaryColumn } from 'typeorm';

/** The finding and its evidence as they stood on the day it was taken on. */
export interface FindingThen {
  headline: string;
  finding: Diagnosis;
  /** the steps that come one by one where a follow-up says "not enough"; the next first */
  later?: Remedy[][];
  /** what was taken at each step so far */
  taken?: RemedyCode[][];
}

/** A finding that was taken on: kept with what it rested on, and with what came of it. */
@Entity('treatment')
export class TreatmentEntity {
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

  @Column('simple-json')
  report: FindingThen;

  @Column('simple-json')
  remedies: RemedyCode[];

  /** how far up the ladder it is, from 1 on */
  @Column('int', { default: 1 })
  step: number;

  @Column('date', { nullable: true })
  closedOn: string | null;

  @Column('varchar', { length: 20, nullable: true })
  outcome: Outcome | null;
}
