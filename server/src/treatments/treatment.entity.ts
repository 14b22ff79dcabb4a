import type { Outcome } from '@candid-leaf/contract';
import type { Diagnosis, Remedy, RemedyCode, Seriousness } from '@candid-leaf/core/diagnosis';
import type { PreventedThen } from '@candid-leaf/core/prevented';
import type { DisorderCode } from '@candid-leaf/core/records';
import { Column, Entity, PrimaryColumn } from 'typeorm';

/** The finding and its evidence on the day treatment started. */
export interface FindingThen {
  headline: string;
  finding: Diagnosis;
  /** later steps, each after a follow-up says "not enough"; next first */
  later?: Remedy[][];
  /** remedies started at each step so far */
  taken?: RemedyCode[][];
  /** it can kill or spread, or costs little now */
  level?: Seriousness['level'];
  /** what would have lowered its risk, as it was then */
  prevented?: PreventedThen[];
}

/** A treated finding: stored with its evidence and its result. */
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

  /** current step, from 1 */
  @Column('int', { default: 1 })
  step: number;

  @Column('date', { nullable: true })
  closedOn: string | null;

  @Column('varchar', { length: 20, nullable: true })
  outcome: Outcome | null;
}
