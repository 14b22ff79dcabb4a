import type { Aim, PlantSpot, SeedlingLook } from '@candid-leaf/core/planning';
import type { Crop } from '@candid-leaf/core/records';
import { Column, Entity } from 'typeorm';
import { GardenRow } from '../shared/garden-row.entity.js';

/** A number of plants of one variety for one bed and season, and their progress. */
@Entity('planting')
export class PlantingEntity extends GardenRow {
  @Column('int')
  year: number;

  @Column('uuid')
  placeId: string;

  @Column('uuid', { nullable: true })
  varietyId: string | null;

  @Column('varchar', { length: 10 })
  crop: Crop;

  @Column('int')
  count: number;

  @Column('double', { nullable: true })
  spacingM: number | null;

  @Column('date', { nullable: true })
  sownOn: string | null;

  @Column('int', { nullable: true })
  cells: number | null;

  @Column('int', { nullable: true })
  lost: number | null;

  @Column('date', { nullable: true })
  litOn: string | null;

  @Column('date', { nullable: true })
  thinnedOn: string | null;

  @Column('simple-json', { nullable: true })
  trayDays: string[] | null;

  @Column('double', { nullable: true })
  trayWetG: number | null;

  /** what one cell and one pot hold, mL */
  @Column('int', { nullable: true })
  cellMl: number | null;

  @Column('int', { nullable: true })
  potMl: number | null;

  @Column('simple-json', { nullable: true })
  looks: SeedlingLook[] | null;

  @Column('varchar', { length: 16, nullable: true })
  aim: Aim | null;

  @Column('simple-json', { nullable: true })
  spots: PlantSpot[] | null;

  @Column('date', { nullable: true })
  pottedOn: string | null;

  @Column('date', { nullable: true })
  hardenFrom: string | null;

  @Column('simple-json', { nullable: true })
  outDays: string[] | null;

  @Column('date', { nullable: true })
  plantedOn: string | null;
}
