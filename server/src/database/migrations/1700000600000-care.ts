import { SteppedMigration, table, type Step } from './stepped.js';

const OF_GARDEN = 'FOREIGN KEY (gardenId) REFERENCES garden(id) ON DELETE CASCADE';
const ROW = `id uuid PRIMARY KEY, gardenId uuid NOT NULL, version int NOT NULL DEFAULT 1, revision bigint NOT NULL DEFAULT 1, deletedAt datetime(3) NULL,
  createdAt datetime(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3)`;

/** Stock in the shed, and the gardener's own rules. */
export class Care1700000600000 extends SteppedMigration {
  readonly name = 'Care1700000600000';

  protected readonly steps: readonly Step[] = [
    table(`product (${ROW}, name varchar(80) NOT NULL, kind varchar(12) NOT NULL, form varchar(10) NOT NULL, n double NOT NULL, p2o5 double NOT NULL,
      k2o double NOT NULL, gPerMl double NULL, slow tinyint NULL, dose longtext NULL, everyDays int NULL, mostUses int NULL, harvestDays int NULL,
      reentryHours int NULL, organic tinyint NULL, spray varchar(20) NULL, cautions longtext NULL, INDEX (gardenId), ${OF_GARDEN})`),
    { name: 'garden.organicOnly', run: `ALTER TABLE garden ADD COLUMN IF NOT EXISTS organicOnly tinyint NULL` },
    { name: 'garden.starter', run: `ALTER TABLE garden ADD COLUMN IF NOT EXISTS starter varchar(20) NULL` },
    { name: 'place.pondNear', run: `ALTER TABLE place ADD COLUMN IF NOT EXISTS pondNear tinyint NULL` },
    { name: 'place.grown', run: `ALTER TABLE place ADD COLUMN IF NOT EXISTS grown longtext NULL` },
    { name: 'place.soilTests', run: `ALTER TABLE place ADD COLUMN IF NOT EXISTS soilTests longtext NULL` },
    { name: 'garden.stock', run: `ALTER TABLE garden ADD COLUMN IF NOT EXISTS stock longtext NULL` },
    { name: 'plant.worth', run: `ALTER TABLE plant ADD COLUMN IF NOT EXISTS worth int NULL` },
    { name: 'plant.training', run: `ALTER TABLE plant ADD COLUMN IF NOT EXISTS training varchar(20) NULL` },
    table(`trial (${ROW}, name varchar(80) NOT NULL, measure varchar(40) NOT NULL, changed longtext NOT NULL, untouched longtext NOT NULL,
      startedOn date NOT NULL, judgeOn date NOT NULL, judgedOn date NULL, INDEX (gardenId), ${OF_GARDEN})`),
  ];
}
