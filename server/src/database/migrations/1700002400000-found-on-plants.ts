import { SteppedMigration, type Step } from './stepped.js';

/** What was found on a plant and taken on; filled from the treatments so far. */
export class FoundOnPlants1700002400000 extends SteppedMigration {
  readonly name = 'FoundOnPlants1700002400000';

  protected readonly steps: readonly Step[] = [
    { name: 'plant.found', run: 'ALTER TABLE plant ADD COLUMN IF NOT EXISTS found text NULL' },
    {
      name: 'plant.found from treatments',
      run: `UPDATE plant p JOIN (
              SELECT plantId, CONCAT('[', GROUP_CONCAT(CONCAT('{"disorder":"', disorder, '","on":"', openedOn, '"}') ORDER BY openedOn SEPARATOR ','), ']') AS found
              FROM (SELECT plantId, disorder, MIN(openedOn) AS openedOn FROM treatment GROUP BY plantId, disorder) firsts
              GROUP BY plantId
            ) t ON t.plantId = p.id
            SET p.found = t.found WHERE p.found IS NULL`,
    },
  ];
}
