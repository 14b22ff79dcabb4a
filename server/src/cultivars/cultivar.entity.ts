import type { RipeColour } from '@candid-leaf/core/cultivars';
import type { Leaning } from '@candid-leaf/core/records';
import type { Crop, GrowthHabit, PlantType } from '@candid-leaf/core/records';
import { Column, Entity } from 'typeorm';
import { GardenRow } from '../shared/garden-row.entity.js';

/** A variety the gardener grows, as on its packet. */
@Entity('cultivar')
export class CultivarEntity extends GardenRow {
  @Column('varchar', { length: 80 })
  name: string;

  @Column('varchar', { length: 10 })
  crop: Crop;

  @Column('varchar', { length: 20, nullable: true })
  type: PlantType | null;

  @Column('varchar', { length: 20, nullable: true })
  habit: GrowthHabit | null;

  @Column('int', { nullable: true })
  daysToMaturity: number | null;

  @Column('varchar', { length: 12, nullable: true })
  ripeColour: RipeColour | null;

  @Column('double', { nullable: true })
  fruitG: number | null;

  @Column('varchar', { length: 120, nullable: true })
  letters: string | null;

  @Column('varchar', { length: 8, nullable: true })
  heatSet: Leaning | null;

  @Column('varchar', { length: 8, nullable: true })
  coldSet: Leaning | null;

  @Column('varchar', { length: 8, nullable: true })
  splits: Leaning | null;

  @Column('varchar', { length: 8, nullable: true })
  darkEnds: Leaning | null;
}
