import { SteppedMigration, type Step } from './stepped.js';

/** Since when each task of a garden stands on Today unchanged. */
export class ShownSince1700001800000 extends SteppedMigration {
  readonly name = 'ShownSince1700001800000';

  protected readonly steps: readonly Step[] = [
    {
      name: 'shown_since',
      run: `CREATE TABLE IF NOT EXISTS shown_since (gardenId uuid NOT NULL PRIMARY KEY, tasks longtext NOT NULL,
        FOREIGN KEY (gardenId) REFERENCES garden(id) ON DELETE CASCADE)`,
    },
  ];
}
