import { Column, PrimaryColumn } from 'typeorm';

/** A row written by people that belongs to a garden: versioned, and marked instead of deleted. */
export abstract class GardenRow {
  @PrimaryColumn('uuid')
  id: string;

  @Column('uuid')
  gardenId: string;

  @Column('int')
  version: number;

  /** the garden's revision at its last write */
  @Column('bigint')
  revision: string;

  @Column('datetime', { precision: 3, nullable: true })
  deletedAt: Date | null;
}
