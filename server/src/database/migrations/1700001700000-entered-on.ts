import { SteppedMigration, type Step } from './stepped.js';

/** The day on which a plant was entered. Nobody knows it for plants that are there already: they stay without one. */
export class EnteredOn1700001700000 extends SteppedMigration {
  readonly name = 'EnteredOn1700001700000';

  protected readonly steps: readonly Step[] = [
    { name: 'plant.enteredOn', run: 'ALTER TABLE plant ADD COLUMN IF NOT EXISTS enteredOn date NULL' },
  ];
}
