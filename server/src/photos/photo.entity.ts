import type { SignCode } from '@candid-leaf/core/records';
import { Column, Entity } from 'typeorm';
import { GardenRow } from '../shared/garden-row.entity.js';

/** Facts about a picture; the picture itself is a file. */
@Entity('photo')
export class PhotoEntity extends GardenRow {
  @Column('uuid', { nullable: true })
  plantId: string | null;

  @Column('uuid', { nullable: true })
  placeId: string | null;

  @Column('varchar', { length: 60, nullable: true })
  sign: SignCode | null;

  @Column('date')
  day: string;

  @Column('int')
  width: number;

  @Column('int')
  height: number;

  @Column('int')
  bytes: number;

  @Column('uuid')
  createdBy: string;
}
