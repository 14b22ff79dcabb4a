import type { MigrationInterface, QueryRunner } from 'typeorm';

/** One repeatable change, and its name in the ledger. */
export interface Step {
  name: string;
  run: string | ((q: QueryRunner) => Promise<void>);
}

const LEDGER = `CREATE TABLE IF NOT EXISTS migration_step (migration varchar(80) NOT NULL, step varchar(80) NOT NULL,
  doneAt datetime(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3), PRIMARY KEY (migration, step)) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4`;

/**
 * A migration in steps. MariaDB commits each table change at once, so a killed migration is partly done: the ledger
 * says up to where. The step that was killed runs again, so each must be repeatable; earlier ones do not.
 */
export abstract class SteppedMigration implements MigrationInterface {
  abstract readonly name: string;
  protected abstract readonly steps: readonly Step[];

  async up(q: QueryRunner): Promise<void> {
    await q.query(LEDGER);
    const rows = (await q.query(`SELECT step FROM migration_step WHERE migration = ?`, [this.name])) as {
      step: string;
    }[];
    const done = new Set(rows.map((r) => r.step));
    for (const { name, run } of this.steps) {
      if (done.has(name)) continue;
      if (typeof run === 'string') await q.query(run);
      else await run(q);
      await q.query(`INSERT IGNORE INTO migration_step (migration, step) VALUES (?, ?)`, [this.name, name]);
    }
  }

  down(): Promise<void> {
    return Promise.reject(
      new Error('Migrations cannot be reversed. To go back, restore a backup made before this one.'),
    );
  }
}

export const table = (definition: string): Step => ({
  name: `table ${/^\w+/.exec(definition)?.[0] ?? ''}`,
  run: `CREATE TABLE IF NOT EXISTS ${definition} ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci`,
});

export async function hasColumn(q: QueryRunner, tableName: string, column: string): Promise<boolean> {
  const rows = (await q.query(
    `SELECT 1 FROM information_schema.columns WHERE table_schema = DATABASE() AND table_name = ? AND column_name = ?`,
    [tableName, column],
  )) as unknown[];
  return rows.length > 0;
}

export const hasTable = async (q: QueryRunner, tableName: string): Promise<boolean> =>
  (
    (await q.query(`SELECT 1 FROM information_schema.tables WHERE table_schema = DATABASE() AND table_name = ?`, [
      tableName,
    ])) as unknown[]
  ).length > 0;
