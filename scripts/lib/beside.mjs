// `npm run endure`: people and files that are heavy, slow or broken, beside a gardener who only looks and writes.
import { randomUUID } from 'node:crypto';
import { request } from 'node:http';
import { setTimeout as wait } from 'node:timers/promises';
import { outcome, writer } from './endure.mjs';
import { largeGarden } from './large-garden.mjs';

/** The gardener looks and writes again after this pause, ms. */
const PAUSE_MS = 250;
/** Bytes of a slow upload, and how often one of them is sent: 2 kB a second, above what is let go. */
const SLOW = { bytes: 400_000, everyMs: 100, part: 200 };
/** Side of a square picture that is larger than what is decoded. */
const BOMB_PX = 8000;

/** Sends a body so slowly that it does not arrive within the attack; the signal ends it. */
function slowUpload(w, url, cookie, signal) {
  const plan = encodeURIComponent(
    JSON.stringify({ table: 'weather', delimiter: ',', dateOrder: 'ymd', decimal: '.', name: 's', columns: [] }),
  );
  const sent = request(`${url}/api${w.at}/imports/${randomUUID()}?plan=${plan}`, {
    method: 'PUT',
    headers: { cookie, 'content-type': 'text/csv', 'content-length': SLOW.bytes },
    signal,
  });
  sent.on('error', () => {});
  const timer = setInterval(() => sent.write('a'.repeat(SLOW.part)), SLOW.everyMs);
  signal.addEventListener('abort', () => clearInterval(timer));
}

/** Repeats a piece of work until the signal ends; what is refused is expected. */
async function again(signal, work, pauseMs = 0) {
  while (!signal.aborted) {
    await work().catch(() => null);
    await wait(pauseMs);
  }
}

const drain = (answer) => answer?.arrayBuffer();

/** One who only uses the garden: every answer with its time and status. */
async function watchedGardener(url, signal) {
  const w = await writer(url);
  const heard = [];
  const ask = async (method, path, body) => {
    const from = performance.now();
    const answer = await w.send(method, path, body).catch(() => null);
    await drain(answer);
    heard.push({ ms: performance.now() - from, status: answer?.status ?? 0 });
  };
  while (!signal.aborted) {
    await ask('GET', `${w.at}/view`);
    await ask('GET', `${w.at}/plants/${w.plant}/view`);
    const note = {
      id: randomUUID(),
      type: 'note',
      plantId: w.plant,
      data: { date: '2026-07-18', text: 'looked over' },
    };
    await ask('PUT', `${w.at}/records`, note);
    await wait(PAUSE_MS);
  }
  return heard;
}

async function bomb() {
  const { default: sharp } = await import('sharp');
  return sharp({ create: { width: BOMB_PX, height: BOMB_PX, channels: 3, background: '#4a7a35' } })
    .png()
    .toBuffer();
}

/** A garden at its limits: 300 plants of five years ago with 60,000 records. */
async function heavyGarden(url, databaseUrl) {
  const { createConnection } = await import('mysql2/promise');
  const { addDays } = await import('@candid-leaf/core/units');
  const db = await createConnection(databaseUrl);
  const w = await writer(url);
  const send = async (method, path, body) => (await w.must(method, path, body)).text();
  const g = await largeGarden(send, db, addDays, { plants: 300, together: 10, records: 200 });
  await db.query('UPDATE plant SET transplantedOn = ? WHERE gardenId = ?', ['2021-08-01', g.id]);
  await db.end();
  return { w, at: g.at };
}

/**
 * Runs all of it at once for some seconds.
 * @returns its row; `help` counts the gardener's failed requests, `p95` is the slow end of the answers, ms
 */
export async function besideHeavyOnes(url, databaseUrl, ms) {
  const row = outcome('a gardener beside heavy gardens, slow uploads, photo bombs, a stuck phone');
  const heavy = [await heavyGarden(url, databaseUrl), await heavyGarden(url, databaseUrl)];
  const others = await Promise.all(Array.from({ length: 4 }, () => writer(url)));
  const picture = await bomb();
  const stop = new AbortController();
  const { signal } = stop;
  const work = [
    ...heavy.map(({ w, at }) =>
      again(signal, async () => {
        for (const path of ['/view', '/season', '/season/report', '/plan']) await drain(await w.send('GET', at + path));
        await w.send('PUT', `${at}/records`, {
          id: randomUUID(),
          type: 'rain-gauge',
          data: { date: '2026-07-18', mm: 3 },
        });
      }),
    ),
    ...others.map((w) =>
      again(signal, async () =>
        drain(await w.send('PUT', `${w.at}/photos/${randomUUID()}?plantId=${w.plant}&day=2026-07-18`, picture)),
      ),
    ),
    // a phone that sends the same broken write again and again
    again(
      signal,
      async () => drain(await others[0].send('PUT', `${others[0].at}/photos/${randomUUID()}`, Buffer.from('no photo'))),
      500,
    ),
  ];
  for (const w of others) slowUpload(w, url, w.cookie(), signal);
  const watched = watchedGardener(url, signal);
  await wait(ms);
  stop.abort();
  const heard = await watched;
  await Promise.all(work);
  row.tried = heavy.length + 2 * others.length + 1;
  row.writes = heard.filter((h) => h.status < 300).length;
  row.help = heard.filter((h) => h.status === 0 || h.status >= 500).length;
  const sorted = heard.map((h) => h.ms).sort((a, b) => a - b);
  row.p95 = Math.round(sorted[Math.floor(0.95 * sorted.length)] ?? Infinity);
  return row;
}
