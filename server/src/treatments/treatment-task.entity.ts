import type { Dose, RemedyCode } from '@candid-leaf/core/diagnosis';
import { Column, Entity, PrimaryColumn } from 'typeorm';

/** A one-time task of a treatment. Waterings are not among them: the plan orders those. */
@Entity('treatment_task')
export class TreatmentTaskEntity {
  @PrimaryColumn('uuid')
  id: string;

  @Column('uuid')
  gardenId: string;

  @Column('uuid')
  plantId: string;

  @Column('uuid')
  treatmentId: string;

  @Column('varchar', { length: 40 })
  remedy: RemedyCode;

  @Column('date')
  dueOn: string;

  @Column('simple-json', { nullable: true })
  dose: Dose | null;

  @Column('simple-json')
  cautions: string[];

  @Column('varchar', { length: 400 })
  why: string;

  /** for next season: no follow-up closes it */
  @Column('boolean', { default: false })
  seasonal: boolean;

  @Column('date', { nullable: true })
  doneOn: string | null;
}
