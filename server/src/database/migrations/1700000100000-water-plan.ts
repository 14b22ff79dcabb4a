import type { MigrationInterface, QueryRunner } from 'typeorm';

const OF_GARDEN = `FOREIGN KEY (gardenId) REFERENCES garden(id) ON DELETE CASCADE`;
const OF_PLACE = `FOREIGN KEY (placeId) REFERENCES place(id)`;

/** How a place is watered, what a hose timer was told and did, and set-ups of the bench. */
export class WaterPlan1700000100000 implements MigrationInterface {
  name = 'WaterPlan1700000100000';

  async up(q: QueryRunner): Promise<void> {
    await q.query(`ALTER TABLE place ADD COLUMN watering longtext NULL`);
    for (const table of [
      `bench (id uuid PRIMARY KEY, gardenId uuid NOT NULL, version int NOT NULL DEFAULT 1, deletedAt datetime(3) NULL,
        createdAt datetime(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3), placeId uuid NOT NULL, name varchar(80) NOT NULL, weather varchar(20) NOT NULL,
        years int NOT NULL, setUps longtext NOT NULL, INDEX (gardenId), ${OF_GARDEN}, ${OF_PLACE})`,
      `timer_run (placeId uuid NOT NULL, day date NOT NULL, gardenId uuid NOT NULL, minutes double NOT NULL, litres double NOT NULL,
        ranMinutes double NULL, ranLitres double NULL, PRIMARY KEY (placeId, day), ${OF_GARDEN}, ${OF_PLACE})`,
      `timer_state (placeId uuid PRIMARY KEY, gardenId uuid NOT NULL, sentAt datetime(3) NULL, readAt datetime(3) NULL, trouble varchar(300) NULL,
        ${OF_GARDEN}, ${OF_PLACE})`,
    ])
      await q.query(`CREATE TABLE ${table} ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci`);
  }

  async down(q: QueryRunner): Promise<void> {
    for (const name of ['timer_state', 'timer_run', 'bench']) await q.query(`DROP TABLE ${name}`);
    await q.query(`ALTER TABLE place DROP COLUMN watering`);
  }
}
