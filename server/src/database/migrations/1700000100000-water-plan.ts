import { SteppedMigration, table } from './stepped.js';

const OF_GARDEN = `FOREIGN KEY (gardenId) REFERENCES garden(id) ON DELETE CASCADE`;
const OF_PLACE = `FOREIGN KEY (placeId) REFERENCES place(id)`;

/** Watering rules, hose timer runs, and saved set-ups. */
export class WaterPlan1700000100000 extends SteppedMigration {
  readonly name = 'WaterPlan1700000100000';

  protected readonly steps = [
    { name: 'place.watering', run: `ALTER TABLE place ADD COLUMN IF NOT EXISTS watering longtext NULL` },
    table(`bench (id uuid PRIMARY KEY, gardenId uuid NOT NULL, version int NOT NULL DEFAULT 1, deletedAt datetime(3) NULL,
        createdAt datetime(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3), placeId uuid NOT NULL, name varchar(80) NOT NULL, weather varchar(20) NOT NULL,
        years int NOT NULL, setUps longtext NOT NULL, INDEX (gardenId), ${OF_GARDEN}, ${OF_PLACE})`),
    table(`timer_run (placeId uuid NOT NULL, day date NOT NULL, gardenId uuid NOT NULL, minutes double NOT NULL, litres double NOT NULL,
        ranMinutes double NULL, ranLitres double NULL, PRIMARY KEY (placeId, day), ${OF_GARDEN}, ${OF_PLACE})`),
    table(`timer_state (placeId uuid PRIMARY KEY, gardenId uuid NOT NULL, sentAt datetime(3) NULL, readAt datetime(3) NULL, trouble varchar(300) NULL,
        ${OF_GARDEN}, ${OF_PLACE})`),
  ];
}
