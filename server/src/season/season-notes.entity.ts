import type { KitCode } from '@candid-leaf/core/reports';
import { Column, Entity } from 'typeorm';
import { GardenRow } from '../shared/garden-row.entity.js';

/** The review of a finished season. */
@Entity('season_notes')
export class SeasonNotesEntity extends GardenRow {
  @Column('int')
  year: number;

  @Column('text', { nullable: true })
  worked: string | null;

  @Column('text', { nullable: true })
  change: string | null;

  @Column('simple-json', { nullable: true })
  kit: KitCode[] | null;

  @Column('date', { nullable: true })
  closedOn: string | null;
}
