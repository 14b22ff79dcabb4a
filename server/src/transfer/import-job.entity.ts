import type { ImportReport, ImportState } from '@candid-leaf/contract';
import type { TableName } from '@candid-leaf/core/tables';
import { Column, Entity, PrimaryColumn } from 'typeorm';

/** An import under way, or its outcome: kept in the database, as the page may leave and ask another process. */
@Entity('import_job')
export class ImportJobEntity {
  /** the import's id */
  @PrimaryColumn('uuid')
  id: string;

  @Column('uuid')
  gardenId: string;

  @Column('varchar', { length: 120 })
  name: string;

  @Column('varchar', { length: 20, name: 'intoTable' })
  table: TableName;

  /** checks only */
  @Column('boolean')
  dry: boolean;

  @Column('varchar', { length: 12 })
  state: ImportState;

  /** rows read so far */
  @Column('int', { name: 'rowsRead' })
  rows: number;

  @Column('boolean')
  cancelAsked: boolean;

  @Column('simple-json', { nullable: true })
  report: ImportReport | null;

  /** why it was refused */
  @Column('varchar', { length: 500, nullable: true })
  message: string | null;

  @Column('uuid')
  startedBy: string;

  /** the last sign of life of the process that runs it */
  @Column('datetime', { precision: 3 })
  beatAt: Date;
}
