import { createConnection, type Connection } from 'mysql2/promise';
import { DataSource, type QueryRunner } from 'typeorm';
import { v7 as uuid } from 'uuid';
import { dataSourceOptions } from '../src/database/data-source.js';
import { SteppedMigration } from '../src/database/migrations/stepped.js';
import { openMigrated } from '../src/database/migrate.js';
import { databaseRoot } from './app.js';

/**
 * Migrations that are killed at a statement, before it or after it, and begun again. Every statement with KILL_EVERY=1; else some
 * from the beginning, the middle and the end.
 */
const EVERY = Number(process.env.KILL_EVERY ?? 48);

let db: Connection;
const names: string[] = [];
beforeAll(async () => {
  jest.spyOn(console, 'log').mockImplementation(); // each killing would be told
  const root = databaseRoot();
  db = await createConnection(root);
});
afterAll(async () => {
  for (const name of names) await db.query(`DROP DATABASE IF EXISTS ${name}`);
  await db.end();
});

async function emptyDatabase(): Promise<string> {
  const name = `candid_leaf_${uuid().replaceAll('-', '')}`;
  names.push(name);
  await db.query(`CREATE DATABASE ${name}`);
  const url = new URL(databaseRoot());
  url.pathname = `/${name}`;
  return url.toString();
}

class Killed extends Error {}

/** Runs the migrations up to a statement; gives back how many there were. */
async function migrateUntil(url: string, last: number, when: 'before' | 'after'): Promise<number> {
  const source = new DataSource(dataSourceOptions(url));
  await source.initialize();
  let n = 0;
  const make = source.createQueryRunner.bind(source);
  source.createQueryRunner = (...args) => {
    const runner: QueryRunner = make(...args);
    const query = runner.query.bind(runner) as (...q: unknown[]) => Promise<unknown>;
    runner.query = (async (...q: unknown[]) => {
      n += 1;
      if (n === last && when === 'before') throw new Killed();
      const answer = await query(...q);
      if (n === last && when === 'after') throw new Killed();
      return answer;
    }) as QueryRunner['query'];
    return runner;
  };
  try {
    await source.runMigrations({ transaction: 'none' });
  } catch (error) {
    if (!(error instanceof Killed)) throw error;
  } finally {
    await source.destroy();
  }
  return n;
}

/** The tables as they stand, column by column, index by index. */
async function shapeOf(url: string): Promise<unknown> {
  const schema = new URL(url).pathname.slice(1);
  const [columns] = await db.query(
    `SELECT table_name, column_name, column_type, is_nullable, column_default, collation_name FROM information_schema.columns
     WHERE table_schema = ? ORDER BY table_name, column_name`,
    [schema],
  );
  const [indexes] = await db.query(
    `SELECT table_name, index_name, seq_in_index, column_name, non_unique FROM information_schema.statistics
     WHERE table_schema = ? ORDER BY table_name, index_name, seq_in_index`,
    [schema],
  );
  const [checks] = await db.query(
    `SELECT constraint_name, check_clause FROM information_schema.check_constraints WHERE constraint_schema = ? ORDER BY constraint_name`,
    [schema],
  );
  return { columns, indexes, checks };
}

test('killed before or after a statement, they start again and end with the same tables', async () => {
  const whole = await emptyDatabase();
  const statements = await migrateUntil(whole, Infinity, 'before');
  expect(statements).toBeGreaterThan(60);
  const shape = await shapeOf(whole);
  const tried: string[] = [];
  for (let n = 2; n <= statements; n += EVERY)
    for (const when of ['before', 'after'] as const) {
      const url = await emptyDatabase();
      await migrateUntil(url, n, when);
      const source = await openMigrated(dataSourceOptions(url));
      await source.destroy();
      expect([n, when, await shapeOf(url)]).toEqual([n, when, shape]);
      tried.push(`${n} ${when}`);
      await db.query(`DROP DATABASE ${new URL(url).pathname.slice(1)}`);
    }
  if (process.env.KILL_EVERY) process.stdout.write(`\nkilled at ${tried.length} places of ${statements} statements\n`);
}, 600_000);

test('a completed step does not run again: a later one may have removed what it needs', async () => {
  const source = new DataSource(dataSourceOptions(await emptyDatabase()));
  await source.initialize();
  const runner = source.createQueryRunner();
  let broken = true;
  class Two extends SteppedMigration {
    readonly name = 'Two';
    protected readonly steps = [
      { name: 'one', run: 'CREATE TABLE made (n int)' },
      { name: 'two', run: () => (broken ? Promise.reject(new Error('killed')) : Promise.resolve()) },
    ];
  }
  await expect(new Two().up(runner)).rejects.toThrow('killed');
  broken = false;
  await new Two().up(runner); // making the table twice would fail
  await expect(new Two().down()).rejects.toThrow(/restore a backup/);
  await runner.release();
  await source.destroy();
});

test('many processes starting at once: one migrates, the others wait and find it done', async () => {
  const url = await emptyDatabase();
  const sources = await Promise.all(Array.from({ length: 4 }, () => openMigrated(dataSourceOptions(url))));
  const rows = await sources[0]!.query<{ name: string }[]>('SELECT name FROM migrations');
  expect(rows).toHaveLength(sources[0]!.migrations.length);
  await Promise.all(sources.map((s) => s.destroy()));
});
