import { SteppedMigration, table, type Step } from './stepped.js';

const OF_GARDEN = 'FOREIGN KEY (gardenId) REFERENCES garden(id) ON DELETE CASCADE';
const ROW = `id uuid PRIMARY KEY, gardenId uuid NOT NULL, version int NOT NULL DEFAULT 1, revision bigint NOT NULL DEFAULT 1, deletedAt datetime(3) NULL,
  createdAt datetime(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3)`;

/** Varieties, plantings, and pickings as records. */
export class Season1700000700000 extends SteppedMigration {
  readonly name = 'Season1700000700000';

  protected readonly steps: readonly Step[] = [
    table(`cultivar (${ROW}, name varchar(80) NOT NULL, crop varchar(10) NOT NULL, type varchar(20) NULL, habit varchar(20) NULL, daysToMaturity int NULL,
      ripeColour varchar(12) NULL, fruitG double NULL, letters varchar(120) NULL, heatSet varchar(8) NULL, coldSet varchar(8) NULL, splits varchar(8) NULL,
      darkEnds varchar(8) NULL, INDEX (gardenId), ${OF_GARDEN})`),
    table(`planting (${ROW}, year int NOT NULL, placeId uuid NOT NULL, cultivarId uuid NULL, crop varchar(10) NOT NULL, count int NOT NULL, spacingM double NULL,
      sownOn date NULL, cells int NULL, lost int NULL, pottedOn date NULL, hardenFrom date NULL, outDays longtext NULL, plantedOn date NULL,
      INDEX (gardenId, year), ${OF_GARDEN})`),
    table(
      `calendar_link (gardenId uuid PRIMARY KEY, secretHash char(64) NOT NULL, madeAt datetime(3) NOT NULL, UNIQUE KEY (secretHash), ${OF_GARDEN})`,
    ),
    table(
      `task_pace (gardenId uuid NOT NULL, source varchar(20) NOT NULL, ticks int NOT NULL, took double NOT NULL, reckoned double NOT NULL, lastAt datetime(3) NOT NULL, PRIMARY KEY (gardenId, source), ${OF_GARDEN})`,
    ),
    table(
      `season_notes (${ROW}, year int NOT NULL, worked text NULL, \`change\` text NULL, INDEX (gardenId, year), ${OF_GARDEN})`,
    ),
    { name: 'plant.endedBecause', run: `ALTER TABLE plant ADD COLUMN IF NOT EXISTS endedBecause varchar(20) NULL` },
    { name: 'plant.cultivarId', run: `ALTER TABLE plant ADD COLUMN IF NOT EXISTS cultivarId uuid NULL` },
    { name: 'plant.kindUnsure', run: `ALTER TABLE plant ADD COLUMN IF NOT EXISTS kindUnsure tinyint NULL` },
    { name: 'garden.seasonMode', run: `ALTER TABLE garden ADD COLUMN IF NOT EXISTS seasonMode varchar(12) NULL` },
    { name: 'place.sunHours', run: `ALTER TABLE place ADD COLUMN IF NOT EXISTS sunHours double NULL` },
    { name: 'place.lowEnd', run: `ALTER TABLE place ADD COLUMN IF NOT EXISTS lowEnd tinyint NULL` },
    { name: 'place.windy', run: `ALTER TABLE place ADD COLUMN IF NOT EXISTS windy tinyint NULL` },
    { name: 'place.footpath', run: `ALTER TABLE place ADD COLUMN IF NOT EXISTS footpath tinyint NULL` },
    {
      name: 'record.picking',
      run: `UPDATE record SET type = 'picking', data = JSON_SET(JSON_REMOVE(data, '$.what'), '$.state', 'sound', '$.use', 'eaten')
        WHERE type = 'event' AND plantId IS NOT NULL AND JSON_VALUE(data, '$.what') = 'harvest'`,
    },
  ];
}
