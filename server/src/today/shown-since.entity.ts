import type { Day } from '@candid-leaf/core/units';
import { Column, Entity, PrimaryColumn } from 'typeorm';

/** What a task says, and since when it stands on Today like this. */
export interface Shown {
  said: string;
  since: Day;
}

/** Since when the tasks of a garden stand on Today unchanged, by key. Not the gardener's data: it is found anew. */
@Entity('shown_since')
export class ShownSinceEntity {
  @PrimaryColumn('uuid')
  gardenId: string;

  @Column('simple-json')
  tasks: Record<string, Shown>;
}
