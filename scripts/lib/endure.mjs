// The attacks of `npm run endure`, and how lost, doubled and stuck writes are counted.
import { spawn } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { mkdirSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import { ROOT } from './build.mjs';
import { freePort } from './port.mjs';
import { markOfDatabase } from './mariadb.mjs';
import { carriersOf, markOf } from './processes.mjs';

const WRITERS = 6;
/** A start on a busy machine with a slow disk, ms. */
const LONGEST_START_MS = 300_000;
/** Answers after which the same write is sent again: not now, no space, or changed at the same moment. */
const AGAIN = new Set([503, 507, 409]);
const TODAY = '2026-07-18';
const WATERINGS = {
  table: 'watering',
  delimiter: ',',
  dateOrder: 'ymd',
  decimal: '.',
  name: 'two.csv',
  columns: [
    { field: 'date', at: 0 },
    { field: 'plant', at: 1 },
    { field: 'litres', at: 2, unit: 'L' },
  ],
};

/** Result of one kind of attack. */
export const outcome = (what) => ({ what, tried: 0, writes: 0, lost: 0, doubled: 0, help: 0 });

/**
 * A person with a garden and a plant who sends each write until it is acknowledged.
 * @param urls servers; the next is asked if one does not answer
 */
export async function writer(urls) {
  const servers = [urls].flat();
  let turn = 0;
  const { GARDEN } = await import('@candid-leaf/demo');
  let cookie = '';
  const send = async (method, path, body) => {
    const answer = await fetch(`${servers[turn % servers.length]}/api${path}`, {
      method,
      headers: {
        'content-type': Buffer.isBuffer(body) ? 'application/octet-stream' : 'application/json',
        ...(cookie ? { cookie } : {}),
      },
      ...(body ? { body: Buffer.isBuffer(body) ? body : JSON.stringify(body) } : {}),
      signal: AbortSignal.timeout(30_000),
    });
    const set = answer.headers.getSetCookie().find((c) => c.startsWith('candid-leaf='));
    if (set) cookie = set.split(';')[0];
    return answer;
  };
  const must = async (method, path, body) => {
    for (let i = 0; ; i++) {
      const answer = await send(method, path, body).catch(() => null);
      if (answer?.ok) return answer;
      turn += 1;
      if (answer && !AGAIN.has(answer.status)) throw new Error(`${path}: ${answer.status} ${await answer.text()}`);
      if (i > 1800) throw new Error(`${path} was not answered within three minutes`);
      await wait(100);
    }
  };
  await must('POST', '/accounts', { email: `${randomUUID()}@halt.example`, password: 'holds under load', name: 'W' });
  const [garden, place, plant] = [randomUUID(), randomUUID(), randomUUID()];
  await must('PUT', '/gardens', { ...GARDEN, id: garden });
  const at = `/gardens/${garden}`;
  await must('PUT', `${at}/places`, { id: place, name: 'Pot', kind: 'container', texture: 'potting-mix', volumeL: 10 });
  await must('PUT', `${at}/plants`, { id: plant, placeId: place, name: 'P', crop: 'tomato' });
  return {
    send,
    must,
    cookie: () => cookie,
    at,
    garden,
    plant,
    acknowledged: new Map(),
    photos: [],
    files: 0,
    asked: 0,
  };
}

const note = (w) => {
  const id = randomUUID();
  return { id, type: 'note', plantId: w.plant, data: { date: TODAY, text: `${id} tied in, looked over` } };
};
const taken = (w, { id, data }) => w.acknowledged.set(id, data.text);

/** Writes until stopped: notes, sometimes two at once, a photo, or a file; each is sent until acknowledged, some once more. */
async function keepWriting(w, signal) {
  while (!signal.aborted) {
    w.asked += 1;
    const one = note(w);
    await w.must('PUT', `${w.at}/records`, one);
    taken(w, one);
    if (w.asked % 5 === 0) await w.must('PUT', `${w.at}/records`, one);
    if (w.asked % 4 === 0) await twoAtOnce(w);
    if (w.asked % 8 === 0) await photo(w);
    if (w.asked % 16 === 0) await file(w);
  }
}

/** Writes as a device that was offline does. */
async function twoAtOnce(w) {
  const two = [note(w), note(w)];
  const answer = await w.must('PUT', `${w.at}/records/several`, { records: two });
  const { answers } = await answer.json();
  for (const [i, a] of answers.entries()) if (a.record) taken(w, two[i]);
}

async function photo(w) {
  const id = randomUUID();
  await w.must('PUT', `${w.at}/photos/${id}?plantId=${w.plant}&day=${TODAY}`, await picture());
  w.photos.push(id);
}

let drawn = null;
/** A picture as a phone sends it, but smaller. */
const picture = () =>
  (drawn ??= import('sharp').then(({ default: sharp }) =>
    sharp({ create: { width: 64, height: 48, channels: 3, background: '#4a7a35' } })
      .jpeg()
      .toBuffer(),
  ));

/** A file of two waterings: in the end both are there, or neither. */
async function file(w) {
  const rows = Buffer.from(`date,plant,litres\n${TODAY},P,1\n${TODAY},P,2\n`);
  await w.must('PUT', `${w.at}/imports/${randomUUID()}?plan=${encodeURIComponent(JSON.stringify(WATERINGS))}`, rows);
  w.files += 1;
}

/** Runs writers during an attack; with several servers each writer begins at another. */
export async function underWrites(urls, row, attack) {
  const servers = [urls].flat();
  const from = (i) => [...servers.slice(i % servers.length), ...servers.slice(0, i % servers.length)];
  const writers = await Promise.all(Array.from({ length: WRITERS }, (_, i) => writer(from(i))));
  const stop = new AbortController();
  const work = writers.map((w) => keepWriting(w, stop.signal));
  let failed = null;
  const watched = Promise.all(work).catch((error) => (failed = error));
  try {
    await attack(() => failed, writers);
  } finally {
    stop.abort();
    await watched;
  }
  if (failed) {
    row.help += 1;
    process.stderr.write(`${row.what}: ${failed.message}\n`);
  }
  return writers;
}

/**
 * Returns whether everything acknowledged is there, once, and as it was sent.
 * @param photos the folder of the photos
 */
export async function count(databaseUrl, writers, row, photos) {
  const { createConnection } = await import('mysql2/promise');
  const db = await createConnection(databaseUrl);
  for (const w of writers) {
    const [rows] = await db.query("SELECT id, data FROM record WHERE gardenId = ? AND type = 'note'", [w.garden]);
    const found = new Map();
    for (const { id, data } of rows) {
      if (found.has(id)) row.doubled += 1;
      found.set(id, JSON.parse(data).text);
    }
    // each text is written under one id, so a text found twice was doubled
    row.doubled += rows.length - new Set(rows.map((r) => JSON.parse(r.data).text)).size;
    for (const [id, text] of w.acknowledged) if (found.get(id) !== text) row.lost += 1;
    const [pictures] = await db.query('SELECT id FROM photo WHERE gardenId = ?', [w.garden]);
    const there = new Set(pictures.map((p) => p.id));
    const whole = (id) =>
      ['', '-small'].every((size) => isFilled(join(photos, w.garden, `${id}${size}.jpg`))) && there.has(id);
    row.lost += w.photos.filter((id) => !whole(id)).length;
    const [[{ n }]] = await db.query(
      "SELECT COUNT(*) AS n FROM record WHERE gardenId = ? AND type = 'watering' AND deletedAt IS NULL",
      [w.garden],
    );
    row.lost += Math.max(0, 2 * w.files - n);
    // the last file may have arrived without an answer; more of it, or half of it, is a fault
    row.doubled += n > 2 * (w.files + 1) || n % 2 === 1 ? 1 : 0;
    row.writes += w.acknowledged.size + w.photos.length + w.files;
  }
  await db.end();
}

/** Returns whether a file is there, and not cut off before its first byte. */
const isFilled = (file) => (statSync(file, { throwIfNoEntry: false })?.size ?? 0) > 0;

/** Waits for a condition; if it takes too long, even on a busy machine, a person would have to help. */
export async function comesAbout(row, what, ms = 180_000) {
  for (const until = Date.now() + ms; Date.now() < until; await wait(50))
    if (await Promise.resolve(what()).catch(() => false)) return true;
  row.help += 1;
  return false;
}

export const answers = (url, path = '/api/ready') =>
  fetch(`${url}${path}`, { signal: AbortSignal.timeout(2000) }).then((r) => r.ok);

/** Runs `npm start` in its own folder until it prints something, then sends a signal; null: none. */
export async function startUntil(folder, words, how) {
  mkdirSync(folder, { recursive: true });
  const port = await freePort();
  const child = spawn(process.execPath, [join(ROOT, 'scripts/start.mjs')], {
    cwd: ROOT,
    env: { ...process.env, DATA_FOLDER: folder, PORT: String(port) },
    stdio: ['ignore', 'pipe', 'pipe'],
    detached: true,
  });
  let text = '';
  const said = new Promise((done, fail) => {
    const hear = (part) => {
      text += part;
      if (text.includes(words)) done();
    };
    child.stdout.on('data', hear);
    child.stderr.on('data', hear);
    child.once('exit', () => fail(new Error(`it ended before it said "${words}":\n${text}`)));
  });
  await Promise.race([
    said,
    wait(LONGEST_START_MS, undefined, { ref: false }).then(() =>
      Promise.reject(new Error(`it did not say "${words}":\n${text}`)),
    ),
  ]);
  const url = `http://127.0.0.1:${port}`;
  if (how !== null) child.kill(how);
  return { url, child };
}

/** Returns the running programs that a start of this folder began. */
export const programsOf = (folder) =>
  [markOf('server', folder), markOf('station', folder), markOfDatabase(join(folder, 'mariadb'))].flatMap(carriersOf);
