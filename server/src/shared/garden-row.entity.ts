import { Column, PrimaryColumn } from 'typeorm';

/** A row that people wrote and that belongs to a garden: versioned, and marked instead of deleted. */
export abstract class GardenRow {
  @PrimaryColumn('uuid')
  id: string;

  @Column('uuid')
  gardenId: string;

  @Column('int')
  version: number;

  /** the garden's revision at which it was last written */
  @Column('bigint')
  revision: string;

  @Column('datetime', { precision: 3, nullable: true })
  deletedAt: Date | null;
}
