import type { QueryRunner } from 'typeorm';
import { v5 as nameUuid } from 'uuid';
import { hasColumn, SteppedMigration, table, type Step } from './stepped.js';

/** Namespace of ids for gauge readings: the same reading always becomes the same record. */
const GAUGE_IDS = '0a5a3f0e-5d0b-4f0c-8f5b-2f2f6a1f9c11';

/**
 * Exact e-mails; revisions on rows; measured and forecast weather side by side; gauge readings as records; hose
 * timers per garden.
 */
export class Trust1700000300000 extends SteppedMigration {
  readonly name = 'Trust1700000300000';

  protected readonly steps: readonly Step[] = [
    {
      name: 'e-mail to the letter',
      run: `ALTER TABLE account MODIFY email varchar(200) CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL`,
    },
    ...['place', 'plant', 'record', 'bench'].map((name) => ({
      name: `${name}.revision`,
      run: `ALTER TABLE ${name} ADD COLUMN IF NOT EXISTS revision bigint NOT NULL DEFAULT 1,
        ADD INDEX IF NOT EXISTS written (gardenId, revision)`,
    })),
    {
      name: 'garden.weatherRevision',
      run: `ALTER TABLE garden ADD COLUMN IF NOT EXISTS weatherRevision bigint NOT NULL DEFAULT 1`,
    },
    {
      name: 'records of a whole garden',
      run: `ALTER TABLE record DROP CONSTRAINT IF EXISTS one_subject, DROP CONSTRAINT IF EXISTS at_most_one_subject,
        ADD CONSTRAINT at_most_one_subject CHECK (plantId IS NULL OR placeId IS NULL)`,
    },
    { name: 'gauge readings are records', run: gaugeReadings },
    { name: 'no gauge beside the station', run: `ALTER TABLE weather DROP COLUMN IF EXISTS gaugeMm` },
    {
      name: 'measured beside foreseen',
      run: `ALTER TABLE weather DROP PRIMARY KEY, ADD PRIMARY KEY (gardenId, day, kind)`,
    },
    table(`hose_timer (gardenId uuid PRIMARY KEY, address varchar(200) NOT NULL, secret varchar(200) NOT NULL,
      FOREIGN KEY (gardenId) REFERENCES garden(id) ON DELETE CASCADE)`),
    { name: 'zones are bound on a day', run: `ALTER TABLE place ADD COLUMN IF NOT EXISTS zoneSince date NULL` },
    {
      name: 'zones that are bound already',
      run: `UPDATE place p JOIN garden g ON g.id = p.gardenId SET p.zoneSince = COALESCE(g.pinnedDate, CURRENT_DATE)
        WHERE p.zoneSince IS NULL AND JSON_VALUE(p.watering, '$.timerZone') IS NOT NULL`,
    },
  ];
}

interface StoredReading {
  gardenId: string;
  day: string;
  gaugeMm: number;
  accountId: string;
}

async function gaugeReadings(q: QueryRunner): Promise<void> {
  if (!(await hasColumn(q, 'weather', 'gaugeMm'))) return;
  const rows = (await q.query(`SELECT w.gardenId, w.day, w.gaugeMm, MIN(m.accountId) AS accountId FROM weather w
    JOIN membership m ON m.gardenId = w.gardenId WHERE w.gaugeMm IS NOT NULL GROUP BY w.gardenId, w.day`)) as StoredReading[];
  for (const { gardenId, day, gaugeMm, accountId } of rows)
    await q.query(
      `INSERT IGNORE INTO record (id, gardenId, type, day, data, createdBy) VALUES (?, ?, 'rain-gauge', ?, ?, ?)`,
      [
        nameUuid(`${gardenId} ${day}`, GAUGE_IDS),
        gardenId,
        day,
        JSON.stringify({ date: day, rainMm: gaugeMm }),
        accountId,
      ],
    );
}
