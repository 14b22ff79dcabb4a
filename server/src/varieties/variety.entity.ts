import type { RipeColour } from '@candid-leaf/core/varieties';
import type { TendencyLevel } from '@candid-leaf/core/records';
import type { Crop, GrowthHabit, PlantType } from '@candid-leaf/core/records';
import { Column, Entity } from 'typeorm';
import { GardenRow } from '../shared/garden-row.entity.js';

/** A variety the gardener grows, as on its packet. */
@Entity('variety')
export class VarietyEntity extends GardenRow {
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
  heatSet: TendencyLevel | null;

  @Column('varchar', { length: 8, nullable: true })
  coldSet: TendencyLevel | null;

  @Column('varchar', { length: 8, nullable: true })
  splits: TendencyLevel | null;

  @Column('varchar', { length: 8, nullable: true })
  darkEnds: TendencyLevel | null;
}
