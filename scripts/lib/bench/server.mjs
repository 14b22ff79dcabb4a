import { readFileSync } from 'node:fs';
import { randomUUID } from 'node:crypto';
import { performance } from 'node:perf_hooks';
import { setTimeout as wait } from 'node:timers/promises';
import { writer } from '../endure.mjs';
import { largeGarden } from '../large-garden.mjs';
import { say } from '../say.mjs';
import { row, timed } from './timed.mjs';

/** Asks as somebody who is signed in; what is not answered well is an error. */
export const senderOf = (stack, cookie) => async (method, path, body) => {
  const answer = await fetch(`${stack.url}/api${path}`, {
    method,
    headers: { cookie, 'content-type': 'application/json' },
    ...(body ? { body: JSON.stringify(body) } : {}),
  });
  const text = await answer.text();
  if (!answer.ok) throw new Error(`${path}: ${answer.status} ${text}`);
  return text;
};

/** Gardens larger than most, and ten who ask at once; what others wait meanwhile, and what it costs in memory. */
export async function largeGardens(stack, cookie, core) {
  const { createConnection } = await import('mysql2/promise');
  const db = await createConnection(stack.databaseUrl);
  const send = senderOf(stack, cookie);
  let waited = 0;
  let watching = true;
  let measuring = false; // not while we ourselves are busy making rows
  const watch = (async () => {
    while (watching) {
      const asked = performance.now();
      await fetch(`${stack.url}/api/health`);
      if (measuring) waited = Math.max(waited, performance.now() - asked);
      await wait(5);
    }
  })();
  for (const [plants, records, seasons] of [
    [30, 200, 1],
    [300, 200, 1],
    [300, 20, 10],
  ]) {
    const g = await largeGarden(send, db, core.addDays, { plants, together: 10, records, seasons });
    const name = `${plants} plants, ${g.records.toLocaleString('en')} records, ${seasons === 1 ? 'one season' : `${seasons} seasons`}`;
    const view = () => send('GET', `${g.at}/view`);
    const water = (i) =>
      send('PUT', `${g.at}/records`, {
        id: randomUUID(),
        type: 'watering',
        plantId: g.plants[i % g.plants.length],
        data: { date: '2026-07-18', litres: 1 },
      });
    await wait(20);
    measuring = true;
    const from = performance.now();
    await view();
    say(`\n${name}: read and computed for the first time in ${((performance.now() - from) / 1000).toFixed(2)} s`);
    row('  its view again', await timed(20, view), 'under 60');
    const after = [];
    for (let i = 0; i < 20; i++) {
      await water(i * 7);
      const begun = performance.now();
      await view();
      after.push(performance.now() - begun);
    }
    after.sort((x, y) => x - y);
    row('  its view right after a write', { median: after[10], p95: after[18] }, 'under 150');
    row('  a plant’s page', await timed(20, () => send('GET', `${g.at}/plants/${g.plants[3]}/view`)), 'under 60');
    await water(5);
    const ten = performance.now();
    await Promise.all(Array.from({ length: 10 }, view));
    say(
      `${'  ten at once after a write, the last'.padEnd(58)} ${(performance.now() - ten).toFixed(0)} ms   aim under 1000`,
    );
    await send('GET', `${g.at}/plan`); // what-ifs are tried once and kept
    row('  the week of all its places', await timed(5, () => send('GET', `${g.at}/plan`)), 'under 300');
    measuring = false;
  }
  watching = false;
  await watch;
  await db.end();
  const memory = /VmHWM:\s+(\d+)/.exec(readFileSync(`/proc/${stack.pidOf('server')}/status`, 'utf8'))?.[1];
  say(`${'Meanwhile a health check waited at most'.padEnd(58)} ${waited.toFixed(0)} ms   aim under 100`);
  say(`${'The most memory that the server took'.padEnd(58)} ${(Number(memory) / 1024).toFixed(0)} MB   aim under 400`);
}

/** Fifty people, each with a garden, who write one record after the other. */
export async function manyWriters(url, seconds = 20) {
  const writers = [];
  for (let i = 0; i < 50; i++) writers.push(await writer(url));
  const took = [];
  let errors = 0;
  const until = Date.now() + seconds * 1000;
  await Promise.all(
    writers.map(async (w) => {
      while (Date.now() < until) {
        const from = performance.now();
        const answer = await w
          .send('PUT', `${w.at}/records`, {
            id: randomUUID(),
            type: 'watering',
            plantId: w.plant,
            data: { date: '2026-07-18', litres: 1 },
          })
          .catch(() => null);
        took.push(performance.now() - from);
        if (!answer?.ok) errors += 1;
        await answer?.text();
      }
    }),
  );
  took.sort((a, b) => a - b);
  say(
    `${`\nFifty writers for ${seconds} s: ${took.length.toLocaleString('en')} writes, ${errors} errors`.padEnd(58)} median ${took[took.length >> 1].toFixed(0)} ms   95 % ${took[Math.floor(took.length * 0.95)].toFixed(0)} ms   aim no error, under 400`,
  );
}
