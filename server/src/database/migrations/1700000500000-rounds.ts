import { SteppedMigration, type Step } from './stepped.js';

/** Walk rhythm per bed; days away. */
export class Rounds1700000500000 extends SteppedMigration {
  readonly name = 'Rounds1700000500000';

  protected readonly steps: readonly Step[] = [
    { name: 'rhythm of looking', run: `ALTER TABLE place ADD COLUMN IF NOT EXISTS looking varchar(10) NULL` },
    { name: 'days away', run: `ALTER TABLE garden ADD COLUMN IF NOT EXISTS away longtext NULL` },
  ];
}
