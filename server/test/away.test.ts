import { setTimeout as wait } from 'node:timers/promises';
import { v7 as uuid } from 'uuid';
import { Sweep } from '../src/accounts/sweep.service.js';
import { Pulse } from '../src/health/pulse.service.js';
import { WeatherService } from '../src/weather/weather.service.js';
import { databaseRoot, startApp, useStarted } from './app.js';
import { flakyLink } from './flaky-link.js';
import { gardenOf } from './gardening.js';

/** The database goes away, and comes back. */
const each = { before: beforeEach, after: afterEach };
const link = useStarted(
  () => flakyLink(databaseRoot()),
  async () => undefined,
  each,
);
const app = useStarted(
  () => startApp({}, link.url),
  async (running) => {
    link.mend();
    await running.stop();
    await link.close();
  },
  each,
);

const until = async (what: () => Promise<boolean>): Promise<void> => {
  for (let i = 0; !(await what()); i++) {
    if (i > 200) throw new Error('it did not come about within ten seconds');
    await wait(50);
  }
};

test('without the database every answer is 503 with a time to retry, health says so, static files still work; then everything recovers', async () => {
  const g = await gardenOf(app);
  const plant = await g.plant(await g.place({}));
  const water = (id: string) =>
    g.agent
      .put(g.url('/records'))
      .send({ id, type: 'watering', plantId: plant, data: { date: '2026-07-18', litres: 1 } });
  link.cut();
  const id = uuid();
  for (const answer of [
    await water(id),
    await g.agent.get(g.url('/view')),
    await app.http().post('/api/session').send({ email: 'x@halt.example', password: 'wrong' }),
  ]) {
    expect([answer.status, answer.body.message]).toEqual([
      503,
      expect.stringMatching(/can’t reach the records right now/),
    ]);
    expect(Number(answer.headers['retry-after'])).toBeGreaterThan(0);
  }
  // what runs by the clock is left for the next time
  await app.service(Sweep).sweep();
  await app.service(WeatherService).pullAll();
  await app.service(Pulse).feel();
  const sick = await app.http().get('/api/health').expect(503);
  expect(sick.body).toMatchObject({ ok: false, database: 'away' });
  await app.http().get('/api/ready').expect(503);

  link.mend();
  await until(async () => {
    await app.service(Pulse).feel();
    return (await app.http().get('/api/health')).status === 200;
  });
  // sent again, it is there once
  await water(id).expect(200);
  await water(id).expect(200);
  expect((await g.agent.get(g.url('/records')).expect(200)).body).toHaveLength(1);
});

test('a database that hangs counts as down after a moment; health answers at once', async () => {
  await gardenOf(app);
  const pulse = app.service(Pulse);
  await pulse.feel();
  expect(pulse.databaseAnswers).toBe(true);
  link.hush();
  void pulse.feel(); // is not answered
  await until(async () => Promise.resolve(!pulse.databaseAnswers));
  await app.http().get('/api/health').expect(503);
  link.mend();
  await until(async () => {
    await pulse.feel();
    return pulse.databaseAnswers;
  });
});

test('expired sessions and tries are removed, the others stay', async () => {
  const g = await gardenOf(app);
  const db = await app.connect();
  await db.query("INSERT INTO session VALUES ('old', 1, '{}')");
  await db.query("INSERT INTO login_attempt VALUES ('old', 3, 1)");
  await app.service(Sweep).sweep();
  const [rows] = (await db.query(
    'SELECT session_id AS id FROM session UNION SELECT `key` FROM login_attempt',
  )) as unknown as [{ id: string }[]];
  expect(rows.map((r) => r.id)).not.toContain('old');
  expect(rows.length).toBeGreaterThan(0);
  await g.agent.get('/api/session').expect(200);
  await db.end();
});
