import { createHash } from 'node:crypto';
import { startHoseTimer, type HoseTimer } from '@candid-leaf/standins';
import { reaches, ROLES } from '@candid-leaf/contract';
import { v7 as uuid } from 'uuid';
import { helper, startApp, type Agent, type App } from './app.js';
import { pathOf, ROUTES, worldOf, type Row, type World } from './route-table.js';

/** Every route as nobody, as a stranger, and as a member; with another's ids in the path and in the body. */
let app: App;
let timer: HoseTimer;
beforeAll(async () => {
  timer = await startHoseTimer();
  // where mail goes to nobody answers: that is no matter of whoever asked for it
  app = await startApp({
    timerHosts: [timer.url],
    smtpUrl: 'smtp://127.0.0.1:9',
    publicUrl: 'http://leaf.example',
  });
});
afterAll(async () => {
  await app.stop();
  await timer.close();
});

type Caller = Pick<Agent, 'get' | 'put' | 'post' | 'delete'>;
const call = (who: Caller, route: string, path: string, body?: object) => {
  const method = route.split(' ')[0]!.toLowerCase() as 'get' | 'put' | 'post' | 'delete';
  const request = who[method](path);
  return body ? request.send(body) : request;
};
const ofGarden = (route: string): boolean => route.includes(':gardenId');
const rows = (): [string, Row][] =>
  Object.entries(ROUTES).sort(([, a], [, b]) => Number(a.last ?? 0) - Number(b.last ?? 0));

/** All rows of a garden, in one number: whoever wrote anything there changed it. */
async function sumOf(w: World): Promise<string> {
  const db = await app.connect();
  const tables = [
    'place',
    'plant',
    'record',
    'weather',
    'treatment',
    'treatment_task',
    'postponement',
    'bench',
    'timer_run',
    'product',
    'trial',
    'variety',
    'planting',
    'invitation',
    'watering_list',
    'access_key',
    'membership',
    'photo',
    'import',
  ];
  const parts = [];
  for (const table of [...tables, 'timer_state', 'hose_timer']) {
    const [rows] = await db.query(`SELECT * FROM \`${table}\` WHERE gardenId = ? ORDER BY 1, 2, 3`, [w.gardenId]);
    parts.push(rows);
  }
  const [garden] = await db.query('SELECT * FROM garden WHERE id = ?', [w.gardenId]);
  await db.end();
  // that a key was used is noted in it
  const still = JSON.stringify([garden, parts], (name, value: unknown) => (name === 'usedAt' ? null : value));
  return createHash('sha256').update(still).digest('hex');
}

test('the table names every route that answers, and no other', () => {
  expect(Object.keys(ROUTES).sort()).toEqual(app.routes());
});

test('each route is closed to nobody and to strangers, in path and in body, and open to its members', async () => {
  const mine = await worldOf(app, timer.url);
  const theirs = await worldOf(app, timer.url);
  const before = await sumOf(theirs.w);
  const table: string[][] = [
    ['route', 'nobody', 'their garden', 'their ids in mine', 'their ids in the body', 'member'],
  ];
  const surprises: string[] = [];
  for (const [route, row] of rows()) {
    const line = [route];
    const check = (what: string, got: number, want: readonly number[]): void => {
      line.push(String(got));
      if (!want.includes(got)) surprises.push(`${route}: ${what} got ${got}, not ${want.join(' or ')}`);
    };
    const body = (): object | undefined => row.body?.(mine.w);
    const nobody = await call(app.http(), route, pathOf(route, theirs.w), body());
    check('nobody', nobody.status, row.open ? [row.member] : [401]);
    if (ofGarden(route)) {
      const stranger = await call(mine.agent, route, pathOf(route, theirs.w), row.body?.(theirs.w));
      check('a stranger in their garden', stranger.status, [404]);
      const ids = [...route.matchAll(/:(\w+)/g)]
        .map((m) => m[1] as keyof World)
        .filter((id) => id !== 'gardenId' && id !== 'name');
      if (ids.length > 0) {
        const path = pathOf(route, { ...theirs.w, gardenId: mine.w.gardenId });
        check('their ids in the path', (await call(mine.agent, route, path, body())).status, [404]);
      } else line.push('');
    } else line.push('', '');
    const foreign = row.foreign?.(mine.w, theirs.w) ?? [];
    const got = [];
    for (const f of foreign) got.push((await call(mine.agent, route, pathOf(route, mine.w), f)).status);
    line.push([...new Set(got)].join(' '));
    // ticking writes under an id of one's own: that it is taken elsewhere is no secret told, but nothing may be written
    const harmless = route.includes('/tasks/') ? [200, 204] : [];
    for (const status of got)
      if (![400, 404, ...harmless].includes(status)) surprises.push(`${route}: their ids in the body got ${status}`);
    // signing up or in would make somebody else of this member
    const member = row.open ? (app.http() as unknown as Caller) : mine.agent;
    check('a member', (await call(member, route, pathOf(route, mine.w), body())).status, [row.member]);
    // signed out, the walk goes on
    if (route === 'DELETE /api/session') await mine.signIn();
    table.push(line);
  }
  if (process.env.SHOW_ROUTES) process.stdout.write(`\n${table.map((l) => `| ${l.join(' | ')} |`).join('\n')}\n\n`);
  expect(surprises).toEqual([]);
  expect(await sumOf(theirs.w)).toBe(before);
});

test('each route is closed to a role, and to a key, that it is not for', async () => {
  const { agent, w } = await worldOf(app, timer.url);
  const own = { agent, url: (path: string) => `/api/gardens/${w.gardenId}${path}` };
  const surprises: string[] = [];
  const lower = ROLES.filter((r) => r !== 'keep');
  const helpers = new Map(await Promise.all(lower.map(async (r) => [r, await helper(app, own, r)] as const)));
  const keys = new Map<string, string>();
  for (const role of ROLES) {
    const made = await agent.post(own.url('/keys')).send({ id: uuid(), name: role, role, days: 1 }).expect(200);
    keys.set(role, (made.body as { key: string }).key);
  }
  const asKey = (role: string, route: string, body: object | undefined) =>
    call(app.http(), route, pathOf(route, w), body).set('authorization', `Bearer ${keys.get(role)}`);
  const there = await sumOf(w);
  for (const [route, row] of rows().filter(([, r]) => !r.open)) {
    const needed = row.needs ?? (route.startsWith('GET') ? 'look' : 'keep');
    const body = row.body?.(w);
    for (const role of ROLES) {
      if (ofGarden(route) && role !== 'keep' && !reaches(role, needed)) {
        const { status } = await call(helpers.get(role)!.agent, route, pathOf(route, w), body);
        if (status !== 403) surprises.push(`${route}: who may ${role} got ${status}`);
      }
      if (!ofGarden(route) || row.peopleOnly || !reaches(role, needed)) {
        const { status } = await asKey(role, route, body);
        if (status !== 403) surprises.push(`${route}: a key to ${role} got ${status}`);
      }
    }
  }
  expect(surprises).toEqual([]);
  expect(await sumOf(w)).toBe(there);
  // and what they reach is open to them
  await asKey('look', 'GET /api/gardens/:gardenId/view', undefined).expect(200);
  await asKey(
    'record',
    'PUT /api/gardens/:gardenId/records',
    ROUTES['PUT /api/gardens/:gardenId/records']!.body!(w),
  ).expect(200);
  await helpers
    .get('record')!
    .agent.put(own.url('/records'))
    .send(ROUTES['PUT /api/gardens/:gardenId/records']!.body!(w))
    .expect(200);
}, 120_000);
