import { SteppedMigration, type Step } from './stepped.js';

/** Who made a link into a garden: it ends when they no longer manage it. Of older links nobody knows. */
export class LinksHaveMakers1700002100000 extends SteppedMigration {
  readonly name = 'LinksHaveMakers1700002100000';

  protected readonly steps: readonly Step[] = ['calendar_link', 'watering_list'].map((table) => ({
    name: `${table}.madeBy`,
    run: `ALTER TABLE ${table} ADD COLUMN IF NOT EXISTS madeBy char(36) NULL`,
  }));
}
