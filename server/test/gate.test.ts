import { mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import type { GardenView } from '@candid-leaf/contract';
import type { Fault } from '@candid-leaf/core/records';
import { v7 as uuid } from 'uuid';
import { networkOf } from '../src/shared/network.js';
import { gardener, potted, startApp, useApp, useFolder } from './app.js';

/** What stands before every route. */
const page = useFolder();
beforeAll(() => {
  mkdirSync(join(page, 'assets'));
  writeFileSync(join(page, 'index.html'), '<!doctype html><title>The page</title>');
  writeFileSync(join(page, 'assets', 'main-abc.js'), `console.log("${'leaf '.repeat(1000)}");`);
});
const app = useApp({ webRoot: page });

const WHO = { email: 'nobody@halt.example', password: 'does not matter' };
const faults = (answer: { body: { faults?: Fault[] } }): string[] => (answer.body.faults ?? []).map((f) => f.path);

describe('size', () => {
  test('without a session a body may have ten kilobytes, with one two hundred; more is 413 and is not read', async () => {
    const send = (bytes: number) =>
      app
        .http()
        .post('/api/session')
        .send({ ...WHO, password: 'x'.repeat(bytes) });
    await send(9_900).expect(400); // it is read: the password is too long
    expect((await send(10_300).expect(413)).body.message).toBe('This is too long to save.');
    const g = await gardener(app);
    const note = (bytes: number) => g.agent.put(g.url('/records')).send({ id: uuid(), text: 'x'.repeat(bytes) });
    await note(190_000).expect(400);
    await note(205_000).expect(413);
    // a public route stays small for whoever is signed in
    await g.agent
      .post('/api/session')
      .send({ ...WHO, password: 'x'.repeat(10_300) })
      .expect(413);
  });

  test('a body of many unknown keys is refused before any class reads it; at most twenty faults are listed', async () => {
    const many = Object.fromEntries(Array.from({ length: 500 }, (_, i) => [`k${i}`, 1]));
    const refused = await app.http().post('/api/session').send(many).expect(400);
    expect(refused.body.faults).toEqual([{ path: '(whole)', reason: 'has more than 60 fields' }]);
    const g = await gardener(app);
    const place = { id: uuid(), name: 'x', kind: 'ground', texture: 'loam', lengthM: 1, widthM: 1 };
    const bad = await g.agent
      .put(g.url('/places'))
      .send({ ...place, mulch: Array.from({ length: 90 }, () => ({ from: 'yesterday', depthMm: -1 })) })
      .expect(400);
    expect(bad.body.faults).toHaveLength(20);
    expect(bad.body.message).toMatch(/160 more errors/);
  });
});

test('invalid JSON, or an unknown shape, is a 400 with its place', async () => {
  const g = await gardener(app);
  const put = (body: string) => g.agent.put(g.url('/places')).set('content-type', 'application/json').send(body);
  expect((await put('{"id":').expect(400)).body.message).toBe('This is not valid JSON.');
  expect(faults(await put('[]').expect(400))).toEqual(['(whole)']);
  const place = { id: uuid(), name: 'Bed', kind: 'ground', texture: 'loam', lengthM: 1, widthM: 1 };
  const withField = (name: string, json: string) => `${JSON.stringify(place).slice(0, -1)},"${name}":${json}}`;
  expect(faults(await put(withField('__proto__', '{"admin":true}')).expect(400))).toEqual(['__proto__']);
  expect(faults(await put(withField('note', '"\\ud800"')).expect(400))).toEqual(['note']);
  // a list where a list of objects is meant, and a list where an object is
  const spell = '{"from":"2026-05-01","depthMm":50}';
  expect(faults(await put(withField('mulch', `[[${spell}]]`)).expect(400))).toContain('mulch');
  expect(faults(await put(withField('soilTest', `[{"date":"2026-05-01","pH":6}]`)).expect(400))).toContain('soilTest');
  expect(faults(await put(withField('watering', '[]')).expect(400))).toContain('watering');
  expect(((await g.agent.get(g.url('/view'))).body as GardenView).places).toEqual([]);
  await put(withField('mulch', `[${spell}]`)).expect(200);
});

test('a write sent by a foreign page is refused; reads, our own pages and programs are not', async () => {
  const g = await gardener(app);
  const { plant } = await potted(g);
  const water = (headers: Record<string, string>) =>
    g.agent
      .put(g.url('/records'))
      .set(headers)
      .send({ id: uuid(), type: 'watering', plantId: plant, data: { date: '2026-07-18', litres: 1 } });
  for (const site of ['cross-site', 'same-site']) await water({ 'sec-fetch-site': site }).expect(403);
  await water({ origin: 'https://elsewhere.example' }).expect(403);
  await water({ origin: 'null' }).expect(403);
  // what the browser says of the site counts more than what the origin looks like
  await water({ 'sec-fetch-site': 'cross-site', origin: 'http://127.0.0.1' }).expect(403);
  await g.agent.get(g.url('/view')).set({ 'sec-fetch-site': 'cross-site' }).expect(200);
  await water({ 'sec-fetch-site': 'same-origin' }).expect(200);
  await water({ host: 'leaf.example', origin: 'http://leaf.example' }).expect(200);
  await water({}).expect(200);
  const { body } = await g.agent.get(g.url('/records')).expect(200);
  expect(body).toHaveLength(3);
});

test('answers are never cached and are compressed; scripts are compressed, cached for good, and need no session', async () => {
  const g = await gardener(app);
  for (let i = 0; i < 4; i++) await potted(g);
  const view = await g.agent.get(g.url('/view')).set('accept-encoding', 'gzip').expect(200);
  expect(view.headers).toMatchObject({ 'cache-control': 'no-store', 'content-encoding': 'gzip' });
  const script = await app.http().get('/assets/main-abc.js').set('accept-encoding', 'gzip').expect(200);
  expect(script.headers).toMatchObject({
    'cache-control': 'public, max-age=31536000, immutable',
    'content-encoding': 'gzip',
  });
  expect((await app.http().get('/').expect(200)).headers['cache-control']).toBe('no-cache');
  // a session that is unknown costs no look into the database
  const db = await app.connect();
  const reads = async () => {
    const [rows] = (await db.query("SHOW GLOBAL STATUS LIKE 'Com_select'")) as unknown as [{ Value: string }[]];
    return Number(rows[0]!.Value);
  };
  await db.query('RENAME TABLE session TO away');
  try {
    await app.http().get('/').set('cookie', 'candid-leaf=s%3Aabc.def').expect(200);
    await g.agent.get('/assets/main-abc.js').expect(200);
    expect(await reads()).toBeGreaterThan(0);
  } finally {
    await db.query('RENAME TABLE away TO session');
    await db.end();
  }
});

test('behind a proxy, by configuration: cookies only for https and this host, and the origin is the browser’s', async () => {
  const proxied = await startApp({ secureCookies: true, trustProxy: 1 });
  try {
    const through = {
      'x-forwarded-proto': 'https',
      'x-forwarded-host': 'leaf.example',
      origin: 'https://leaf.example',
    };
    const sign = (headers: Record<string, string>) =>
      proxied
        .http()
        .post('/api/accounts')
        .set(headers)
        .send({ email: `${uuid()}@halt.example`, password: 'long enough it is', name: 'B' });
    const cookies = (await sign(through).expect(201)).headers['set-cookie'] as unknown as string[];
    expect(cookies).toHaveLength(2);
    for (const cookie of cookies) {
      expect(cookie).toMatch(/^__Host-candid-leaf(-device)?=/);
      expect(cookie).toMatch(/; Path=\/;.*; HttpOnly; Secure; SameSite=Lax$/);
      expect(cookie).not.toMatch(/Domain/);
    }
    const session = cookies.map((c) => c.split(';')[0]).join('; ');
    await proxied
      .http()
      .get('/api/session')
      .set({ ...through, cookie: session })
      .expect(200);
    await sign({ ...through, origin: 'https://other.example' }).expect(403);
  } finally {
    await proxied.stop();
  }
});

test('the use of a session is saved once an hour, not at every request', async () => {
  const agent = app.agent();
  const who = { email: `${uuid()}@halt.example`, password: 'beside the old line', name: 'B' };
  await agent.post('/api/accounts').send(who).expect(201);
  const db = await app.connect();
  const longest = async (): Promise<number> => {
    const [rows] = (await db.query('SELECT MAX(expires) AS most FROM session')) as unknown as [{ most: number }[]];
    return rows[0]!.most;
  };
  await db.query('UPDATE session SET expires = expires - 5000');
  const early = await longest();
  await agent.get('/api/session').expect(200);
  const used = await longest();
  expect(used).toBeGreaterThan(early);
  await db.query('UPDATE session SET expires = expires - 5000');
  await agent.get('/api/session').expect(200);
  expect(await longest()).toBe(used - 5000);
  await db.end();
});

test('with a public address any other host is refused, but this machine’s own; without one any is taken', async () => {
  const open = await app.http().get('/api/health').set('host', 'anything.example').expect(200);
  expect(open.body.ok).toBe(true);
  const strict = await startApp({ publicUrl: 'https://garden.example', trustProxy: 1 });
  try {
    const ask = (host: string, more: Record<string, string> = {}) =>
      strict
        .http()
        .get('/api/health')
        .set({ host, ...more });
    await ask('garden.example').expect(200);
    await ask('GARDEN.example').expect(200);
    await ask('127.0.0.1:3210').expect(200);
    for (const host of ['evil.example', 'garden.example.evil.example', 'localhost.evil.example', 'garden.example:81'])
      expect([host, (await ask(host)).status]).toEqual([host, 421]);
    expect((await ask('evil.example')).body.message).toContain('https://garden.example');
    // what a trusted proxy says was asked for counts
    await ask('127.0.0.1', { 'x-forwarded-host': 'garden.example' }).expect(200);
    await ask('127.0.0.1', { 'x-forwarded-host': 'evil.example' }).expect(421);
  } finally {
    await strict.stop();
  }
});

test('a key may send as much as a person: forty notes at once', async () => {
  const g = await gardener(app);
  const { plant } = await potted(g);
  const made = await g.agent.post(g.url('/keys')).send({ id: uuid(), name: 'k', role: 'keep', days: 5 }).expect(200);
  const key = `Bearer ${(made.body as { key: string }).key}`;
  const records = Array.from({ length: 40 }, () => ({
    id: uuid(),
    type: 'note',
    plantId: plant,
    data: { date: '2026-07-18', text: 'a note of usual length '.repeat(12) },
  }));
  const body = JSON.stringify({ records });
  expect(body.length).toBeGreaterThan(10_300);
  const put = (authorization: string) =>
    app.http().put(g.url('/records/several')).set({ authorization, 'content-type': 'application/json' }).send(body);
  await put(key).expect(200);
  await put('Bearer guessed').expect(401);
});

test('limits count an IPv6 household as one sender', () => {
  expect(networkOf('2001:db8:1:2:3:4:5:6')).toBe('2001:db8:1:2::/64');
  expect(networkOf('2001:0db8:0001:0002::9')).toBe(networkOf('2001:db8:1:2:ffff::1'));
  expect(networkOf('2001:db8:1:3::1')).not.toBe(networkOf('2001:db8:1:2::1'));
  expect(['192.0.2.7', '::ffff:192.0.2.7', 'unknown'].map(networkOf)).toEqual(['192.0.2.7', '192.0.2.7', 'unknown']);
});
