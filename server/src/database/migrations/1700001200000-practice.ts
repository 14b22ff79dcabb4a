import { SteppedMigration, table, type Step } from './stepped.js';

/** Answers to practice plants. */
export class Practice1700001200000 extends SteppedMigration {
  readonly name = 'Practice1700001200000';

  protected readonly steps: readonly Step[] = [
    table(`practice_answer (accountId uuid NOT NULL, theme varchar(12) NOT NULL, seed int NOT NULL, trouble varchar(40) NOT NULL, surePct smallint NOT NULL,
      \`right\` tinyint NOT NULL, causeRight tinyint NOT NULL, actRight tinyint NOT NULL, minutes smallint NOT NULL, answeredAt datetime(3) NOT NULL,
      PRIMARY KEY (accountId, theme, seed), FOREIGN KEY (accountId) REFERENCES account(id) ON DELETE CASCADE)`),
  ];
}
