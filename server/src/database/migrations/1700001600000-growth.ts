import { SteppedMigration, type Step } from './stepped.js';

const add = (name: string, definition: string): Step => ({
  name: `plant.${name}`,
  run: `ALTER TABLE plant ADD COLUMN IF NOT EXISTS ${name} ${definition} NULL`,
});

/** Plants grow: a stage or height that was entered gets the day on which it was said. */
export class Growth1700001600000 extends SteppedMigration {
  readonly name = 'Growth1700001600000';

  protected readonly steps: readonly Step[] = [
    add('seenOn', 'date'),
    add('plantedAbout', 'tinyint'),
    add('start', 'varchar(20)'),
    {
      // a new plant was "establishing" by itself, on its planting day
      name: 'stages of new plants',
      run: `UPDATE plant SET seenOn = transplantedOn
        WHERE seenOn IS NULL AND stage IN ('seedling', 'establishing') AND transplantedOn IS NOT NULL`,
    },
    {
      // nobody knows the day of the others: that of the first record at the plant is the likeliest
      name: 'stages that were chosen',
      run: `UPDATE plant SET seenOn = COALESCE(
          (SELECT MIN(day) FROM record WHERE record.plantId = plant.id AND record.deletedAt IS NULL), CURRENT_DATE)
        WHERE seenOn IS NULL AND (stage IS NOT NULL OR heightM IS NOT NULL)`,
    },
  ];
}
