import { SteppedMigration, type Step } from './stepped.js';

/** Gardens may agree to be counted with others of their region; none does by itself. */
export class ShareCounts1700002800000 extends SteppedMigration {
  readonly name = 'ShareCounts1700002800000';

  protected readonly steps: readonly Step[] = [
    { name: 'garden.shareCounts', run: 'ALTER TABLE garden ADD COLUMN IF NOT EXISTS shareCounts tinyint NULL' },
    {
      name: 'index garden.shareCounts',
      run: 'CREATE INDEX IF NOT EXISTS garden_share_counts ON garden (shareCounts, latitude)',
    },
  ];
}
