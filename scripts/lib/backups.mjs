// Copies of the database: made, checked by restoring them into a database beside it, and put back.
import { spawn } from 'node:child_process';
import { createHash } from 'node:crypto';
import {
  chmodSync,
  createReadStream,
  createWriteStream,
  existsSync,
  mkdirSync,
  readFileSync,
  renameSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import { basename, dirname, join } from 'node:path';
import { pipeline } from 'node:stream/promises';
import { createGunzip, createGzip } from 'node:zlib';
import { checkPhotos, copyPhotos, putPhotosBack } from './photo-copies.mjs';
import { Plain } from './say.mjs';

/** Tables that are not backed up: sessions (everyone signs in again) and counted tries. */
const NOT_KEPT = ['session', 'login_attempt'];
const stamp = () => new Date().toISOString().replaceAll(':', '-');

const connect = async (url) =>
  (await import('mysql2/promise')).createConnection({ uri: url, multipleStatements: false });
const nameIn = (url) => new URL(url).pathname.slice(1);
const withDatabase = (url, name) => Object.assign(new URL(url), { pathname: `/${name}` }).toString();

async function tablesOf(db) {
  const [rows] = await db.query(
    `SELECT table_name AS name FROM information_schema.tables WHERE table_schema = DATABASE() AND table_type = 'BASE TABLE' ORDER BY 1`,
  );
  return rows.map((r) => r.name);
}

/** Returns rows and a checksum of each table; equal only if the content is equal. */
async function sumsOf(db) {
  const sums = {};
  for (const table of (await tablesOf(db)).filter((t) => !NOT_KEPT.includes(t))) {
    const [columns] = await db.query(
      `SELECT column_name AS name FROM information_schema.columns WHERE table_schema = DATABASE() AND table_name = ? ORDER BY ordinal_position`,
      [table],
    );
    const row = `CRC32(CONCAT_WS('#', ${columns.map((c) => `QUOTE(\`${c.name}\`)`).join(', ')}))`;
    const [[{ n, x, s }]] = await db.query(
      `SELECT COUNT(*) AS n, COALESCE(BIT_XOR(${row}), 0) AS x, COALESCE(SUM(${row}), 0) AS s FROM \`${table}\``,
    );
    sums[table] = `${n} rows, ${x}-${s}`;
  }
  return sums;
}

function differences(a, b) {
  return [...new Set([...Object.keys(a), ...Object.keys(b)])].filter((t) => a[t] !== b[t]);
}

/** Returns a database client; its password is not visible in the process list. */
function client(program, url, args) {
  const at = new URL(url);
  return spawn(
    program,
    [
      '--no-defaults',
      `--host=${at.hostname}`,
      `--port=${at.port || 3306}`,
      `--user=${decodeURIComponent(at.username)}`,
      '--protocol=tcp',
      ...args,
    ],
    { env: { ...process.env, MYSQL_PWD: decodeURIComponent(at.password) }, stdio: ['pipe', 'pipe', 'pipe'] },
  );
}

const ended = (child, what) =>
  new Promise((done, fail) => {
    let words = '';
    child.stderr.on('data', (part) => (words += part));
    child.once('error', (error) => fail(new Plain(`${what} could not be run: ${error.message}`)));
    child.once('close', (code) => (code === 0 ? done() : fail(new Plain(`${what} failed: ${words.trim()}`))));
  });

async function fingerprint(file) {
  const hash = createHash('sha256');
  await pipeline(createReadStream(file), hash);
  return hash.digest('hex');
}

/** Loads a backup into a database of its own and returns what it contains. */
async function loadInto(url, name, file) {
  const db = await connect(url);
  await db.query(`CREATE DATABASE \`${name}\``);
  await db.end();
  const loader = client('mariadb', url, [name]);
  const done = ended(loader, 'Loading the copy');
  done.catch(() => {});
  // a loader that gave up says why; its broken pipe is no news
  await pipeline(createReadStream(file), createGunzip(), loader.stdin).catch((error) => {
    if (!['EPIPE', 'ERR_STREAM_PREMATURE_CLOSE'].includes(error.code))
      throw new Plain(`The copy cannot be read: ${error.message}`);
  });
  await done;
  const loaded = await connect(withDatabase(url, name));
  try {
    return await sumsOf(loaded);
  } finally {
    await loaded.end();
  }
}

async function drop(url, name) {
  const db = await connect(url);
  await db.query(`DROP DATABASE IF EXISTS \`${name}\``);
  await db.end();
}

/**
 * Backs up a database that may be in use, and checks the backup: loads it into a second database and compares it row by row with what
 * the first contained at that moment.
 * @param photos the folder of the photos, which are copied beside it
 * @returns the file, the sums of its tables, and the photos
 */
