import type { Crop, DisorderCode, GrowthHabit, PlantType, Stage } from '@candid-leaf/core/records';
import type { PlantEnd } from '@candid-leaf/contract';
import type { Start } from '@candid-leaf/core/growth';
import type { Training } from '@candid-leaf/core/pruning';
import { Column, Entity } from 'typeorm';
import { GardenRow } from '../shared/garden-row.entity.js';

/** A plant. */
@Entity('plant')
export class PlantEntity extends GardenRow {
  @Column('uuid')
  placeId: string;

  @Column('varchar', { length: 80 })
  name: string;

  @Column('varchar', { length: 10 })
  crop: Crop;

  @Column('varchar', { length: 20, nullable: true })
  habit: GrowthHabit | null;

  @Column('varchar', { length: 20, nullable: true })
  type: PlantType | null;

  /** stage and height as last entered in its form; the growth model goes on from there */
  @Column('varchar', { length: 20, nullable: true })
  stage: Stage | null;

  @Column('date', { nullable: true })
  transplantedOn: string | null;

  @Column('double', { nullable: true })
  heightM: number | null;

  /** day on which stage and height were entered */
  @Column('date', { nullable: true })
  seenOn: string | null;

  /** day on which it was entered; null if it was there before this was kept */
  @Column('date', { nullable: true })
  enteredOn: string | null;

  /** its planting day is a guess */
  @Column('boolean', { nullable: true })
  plantedAbout: boolean | null;

  /** how it came into its place */
  @Column('varchar', { length: 20, nullable: true })
  start: Start | null;

  @Column('double', { nullable: true })
  spacingM: number | null;

  @Column('simple-json')
  resistantTo: DisorderCode[];

  /** importance when there is not enough for all: 1 little, 2 as others, 3 much */
  @Column('int', { nullable: true })
  worth: 1 | 2 | 3 | null;

  /** its training, if the gardener chose one */
  @Column('varchar', { length: 20, nullable: true })
  training: Training | null;

  /** its variety; the gardener may be unsure and correct it later */
  @Column('uuid', { nullable: true })
  varietyId: string | null;

  @Column('boolean', { nullable: true })
  varietyUnsure: boolean | null;

  /** what was found on it and taken on, with the day */
  @Column('simple-json', { nullable: true })
  found: { disorder: DisorderCode; on: string }[] | null;

  @Column('int', { default: 0 })
  position: number;

  @Column('date', { nullable: true })
  retiredOn: string | null;

  /** why it ended, if stated */
  @Column('varchar', { length: 20, nullable: true })
  endedBecause: PlantEnd | null;
}
