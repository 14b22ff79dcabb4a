import type { Dose, RemedyCode } from '@candid-leaf/core';
import { Column, Entity, PrimaryColumn } from 'typeorm';

/** Something to do for a trouble. One with `everyDays` moves on when ticked, until `lastOn`. */
@Entity('task')
export class TaskEntity {
  @PrimaryColumn('uuid')
  id: string;

  @Column('uuid')
  gardenId: string;

  @Column('uuid')
  plantId: string;

  @Column('uuid')
  troubleId: string;

  @Column('varchar', { length: 40 })
  remedy: RemedyCode;

  @Column('date')
  dueOn: string;

  @Column('date')
  lastOn: string;

  @Column('int', { nullable: true })
  everyDays: number | null;

  @Column('simple-json', { nullable: true })
  dose: Dose | null;

  @Column('simple-json')
  cautions: string[];

  @Column('varchar', { length: 400 })
  why: string;

  @Column('date', { nullable: true })
  doneOn: string | null;

  @Column('date', { nullable: true })
  laterUntil: string | null;
}
