import { SteppedMigration, type Step } from './stepped.js';

/** What is done differently in a bed or pot from now on, because it would have prevented a problem there. */
export class BedRules1700002300000 extends SteppedMigration {
  readonly name = 'BedRules1700002300000';

  protected readonly steps: readonly Step[] = [
    { name: 'place.rules', run: 'ALTER TABLE place ADD COLUMN IF NOT EXISTS rules text NULL' },
  ];
}