export async function makeBackup(url, folder, photos) {
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  chmodSync(folder, 0o700);
  const file = join(folder, `candid-leaf-${stamp()}.sql.gz`);
  const partial = `${file}.partial`;
  const name = nameIn(url);
  const check = `${name}_check_${process.pid}`;
  const [writers, reader] = [await connect(url), await connect(url)];
  try {
    // no one writes while the backup and its reader open the same snapshot; then writing continues
    const tables = await tablesOf(writers);
    if (tables.length === 0) throw new Plain('There is nothing in this database yet.');
    await writers.query(`LOCK TABLES ${tables.map((t) => `\`${t}\` READ`).join(', ')}`);
    await reader.query('START TRANSACTION WITH CONSISTENT SNAPSHOT, READ ONLY');
    const dump = client('mariadb-dump', url, [
      '--single-transaction',
      '--skip-lock-tables',
      '--hex-blob',
      '--no-tablespaces',
      ...NOT_KEPT.map((t) => `--ignore-table-data=${name}.${t}`),
      name,
    ]);
    const done = ended(dump, 'The copy');
    done.catch(() => {});
    // read from the start: Node.js throws away what a process has said when it ends before anyone listens
    const written = pipeline(dump.stdout, createGzip(), createWriteStream(partial, { mode: 0o600 }));
    written.catch(() => {});
    // its first output comes after it has opened its snapshot
    await Promise.race([new Promise((first) => dump.stdout.once('data', first)), done]);
    await writers.query('UNLOCK TABLES');
    // photos of the same moment: deleted ones stay on disk for a month
    const sums = sumsOf(reader).then(async (tables) => ({
      tables,
      pictures: await copyPhotos(reader, photos, folder),
    }));
    sums.catch(() => {});
    await written;
    await done;
    const { tables: held, pictures } = await sums;
    const copied = await loadInto(url, check, partial);
    const wrong = differences(held, copied);
    if (wrong.length > 0)
      throw new Plain(`The copy is not the same as what it was made of (${wrong.join(', ')}). It was thrown away.`);
    const manifest = {
      madeAt: new Date().toISOString(),
      sha256: await fingerprint(partial),
      tables: held,
      photos: pictures.sums,
    };
    writeFileSync(`${file}.json`, `${JSON.stringify(manifest, null, 1)}\n`, { mode: 0o600 });
    renameSync(partial, file);
    // the server reads the age of the last backup here
    writeFileSync(join(folder, 'last.json'), JSON.stringify({ madeAt: manifest.madeAt, file: basename(file) }), {
      mode: 0o600,
    });
    return {
      file,
      tables: held,
      bytes: statSync(file).size,
      // two files each
      photos: Object.keys(pictures.sums).length / 2,
      missing: pictures.missing,
    };
  } finally {
    rmSync(partial, { force: true });
    writers.destroy();
    reader.destroy();
    await drop(url, check).catch(() => {});
  }
}

/**
 * Restores a backup. What the database holds is not deleted but set aside in a database with a dated name.
 * @param photos the folder its photos are restored into
 * @returns the name it was set aside under, and how many photos were restored
 */
export async function restoreBackup(url, file, photos) {
  if (!existsSync(file)) throw new Plain(`${file}: there is no such file.`);
  const manifestFile = `${file}.json`;
  if (!existsSync(manifestFile))
    throw new Plain(`${manifestFile} is missing: without it nobody can say whether the copy is whole.`);
  const manifest = JSON.parse(readFileSync(manifestFile, 'utf8'));
  if ((await fingerprint(file)) !== manifest.sha256)
    throw new Plain(`${file} is not as it was when it was made: it was damaged or changed. Nothing was touched.`);
  checkPhotos(manifest.photos, dirname(file));
  const name = nameIn(url);
  const fresh = `${name}_restore_${process.pid}`;
  const aside = `${name}_before_${stamp().replace(/\W/g, '_')}`;
  try {
    const wrong = differences(manifest.tables, await loadInto(url, fresh, file));
    if (wrong.length > 0)
      throw new Plain(`What was loaded is not what was copied (${wrong.join(', ')}). Nothing was touched.`);
    const [db, loaded] = [await connect(url), await connect(withDatabase(url, fresh))];
    const [old, now] = [await tablesOf(db), await tablesOf(loaded)];
    await loaded.end();
    await db.query(`CREATE DATABASE \`${aside}\``);
    const moves = [
      ...old.map((t) => `\`${name}\`.\`${t}\` TO \`${aside}\`.\`${t}\``),
      ...now.map((t) => `\`${fresh}\`.\`${t}\` TO \`${name}\`.\`${t}\``),
    ];
    // pictures without rows do no harm; rows without pictures would
    const back = putPhotosBack(manifest.photos, dirname(file), photos);
    // all or none
    await db.query(`RENAME TABLE ${moves.join(', ')}`);
    await db.end();
    return { aside, photos: back };
  } finally {
    await drop(url, fresh).catch(() => {});
  }
}
