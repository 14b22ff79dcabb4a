import { SteppedMigration, type Step } from './stepped.js';

/** What a practice plant had, so that a problem that was missed can be asked again. */
export class Practised1700001900000 extends SteppedMigration {
  readonly name = 'Practised1700001900000';

  protected readonly steps: readonly Step[] = [
    { name: 'practice_answer.was', run: 'ALTER TABLE practice_answer ADD COLUMN IF NOT EXISTS was varchar(40) NULL' },
  ];
}
