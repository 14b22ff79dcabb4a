import { SteppedMigration, type Step } from './stepped.js';

/** Cells and pots of seedlings as they were bought: what one holds decides how often it is watered. */
export class SeedlingVessels1700002700000 extends SteppedMigration {
  readonly name = 'SeedlingVessels1700002700000';

  protected readonly steps: readonly Step[] = [
    { name: 'planting.cellMl', run: 'ALTER TABLE planting ADD COLUMN IF NOT EXISTS cellMl int NULL' },
    { name: 'planting.potMl', run: 'ALTER TABLE planting ADD COLUMN IF NOT EXISTS potMl int NULL' },
  ];
}
