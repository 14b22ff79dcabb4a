import { SteppedMigration, type Step } from './stepped.js';

/** The copper metal in a product, so that what a bed gets in a year can be added up; how peppers in flower are fed. */
export class CopperAndPeppers1700002000000 extends SteppedMigration {
  readonly name = 'CopperAndPeppers1700002000000';

  protected readonly steps: readonly Step[] = [
    { name: 'garden.pepperFeed', run: 'ALTER TABLE garden ADD COLUMN IF NOT EXISTS pepperFeed varchar(10) NULL' },
    { name: 'product.copperPct', run: 'ALTER TABLE product ADD COLUMN IF NOT EXISTS copperPct double NULL' },
  ];
}
