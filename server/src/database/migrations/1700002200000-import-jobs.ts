import { SteppedMigration, table, type Step } from './stepped.js';

/**
 * An import goes on when its page is closed: how far it is, and how it ended. It refers to its garden without a foreign
 * key: a running import locks the garden's row, and the next one is noted meanwhile.
 */
export class ImportJobs1700002200000 extends SteppedMigration {
  readonly name = 'ImportJobs1700002200000';

  protected readonly steps: readonly Step[] = [
    table(`import_job (id uuid PRIMARY KEY, gardenId uuid NOT NULL, name varchar(120) NOT NULL, intoTable varchar(20) NOT NULL, dry boolean NOT NULL,
      state varchar(12) NOT NULL, rowsRead int NOT NULL, cancelAsked boolean NOT NULL, report longtext NULL, message varchar(500) NULL,
      startedBy uuid NOT NULL, beatAt datetime(3) NOT NULL, INDEX (gardenId))`),
  ];
}
