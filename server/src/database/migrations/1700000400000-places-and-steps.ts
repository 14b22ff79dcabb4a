import { SteppedMigration, type Step } from './stepped.js';

/** Cover, hollow and room temperature of a bed; treatment steps. */
export class PlacesAndSteps1700000400000 extends SteppedMigration {
  readonly name = 'PlacesAndSteps1700000400000';

  protected readonly steps: readonly Step[] = [
    {
      name: 'places of their own',
      run: `ALTER TABLE place ADD COLUMN IF NOT EXISTS cover varchar(20) NULL,
        ADD COLUMN IF NOT EXISTS vents varchar(10) NULL,
        ADD COLUMN IF NOT EXISTS hollow tinyint(1) NULL,
        ADD COLUMN IF NOT EXISTS roomTMinC double NULL,
        ADD COLUMN IF NOT EXISTS roomTMaxC double NULL,
        ADD COLUMN IF NOT EXISTS fillingCm double NULL`,
    },
    {
      name: 'steps of a treatment',
      run: `ALTER TABLE treatment ADD COLUMN IF NOT EXISTS step int NOT NULL DEFAULT 1`,
    },
    {
      name: 'tasks of next season',
      run: `ALTER TABLE treatment_task ADD COLUMN IF NOT EXISTS seasonal tinyint(1) NOT NULL DEFAULT 0`,
    },
    {
      name: 'next season’s tasks that are taken on already',
      run: `UPDATE treatment_task SET seasonal = 1 WHERE remedy IN ('resistant-cultivar', 'rotate', 'plant-later', 'wider-spacing',
        'bigger-pot', 'improve-soil', 'lime-soil', 'sulfur-soil', 'compost')`,
    },
  ];
}
