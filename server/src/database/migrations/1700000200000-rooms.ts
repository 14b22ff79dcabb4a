import type { MigrationInterface, QueryRunner } from 'typeorm';

interface StoredWatering {
  id: string;
  data: string;
  flowLPerH: number | null;
  plants: string | number;
}

/**
 * Findings that were taken on are treatments; "not today" holds until a day; waterings are ordered by the plan alone and kept
 * in litres; set-ups of the bench name their strategy.
 */
export class Rooms1700000200000 implements MigrationInterface {
  name = 'Rooms1700000200000';

  async up(q: QueryRunner): Promise<void> {
    await this.treatments(q);
    await this.postponements(q);
    await this.wateringsInLitres(q);
    await q.query(`UPDATE bench SET setUps = REPLACE(setUps, '"habit":', '"strategy":')`);
  }

  private async treatments(q: QueryRunner): Promise<void> {
    await q.query(`RENAME TABLE trouble TO treatment, task TO treatment_task`);
    await q.query(`ALTER TABLE treatment ADD COLUMN remedies longtext NOT NULL DEFAULT '[]' AFTER report`);
    await q.query(`UPDATE treatment SET remedies = COALESCE(
      (SELECT JSON_ARRAYAGG(t.remedy) FROM treatment_task t WHERE t.troubleId = treatment.id), '[]')`);
    await q.query(`ALTER TABLE treatment_task CHANGE troubleId treatmentId uuid NOT NULL`);
    await q.query(
      `DELETE FROM treatment_task WHERE remedy IN ('water-now', 'even-watering', 'deep-soak', 'water-less')`,
    );
  }

  private async postponements(q: QueryRunner): Promise<void> {
    await q.query(`CREATE TABLE postponement (gardenId uuid NOT NULL, taskKey varchar(120) NOT NULL, until date NOT NULL,
      PRIMARY KEY (gardenId, taskKey), FOREIGN KEY (gardenId) REFERENCES garden(id) ON DELETE CASCADE)
      ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci`);
    await q.query(`INSERT INTO postponement (gardenId, taskKey, until)
      SELECT gardenId, CONCAT('remedy:', id), MAX(laterUntil) FROM treatment_task WHERE laterUntil IS NOT NULL GROUP BY gardenId, id`);
    await q.query(`INSERT IGNORE INTO postponement (gardenId, taskKey, until)
      SELECT gardenId,
        CASE WHEN taskKey LIKE 'look:%' THEN CONCAT('look-again', SUBSTRING(taskKey, 5))
             WHEN taskKey LIKE 'water:%' THEN taskKey
             ELSE CONCAT('protect:', taskKey) END,
        MAX(IF(day = '9999-12-31', day, day + INTERVAL 1 DAY))
      FROM dismissal GROUP BY gardenId, taskKey`);
    await q.query(`DROP TABLE dismissal`);
    await q.query(`ALTER TABLE treatment_task DROP COLUMN laterUntil, DROP COLUMN lastOn, DROP COLUMN everyDays`);
  }

  /** Minutes were turned into litres whenever they were read, by the flow the place has now; from here on they are kept in litres. */
  private async wateringsInLitres(q: QueryRunner): Promise<void> {
    const rows = (await q.query(`SELECT r.id, r.data, p.flowLPerH,
        (SELECT COUNT(*) FROM plant WHERE plant.placeId = p.id AND plant.retiredOn IS NULL AND plant.deletedAt IS NULL) AS plants
      FROM record r LEFT JOIN place p ON p.id = r.placeId
      WHERE r.type = 'watering' AND JSON_VALUE(r.data, '$.minutes') IS NOT NULL`)) as StoredWatering[];
    for (const row of rows) {
      const data = JSON.parse(row.data) as { date: string; minutes: number; litres?: number };
      if (row.flowLPerH) {
        const each = (data.minutes * row.flowLPerH) / 60 / Math.max(1, Number(row.plants));
        const litres = Math.round(each * 1000) / 1000;
        await q.query(`UPDATE record SET data = ? WHERE id = ?`, [JSON.stringify({ ...data, litres }), row.id]);
      } else if (data.litres == null) {
        // nobody can say any more how much that was: it stays as a note
        const text = `Watered for ${data.minutes} minutes; the flow was not known.`;
        await q.query(`UPDATE record SET type = 'note', data = ? WHERE id = ?`, [
          JSON.stringify({ date: data.date, text }),
          row.id,
        ]);
      }
    }
  }

  async down(q: QueryRunner): Promise<void> {
    await q.query(`UPDATE bench SET setUps = REPLACE(setUps, '"strategy":', '"habit":')`);
    await q.query(`CREATE TABLE dismissal (gardenId uuid NOT NULL, taskKey varchar(80) NOT NULL, day date NOT NULL,
      PRIMARY KEY (gardenId, taskKey, day), FOREIGN KEY (gardenId) REFERENCES garden(id) ON DELETE CASCADE)
      ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci`);
    await q.query(`DROP TABLE postponement`);
    await q.query(`ALTER TABLE treatment_task CHANGE treatmentId troubleId uuid NOT NULL,
      ADD COLUMN lastOn date NOT NULL DEFAULT '9999-12-31', ADD COLUMN everyDays int NULL, ADD COLUMN laterUntil date NULL`);
    await q.query(`ALTER TABLE treatment DROP COLUMN remedies`);
    await q.query(`RENAME TABLE treatment TO trouble, treatment_task TO task`);
  }
}
