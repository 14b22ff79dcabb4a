import type { TableName } from '@candid-leaf/core/tables';
import { Column, Entity, PrimaryColumn } from 'typeorm';

/** An imported file: what was added, and what undo needs. */
@Entity('import')
export class ImportEntity {
  @PrimaryColumn('uuid')
  id: string;

  @Column('uuid')
  gardenId: string;

  @Column('varchar', { length: 20, name: 'intoTable' })
  table: TableName;

  @Column('varchar', { length: 120 })
  name: string;

  @Column('int')
  made: number;

  @Column('simple-json')
  report: object;

  /** earlier values, or the new days */
  @Column('simple-json')
  before: unknown;

  @Column('uuid')
  madeBy: string;

  @Column('datetime', { precision: 3 })
  madeAt: Date;

  @Column('datetime', { precision: 3, nullable: true })
  undoneAt: Date | null;
}
