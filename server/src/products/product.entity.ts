import type { LabelDose, ProductMake } from '@candid-leaf/core/products';
import { Column, Entity } from 'typeorm';
import { GardenRow } from '../shared/garden-row.entity.js';

/** A product with the label the gardener has. */
@Entity('product')
export class ProductEntity extends GardenRow {
  @Column('varchar', { length: 80 })
  name: string;

  @Column('varchar', { length: 12 })
  kind: ProductMake['kind'];

  @Column('varchar', { length: 10 })
  form: ProductMake['form'];

  @Column('double')
  n: number;

  @Column('double')
  p2o5: number;

  @Column('double')
  k2o: number;

  @Column('double', { nullable: true })
  gPerMl: number | null;

  @Column('boolean', { nullable: true })
  slow: boolean | null;

  @Column('simple-json', { nullable: true })
  dose: LabelDose | null;

  @Column('int', { nullable: true })
  everyDays: number | null;

  @Column('int', { nullable: true })
  mostUses: number | null;

  @Column('int', { nullable: true })
  harvestDays: number | null;

  @Column('int', { nullable: true })
  reentryHours: number | null;

  @Column('double', { nullable: true })
  copperPct: number | null;

  @Column('boolean', { nullable: true })
  organic: boolean | null;

  @Column('varchar', { length: 20, nullable: true })
  spray: ProductMake['spray'];

  @Column('simple-json', { nullable: true })
  cautions: string[] | null;
}
