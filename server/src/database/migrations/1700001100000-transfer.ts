import { SteppedMigration, table, type Step } from './stepped.js';

/** Imported files. */
export class Transfer1700001100000 extends SteppedMigration {
  readonly name = 'Transfer1700001100000';

  protected readonly steps: readonly Step[] = [
    table(`\`import\` (id uuid PRIMARY KEY, gardenId uuid NOT NULL, intoTable varchar(20) NOT NULL, name varchar(120) NOT NULL, made int NOT NULL,
      report longtext NOT NULL, \`before\` longtext NOT NULL, madeBy uuid NOT NULL, madeAt datetime(3) NOT NULL, undoneAt datetime(3) NULL,
      INDEX (gardenId, madeAt), FOREIGN KEY (gardenId) REFERENCES garden(id) ON DELETE CASCADE)`),
  ];
}
