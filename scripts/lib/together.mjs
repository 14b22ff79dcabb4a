// With others and without signal, in numbers: many at once in a large garden, a file of fifty thousand rows, five hundred records that
// waited. For measuring only.
import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { performance } from 'node:perf_hooks';
import { setTimeout as wait } from 'node:timers/promises';
import { demoOnAPhone } from './demo-on-a-phone.mjs';
import { say } from './say.mjs';

const line = (what, figure) => say(`${what.padEnd(58)} ${figure}`);
const DAY = '2026-07-18';

/** Fifty people in one garden for a while, each looking and writing down every two to four seconds, as people do. */
export async function fiftyTogether(send, garden, seconds = 60) {
  const took = { look: [], write: [] };
  let errors = 0;
  const until = Date.now() + seconds * 1000;
  const timed = async (kind, work) => {
    const from = performance.now();
    await work().catch(() => (errors += 1));
    took[kind].push(performance.now() - from);
  };
  await Promise.all(
    Array.from({ length: 50 }, async (_, i) => {
      await wait(i * 60);
      for (let n = 0; Date.now() < until; n++) {
        const plant = garden.plants[(i * 7 + n) % garden.plants.length];
        if (n % 3 === 0) await timed('look', () => send('GET', `${garden.at}/view`));
        else if (n % 3 === 1) await timed('look', () => send('GET', `${garden.at}/plants/${plant}/view`));
        else
          await timed('write', () =>
            send('PUT', `${garden.at}/records`, {
              id: randomUUID(),
              type: 'note',
              plantId: plant,
              data: { date: DAY, text: 'Looked.' },
            }),
          );
        await wait(2000 + ((i * 37 + n * 101) % 2000));
      }
    }),
  );
  const p = (list, share) => list.sort((a, b) => a - b)[Math.floor(list.length * share)] ?? 0;
  for (const [kind, list] of Object.entries(took))
    line(
      `  fifty people for ${seconds} s, ${list.length} × ${kind}`,
      `median ${p(list, 0.5).toFixed(0)} ms   95 % ${p(list, 0.95).toFixed(0)} ms   aim under 400; ${errors} errors, aim none`,
    );
}

const memoryOf = (pid) => Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1] ?? 0) / 1024;

/** A file of fifty thousand waterings, and what it costs in memory. */
export async function largeFile(stack, cookie, garden, plantName) {
  const rows = 50_000;
  const days = Array.from({ length: 60 }, (_, i) => new Date(Date.UTC(2026, 4, 15 + i)).toISOString().slice(0, 10));
  const text = `date,plant,litres\n${Array.from({ length: rows }, (_, i) => `${days[i % days.length]},${plantName},1.${i % 10}`).join('\n')}\n`;
  const plan = {
    table: 'watering',
    delimiter: ',',
    dateOrder: 'ymd',
    decimal: '.',
    name: 'large.csv',
    columns: [
      { field: 'date', at: 0 },
      { field: 'plant', at: 1 },
      { field: 'litres', at: 2, unit: 'L' },
    ],
  };
  const id = randomUUID();
  const at = `${stack.url}/api/gardens/${garden}/imports/${id}`;
  const before = memoryOf(stack.pidOf('server'));
  let most = before;
  const watch = setInterval(() => (most = Math.max(most, memoryOf(stack.pidOf('server')))), 50);
  const from = performance.now();
  const answer = await fetch(`${at}?plan=${encodeURIComponent(JSON.stringify(plan))}`, {
    method: 'PUT',
    headers: { cookie, 'content-type': 'text/csv' },
    body: text,
  });
  const took = performance.now() - from;
  clearInterval(watch);
  const report = await answer.json();
  line(
    `A file of ${report.good?.toLocaleString('en') ?? JSON.stringify(report)} rows brought in`,
    `${(took / 1000).toFixed(1)} s   aim under 20; memory from ${before.toFixed(0)} to at most ${most.toFixed(0)} MB`,
  );
  const back = performance.now();
  await fetch(at, { method: 'DELETE', headers: { cookie } });
  line('  and undone', `${((performance.now() - back) / 1000).toFixed(1)} s`);
}

/** In the browser: five hundred records that waited. */
export async function afterNoSignal(url, account) {
  const { browser, context, page } = await demoOnAPhone(url, account);
  const gardenId = /gardens\/([^/?]+)/.exec(page.url())[1];
  const view = await (await page.request.get(`/api/gardens/${gardenId}/view`)).json();
  const plantId = view.places.find((p) => p.plants.length > 0).plants[0].plant.id;

  await context.setOffline(true);
  await page.evaluate(
    ({ gardenId, plantId, ids, day }) =>
      new Promise((done, fail) => {
        const opening = globalThis.indexedDB.open('candid-leaf');
        opening.onerror = fail;
        opening.onsuccess = () => {
          const store = opening.result.transaction('outbox', 'readwrite').objectStore('outbox');
          for (const id of ids)
            store.add({
              account: globalThis.localStorage.getItem('candid-leaf:account'),
              key: 'record.save',
              input: { gardenId, record: { id, type: 'note', plantId, data: { date: day, text: 'Looked.' } } },
              label: 'Note',
              at: Date.now(),
              tab: 'bench',
              state: 'waiting',
            });
          store.transaction.oncomplete = done;
        };
      }),
    { gardenId, plantId, ids: Array.from({ length: 500 }, () => randomUUID()), day: DAY },
  );
  const left = () =>
    page.evaluate(
      () =>
        new Promise((done) => {
          const opening = globalThis.indexedDB.open('candid-leaf');
          opening.onsuccess = () => {
            const asked = opening.result.transaction('outbox').objectStore('outbox').count();
            asked.onsuccess = () => done(asked.result);
          };
        }),
    );
  const from = performance.now();
  await context.setOffline(false);
  while ((await left()) > 0) await wait(100);
  line('500 records that waited, sent', `${((performance.now() - from) / 1000).toFixed(1)} s   aim under 10`);
  await context.close();

  await browser.close();
}
