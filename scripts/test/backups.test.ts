import { spawnSync } from 'node:child_process';
import {
  appendFileSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { createConnection, type Connection } from 'mysql2/promise';

/** Copies of the database: made, checked, put back, and refused where they are not what they were. */
const ROOT = join(__dirname, '../..');
const name = `candid_leaf_${process.pid}_copies`;
let db: Connection;
let url: string;
let folder: string;
beforeEach(async () => {
  const root = process.env.TEST_DATABASE_URL;
  if (!root) throw new Error('TEST_DATABASE_URL is not set: run the tests with npm test');
  url = Object.assign(new URL(root), { pathname: `/${name}` }).toString();
  const make = await createConnection(root);
  await make.query(`DROP DATABASE IF EXISTS ${name}`);
  await make.query(`CREATE DATABASE ${name} CHARACTER SET utf8mb4`);
  await make.end();
  db = await createConnection(url);
  await db.query('CREATE TABLE garden (id uuid PRIMARY KEY, name varchar(80), size double NULL)');
  await db.query(
    'CREATE TABLE record (id int PRIMARY KEY, gardenId uuid, data longtext, FOREIGN KEY (gardenId) REFERENCES garden(id))',
  );
  await db.query('CREATE TABLE session (session_id varchar(20), data text)');
  await db.query(
    "INSERT INTO garden VALUES (UUID(), 'Grüße 🍅 \\'quoted\\' # und\nmehr', 0.1), (UUID(), 'NULL', NULL), (UUID(), NULL, 1e-7)",
  );
  await db.query("INSERT INTO session VALUES ('secret', 'of somebody')");
  folder = mkdtempSync(join(tmpdir(), 'copies-'));
});
afterEach(async () => {
  const [rows] = (await db.query(`SHOW DATABASES LIKE '${name}%'`)) as unknown as [Record<string, string>[]];
  for (const row of rows) await db.query(`DROP DATABASE \`${Object.values(row)[0]!}\``);
  await db.end();
  rmSync(folder, { recursive: true });
});

const run = (script: string, ...args: string[]) => {
  const done = spawnSync(process.execPath, [join(ROOT, `scripts/${script}.mjs`), ...args], {
    cwd: ROOT,
    encoding: 'utf8',
    env: { ...process.env, DATABASE_URL: url },
  });
  return { code: done.status, out: done.stdout, err: done.stderr };
};
const copyIn = () =>
  join(
    folder,
    readdirSync(folder).find((f) => f.endsWith('.sql.gz'))!,
  );
const all = async (table: string) => (await db.query(`SELECT * FROM ${table} ORDER BY 1`))[0];
const databases = async () =>
  ((await db.query(`SHOW DATABASES LIKE '${name}%'`)) as unknown as [Record<string, string>[]])[0].map(
    (r) => Object.values(r)[0]!,
  );

test('photos are copied once each and restored; a damaged copy stops the whole restore', async () => {
  const photos = mkdtempSync(join(tmpdir(), 'photos-'));
  process.env.PHOTOS = photos;
  try {
    await db.query('CREATE TABLE photo (id uuid PRIMARY KEY, gardenId uuid, deletedAt datetime NULL)');
    const [garden, kept, thrown] = ['a', 'b', 'c'].map((l) => `00000000-0000-7000-8000-00000000000${l}`) as [
      string,
      string,
      string,
    ];
    await db.query('INSERT INTO photo VALUES (?, ?, NULL), (?, ?, NOW())', [kept, garden, thrown, garden]);
    mkdirSync(join(photos, garden));
    for (const id of [kept, thrown])
      for (const size of ['', '-small'])
        writeFileSync(join(photos, garden, `${id}${size}.jpg`), `picture ${id}${size}`);
    expect(run('backup', folder).out).toContain('1 photos');
    expect(readdirSync(join(folder, 'photos', garden)).sort()).toEqual([`${kept}-small.jpg`, `${kept}.jpg`]);
    const stored = join(folder, 'photos', garden, `${kept}.jpg`);
    const { ino } = statSync(stored);
    expect(run('backup', folder)).toMatchObject({ code: 0, err: '' });
    expect(statSync(stored).ino).toBe(ino); // what is there already is not copied again

    rmSync(join(photos, garden, `${kept}.jpg`));
    writeFileSync(join(photos, garden, 'later.jpg'), 'of later');
    const back = run('restore', copyIn());
    expect([back.code, back.err]).toEqual([0, '']);
    expect(readFileSync(join(photos, garden, `${kept}.jpg`), 'utf8')).toBe(`picture ${kept}`);
    expect(existsSync(join(photos, garden, 'later.jpg'))).toBe(true);

    appendFileSync(stored, 'x');
    const refused = run('restore', copyIn());
    expect(refused.code).not.toBe(0);
    expect(refused.err).toContain('damaged or changed');
  } finally {
    delete process.env.PHOTOS;
    rmSync(photos, { recursive: true });
  }
});

test('a copy is compared with its source, and restores it exactly; what stood there is set aside', async () => {
  const before = await all('garden');
  const made = run('backup', folder);
  expect([made.code, made.err]).toEqual([0, '']);
  expect(made.out).toMatch(/garden +3 rows/);
  expect(made.out).toMatch(/compared: the same/);
  const copy = copyIn();
  // whoever reads it reads everything: it is the owner's alone, and holds nobody's session
  expect(statSync(copy).mode & 0o077).toBe(0);
  expect(spawnSync('gunzip', ['-c', copy], { encoding: 'utf8' }).stdout).not.toContain('of somebody');
  expect(JSON.parse(readFileSync(join(folder, 'last.json'), 'utf8'))).toHaveProperty('madeAt');
  expect(await databases()).toEqual([name]); // the one it was checked in is gone

  await db.query("UPDATE garden SET name = 'spoilt'");
  await db.query('INSERT INTO record SELECT 1, id, "later" FROM garden LIMIT 1');
  const back = run('restore', copy);
  expect([back.code, back.err]).toEqual([0, '']);
  expect(await all('garden')).toEqual(before);
  expect(await all('record')).toEqual([]);
  expect(await all('session')).toEqual([]);
  const aside = (await databases()).find((d) => d.includes('_before_'))!;
  expect(back.out).toContain(aside);
  expect(((await db.query(`SELECT COUNT(*) AS n FROM ${aside}.record`))[0] as { n: number }[])[0]!.n).toBe(1);
});

test('a damaged or foreign copy is refused, and nothing changes', async () => {
  expect(run('backup', folder)).toMatchObject({ code: 0, err: '' });
  const copy = copyIn();
  const manifest = readFileSync(`${copy}.json`, 'utf8');
  await db.query("UPDATE garden SET name = 'as it is now'");
  const now = await all('garden');
  const refused = (word: RegExp) => {
    const done = run('restore', copy);
    expect(done.code).toBe(1);
    expect(done.err).toMatch(word);
    expect(done.err).not.toMatch(/\n\s+at /);
  };
  // one row more than the manifest knows of: the sums do not agree
  writeFileSync(`${copy}.json`, manifest.replace('3 rows', '4 rows'));
  refused(/What was loaded is not what was copied \(garden\)/);
  rmSync(`${copy}.json`);
  refused(/is missing/);
  writeFileSync(`${copy}.json`, manifest);
  appendFileSync(copy, 'x');
  refused(/was damaged or changed/);
  expect(run('restore', join(folder, 'nothing.gz')).err).toMatch(/there is no such file/);
  expect(run('restore').err).toMatch(/usage/);
  expect(await all('garden')).toEqual(now);
  expect(await databases()).toEqual([name]);
});

test('a failed copy leaves nothing that looks like one', () => {
  const done = spawnSync(process.execPath, [join(ROOT, 'scripts/backup.mjs'), folder], {
    cwd: ROOT,
    encoding: 'utf8',
    env: { ...process.env, DATABASE_URL: url.replace(name, `${name}_none`) },
  });
  expect(done.status).toBe(1);
  expect(existsSync(join(folder, 'last.json'))).toBe(false);
  expect(readdirSync(folder)).toEqual([]);
});
