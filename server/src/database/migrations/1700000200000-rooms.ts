import type { QueryRunner } from 'typeorm';
import { hasColumn, hasTable, SteppedMigration, table, type Step } from './stepped.js';

interface StoredWatering {
  id: string;
  data: string;
  flowLPerH: number | null;
  plants: string | number;
}

/**
 * Started findings become treatments; "not today" lasts until a day; the plan alone orders waterings, stored in
 * litres; set-ups name their strategy.
 */
export class Rooms1700000200000 extends SteppedMigration {
  readonly name = 'Rooms1700000200000';

  protected readonly steps: readonly Step[] = [
    { name: 'treatment', run: `RENAME TABLE IF EXISTS trouble TO treatment, task TO treatment_task` },
    {
      name: 'treatment.remedies',
      run: `ALTER TABLE treatment ADD COLUMN IF NOT EXISTS remedies longtext NOT NULL DEFAULT '[]' AFTER report`,
    },
    { name: 'remedies that were taken on', run: remediesTakenOn },
    {
      name: 'treatment_task.treatmentId',
      run: `ALTER TABLE treatment_task CHANGE COLUMN IF EXISTS troubleId treatmentId uuid NOT NULL`,
    },
    {
      name: 'no waterings among the tasks',
      run: `DELETE FROM treatment_task WHERE remedy IN ('water-now', 'even-watering', 'deep-soak', 'water-less')`,
    },
    table(`postponement (gardenId uuid NOT NULL, taskKey varchar(120) NOT NULL, until date NOT NULL,
      PRIMARY KEY (gardenId, taskKey), FOREIGN KEY (gardenId) REFERENCES garden(id) ON DELETE CASCADE)`),
    { name: 'put off as tasks', run: putOffAsTasks },
    { name: 'put off as dismissals', run: putOffAsDismissals },
    { name: 'no dismissals', run: `DROP TABLE IF EXISTS dismissal` },
    {
      name: 'tasks are done once',
      run: `ALTER TABLE treatment_task DROP COLUMN IF EXISTS laterUntil, DROP COLUMN IF EXISTS lastOn, DROP COLUMN IF EXISTS everyDays`,
    },
    { name: 'waterings in litres', run: wateringsInLitres },
    { name: 'bench strategies', run: `UPDATE bench SET setUps = REPLACE(setUps, '"habit":', '"strategy":')` },
  ];
}

async function remediesTakenOn(q: QueryRunner): Promise<void> {
  if (!(await hasColumn(q, 'treatment_task', 'troubleId'))) return;
  await q.query(`UPDATE treatment SET remedies = COALESCE(
    (SELECT JSON_ARRAYAGG(t.remedy) FROM treatment_task t WHERE t.troubleId = treatment.id), '[]')`);
}

async function putOffAsTasks(q: QueryRunner): Promise<void> {
  if (!(await hasColumn(q, 'treatment_task', 'laterUntil'))) return;
  await q.query(`INSERT IGNORE INTO postponement (gardenId, taskKey, until)
    SELECT gardenId, CONCAT('remedy:', id), MAX(laterUntil) FROM treatment_task WHERE laterUntil IS NOT NULL GROUP BY gardenId, id`);
}

async function putOffAsDismissals(q: QueryRunner): Promise<void> {
  if (!(await hasTable(q, 'dismissal'))) return;
  await q.query(`INSERT IGNORE INTO postponement (gardenId, taskKey, until)
    SELECT gardenId,
      CASE WHEN taskKey LIKE 'look:%' THEN CONCAT('look-again', SUBSTRING(taskKey, 5))
           WHEN taskKey LIKE 'water:%' THEN taskKey
           ELSE CONCAT('protect:', taskKey) END,
      MAX(IF(day = '9999-12-31', day, day + INTERVAL 1 DAY))
    FROM dismissal GROUP BY gardenId, taskKey`);
}

/** Minutes used to be converted at every read, with the current flow; from here on litres are stored. */
async function wateringsInLitres(q: QueryRunner): Promise<void> {
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
      // the amount can't be recovered: keep it as a note
      const text = `Watered for ${data.minutes} minutes; the flow was not known.`;
      await q.query(`UPDATE record SET type = 'note', data = ? WHERE id = ?`, [
        JSON.stringify({ date: data.date, text }),
        row.id,
      ]);
    }
  }
}
