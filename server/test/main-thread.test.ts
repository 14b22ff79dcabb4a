import { AsyncLocalStorage } from 'node:async_hooks';
import { startHoseTimer, type HoseTimer } from '@candid-leaf/standins';
import { Snapshots } from '../src/assessment/snapshots.service.js';
import { Workers } from '../src/shared/workers.js';
import { v7 as uuid } from 'uuid';
import { startApp, type App } from './app.js';
import { pathOf, ROUTES, worldOf } from './route-table.js';

/**
 * Reading a whole garden, and computing over it, belongs to the worker threads: on the main thread one large garden would
 * keep everyone waiting. Here the workers run in the same thread, so that what is done outside of them can be seen.
 */
let app: App;
let timer: HoseTimer;
beforeAll(async () => {
  timer = await startHoseTimer();
  app = await startApp({ timerHosts: [timer.url], smtpUrl: 'smtp://127.0.0.1:9', publicUrl: 'http://leaf.example' });
});
afterAll(async () => {
  await app.stop();
  await timer.close();
});

test('no route reads a whole garden on the main thread', async () => {
  const { agent, w } = await worldOf(app, timer.url);
  const inWorker = new AsyncLocalStorage<true>();
  const workers = app.service(Workers);
  const run = workers.run.bind(workers);
  workers.run = (name, args) => inWorker.run(true, () => run(name, args));
  const snapshots = app.service(Snapshots);
  const outside: string[] = [];
  let route = '';
  let read = 0;
  for (const method of ['load', 'asOf'] as const) {
    const original = snapshots[method].bind(snapshots) as (...args: unknown[]) => unknown;
    (snapshots as unknown as Record<string, unknown>)[method] = (...args: unknown[]) => {
      read += 1;
      if (!inWorker.getStore()) outside.push(route);
      return original(...args);
    };
  }
  const asked = Object.entries(ROUTES).filter(([at, row]) => at.includes(':gardenId') && row.last === undefined);
  for (const [at, row] of asked) {
    route = at;
    const method = at.split(' ')[0]!.toLowerCase() as 'get' | 'put' | 'post' | 'delete';
    const request = agent[method](pathOf(at, w));
    await (row.body ? request.send(row.body(w)) : request);
  }
  // what links open without an account
  const linked = async (path: string, body: object): Promise<string> => {
    const made = await agent.post(`/api/gardens/${w.gardenId}/${path}`).send(body).expect(200);
    return (made.body as { path: string }).path.split('#').at(-1)!;
  };
  route = 'a calendar link';
  const calendar = await linked('calendar', {});
  await app
    .http()
    .get(calendar.startsWith('/') ? calendar : `/api/calendars/${calendar}/garden.ics`)
    .expect(200);
  route = 'a watering list';
  const list = await linked('watering-lists', { id: uuid(), name: 'Mia', from: '2026-07-18', to: '2026-07-25' });
  await app.http().get(`/api/watering/${list}`).expect(200);
  expect(read).toBeGreaterThan(10);
  expect(outside).toEqual([]);
});
