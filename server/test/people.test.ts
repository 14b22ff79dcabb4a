import type { PeopleDto, Role, WateringListView } from '@candid-leaf/contract';
import { DEMO_ACCOUNT } from '@candid-leaf/demo';
import { startMail, type KeptMail } from '@candid-leaf/standins';
import { v7 as uuid } from 'uuid';
import { LeavingService } from '../src/people/leaving.service.js';
import { Clock } from '../src/shared/clock.js';
import { gardener, helper, potted, startApp, useApp, useStarted } from './app.js';

const mail = useStarted(startMail, (m) => m.close());
const app = useApp(() => ({ smtpUrl: mail.smtpUrl, publicUrl: 'http://leaf.example' }));
afterEach(() => jest.restoreAllMocks());

const HOUR = 3600 * 1000;
const later = (ms: number): void => {
  const then = new Date(Date.now() + ms);
  jest.spyOn(app.service(Clock), 'now').mockImplementation(() => then);
};
async function mailTo(address: string): Promise<KeptMail> {
  for (;;) {
    const [newest] = (await (await fetch(`${mail.url}/mails?to=${address}`)).json()) as KeptMail[];
    if (newest) return newest;
    await new Promise((soon) => setImmediate(soon));
  }
}
const secretIn = (path: string): string => path.split('#')[1]!.trim();
const who = (email: string, password = DEMO_ACCOUNT.password) => ({ email, password });

describe('passwords', () => {
  test('forgotten: a link by mail, once, for an hour; earlier sessions and keys stop working', async () => {
    const email = `${uuid()}@halt.example`;
    const g = await gardener(app, email);
    const made = await g.agent.post(g.url('/keys')).send({ id: uuid(), name: 'k', role: 'keep', days: 5 }).expect(200);
    const key = `Bearer ${(made.body as { key: string }).key}`;
    await app.http().get(g.url('/view')).set('authorization', key).expect(200);
    const known = await app.http().post('/api/password/forgotten').send({ email: email.toUpperCase() }).expect(202);
    const unknown = await app
      .http()
      .post('/api/password/forgotten')
      .send({ email: `x${email}` })
      .expect(202);
    expect(unknown.text).toBe(known.text);
    const { text } = await mailTo(email);
    const link = /http:\/\/leaf\.example\/new-password#\S+/.exec(text)![0];
    const reset = (password: string) =>
      app
        .http()
        .post('/api/password/new')
        .send({ secret: secretIn(link), password });
    await reset('short').expect(400);
    later(HOUR + 1000);
    await reset('a longer word').expect(400);
    jest.restoreAllMocks();
    await reset('a longer word').expect(204);
    await reset('a third word').expect(400);
    await g.agent.get(g.url('/view')).expect(401);
    await app.http().get(g.url('/view')).set('authorization', key).expect(401);
    await app.http().post('/api/session').send(who(email)).expect(401);
    await app.http().post('/api/session').send(who(email, 'a longer word')).expect(201);
  });

  test('changed: other sessions end, this one stays; a wrong old one changes nothing', async () => {
    const email = `${uuid()}@halt.example`;
    const g = await gardener(app, email);
    const elsewhere = app.agent();
    await elsewhere.post('/api/session').send(who(email)).expect(201);
    const change = (old: string) => g.agent.put('/api/account/password').send({ old, password: 'a longer word' });
    await change('not this').expect(403);
    await elsewhere.get('/api/session').expect(200);
    await change(DEMO_ACCOUNT.password).expect(204);
    await elsewhere.get('/api/session').expect(401);
    await g.agent.get('/api/session').expect(200);
    await g.agent.delete('/api/sessions').expect(204);
    await g.agent.get('/api/session').expect(401);
  });

  test('asked repeatedly: three mails an hour to one address', async () => {
    const email = `${uuid()}@halt.example`;
    const ask = () => app.http().post('/api/password/forgotten').send({ email });
    for (let i = 0; i < 3; i++) await ask().expect(202);
    await ask().expect(429);
  });
});

test('registration off: only invited people and the very first one get in', async () => {
  const shut = await startApp({ registration: false });
  try {
    const g = await gardener(shut);
    expect((await shut.http().get('/api/entry').expect(200)).body).toEqual({
      registration: false,
      mail: false,
      demo: null,
    });
    const fresh = { ...DEMO_ACCOUNT, email: `${uuid()}@halt.example` };
    await shut.http().post('/api/accounts').send(fresh).expect(403);
    await shut
      .http()
      .post('/api/accounts')
      .send({ ...fresh, invitation: 'y'.repeat(43) })
      .expect(403);
    const { body } = await g.agent.post(g.url('/invitations')).send({ id: uuid(), name: 'Bo', role: 'look' });
    const invitation = secretIn((body as { path: string }).path);
    await shut
      .http()
      .post('/api/accounts')
      .send({ ...fresh, invitation })
      .expect(201);
    // no mail is sent from here, and that is said
    await shut.http().post('/api/password/forgotten').send({ email: fresh.email }).expect(503);
  } finally {
    await shut.stop();
  }
});

describe('in one garden', () => {
  test('an invitation works once, within a week, until it is revoked, and is renewed with a new link', async () => {
    const g = await gardener(app);
    const stranger = await gardener(app);
    const id = uuid();
    const make = async () =>
      secretIn(
        (
          (await g.agent.post(g.url('/invitations')).send({ id, name: 'Mia', role: 'record' }).expect(200)).body as {
            path: string;
          }
        ).path,
      );
    const first = await make();
    const second = await make();
    await app.http().get(`/api/invitations/${first}`).expect(404);
    const told = await app.http().get(`/api/invitations/${second}`).expect(200);
    expect(told.body).toEqual({ garden: 'Behind the old halt', by: 'Ann', name: 'Mia', role: 'record' });
    later(7 * 24 * HOUR + 1000);
    await stranger.agent.post(`/api/invitations/${second}/accept`).expect(404);
    jest.restoreAllMocks();
    await stranger.agent.post(`/api/invitations/${second}/accept`).expect(200);
    await stranger.agent.post(`/api/invitations/${second}/accept`).expect(200); // the first answer may have been lost
    await (await gardener(app)).agent.post(`/api/invitations/${second}/accept`).expect(404);
    const taken = uuid();
    const { body } = await g.agent.post(g.url('/invitations')).send({ id: taken, name: 'Bo', role: 'keep' });
    await g.agent.delete(g.url(`/invitations/${taken}`)).expect(204);
    await stranger.agent.post(`/api/invitations/${secretIn((body as { path: string }).path)}/accept`).expect(404);
  });

  test('who recorded something stays known after they left; a garden is handed over before its last manager goes', async () => {
    const g = await gardener(app);
    const { plant } = await potted(g);
    const mia = await helper(app, g, 'record');
    const record = { id: uuid(), type: 'watering', plantId: plant, data: { date: '2026-07-18', litres: 1 } };
    await mia.agent.put(g.url('/records')).send(record).expect(200);
    const { body: records } = await g.agent.get(g.url('/records')).expect(200);
    expect(records).toMatchObject([{ by: mia.id }]);
    // a garden's settings name it in the body, where the guard does not look
    const { today: _t, ...garden } = (await mia.agent.get(g.url('')).expect(200)).body as { today: string };
    await mia.agent
      .put('/api/gardens')
      .send({ ...garden, name: 'Hers' })
      .expect(403);
    await g.agent.post(g.url('/leave')).expect(409);
    await g.agent
      .put(g.url(`/people/${mia.id}`))
      .send({ role: 'keep' })
      .expect(204);
    await mia.agent
      .put(g.url(`/people/${(await me(g)).id}`))
      .send({ role: 'record' })
      .expect(204);
    await mia.agent
      .put(g.url(`/people/${mia.id}`))
      .send({ role: 'look' })
      .expect(409);
    await mia.agent.post(g.url('/leave')).expect(409);
    await g.agent
      .put(g.url('/people/' + mia.id))
      .send({ role: 'look' })
      .expect(403);
    await g.agent.post(g.url('/leave')).expect(204);
    await g.agent.get(g.url('/view')).expect(404);
    const people = (await mia.agent.get(g.url('/people')).expect(200)).body as PeopleDto;
    expect(people.members).toEqual([{ id: mia.id, name: 'Mia', role: 'keep' }]);
  });

  test('someone who leaves takes no key along, and stays beside what they wrote', async () => {
    const g = await gardener(app);
    const { plant } = await potted(g);
    const mia = await helper(app, g, 'record');
    const made = await mia.agent
      .post(g.url('/keys'))
      .send({ id: uuid(), name: 'k', role: 'keep', days: 5 })
      .expect(200);
    const key = `Bearer ${(made.body as { key: string }).key}`;
    const write = () =>
      app
        .http()
        .put(g.url('/records'))
        .set('authorization', key)
        .send({ id: uuid(), type: 'watering', plantId: plant, data: { date: '2026-07-18', litres: 1 } });
    await write().expect(200);
    // a key to keep reaches no further than its owner, who may record
    await app.http().put(g.url('/places')).set('authorization', key).send({}).expect(403);
    later(5 * 24 * HOUR + 1000);
    await write().expect(401);
    jest.restoreAllMocks();
    await g.agent.delete(g.url(`/people/${mia.id}`)).expect(204);
    await write().expect(401);
    const people = (await g.agent.get(g.url('/people')).expect(200)).body as PeopleDto;
    expect(people.members).toContainEqual({ id: mia.id, name: 'Mia', role: null });
  });
});
const me = async (g: Awaited<ReturnType<typeof gardener>>) =>
  (await g.agent.get('/api/session').expect(200)).body as { id: string };

describe('a watering list', () => {
  const made = async (from = '2026-07-18', to = '2026-07-20') => {
    const g = await gardener(app);
    const { plant } = await potted(g);
    for (const [day, litres] of [
      ['2026-07-13', 3],
      ['2026-07-14', 3],
      ['2026-07-15', 3],
    ] as const)
      await g.agent
        .put(g.url('/records'))
        .send({ id: uuid(), type: 'watering', plantId: plant, data: { date: day, litres } })
        .expect(200);
    const id = uuid();
    const { body } = await g.agent.post(g.url('/watering-lists')).send({ id, name: 'Grandma', from, to }).expect(200);
    const at = `/api/watering/${secretIn((body as { path: string }).path)}`;
    const read = async () => (await app.http().get(at).expect(200)).body as WateringListView;
    const tick = (key: string, recordId: string) => app.http().post(`${at}/ticks`).send({ key, recordId });
    return { g, id, at, read, tick, plant };
  };

  test('shows what the one plan says, and a tick on it is a record of the list, once', async () => {
    const { g, id, at, read, tick, plant } = await made();
    const view = await read();
    const { body: plans } = await g.agent.get(g.url('/plan')).expect(200);
    const planned = (plans as { pours: { plan: { days: { date: string; litres: number }[] } }[] }[])[0]!.pours[0]!.plan;
    expect(view.places[0]!.pours[0]!.plan).toEqual(planned);
    const [task] = view.tasks;
    expect(task).toMatchObject({ litres: planned.days[0]!.litres, title: 'Water Paste' });
    const recordId = uuid();
    await tick(task!.key, recordId).expect(200);
    await tick(task!.key, recordId).expect(200);
    await tick(task!.key, uuid()).expect(200); // somebody else ticks the same
    const { body: today } = await g.agent.get(g.url(`/records?plantId=${plant}&type=watering`)).expect(200);
    expect((today as { day: string }[]).filter((r) => r.day === '2026-07-18')).toMatchObject([
      { by: id, id: recordId },
    ]);
    expect(await read()).toMatchObject({ tasks: [], done: [{ name: 'Paste', litres: task!.litres }] });
    expect(((await g.agent.get(g.url('/people'))).body as PeopleDto).members).toContainEqual({
      id,
      name: 'Grandma',
      role: null,
    });
    await app.http().post(`${at}/undo`).send({ key: task!.key, recordId }).expect(204);
    expect((await read()).tasks).toHaveLength(1);
    // the list names what was sprayed, until when not to pick, and to keep out
    expect(view.notices).toEqual([]);
    const data = { date: '2026-07-18', product: 'copper', harvestDays: 3, reentryHours: 24 };
    await g.agent.put(g.url('/records')).send({ id: uuid(), type: 'spray', plantId: plant, data }).expect(200);
    expect((await read()).notices).toEqual([
      expect.stringMatching(/^Keep out: Paste: copper .*no one may enter for 24 hours/),
      expect.stringMatching(/^Do not pick: Paste: copper .*allows picking again on 21 July/),
    ]);
  });

  test('opens nothing else, nothing of others, nothing outside its days, nor once it is revoked', async () => {
    const { g, id, at, read, tick, plant } = await made('2026-07-19');
    expect(await read()).toMatchObject({ tasks: [], done: [] });
    await tick(`water:${plant}`, uuid()).expect(404);
    const own = await g.agent
      .put(g.url('/records'))
      .send({ id: uuid(), type: 'watering', plantId: plant, data: { date: '2026-07-18', litres: 2 } });
    const at19 = await g.agent.get(g.url('')).expect(200);
    const { today: _t, ...garden } = at19.body as { today: string };
    await g.agent
      .put('/api/gardens')
      .send({ ...garden, pinnedDate: '2026-07-19' })
      .expect(200);
    await app
      .http()
      .post(`${at}/undo`)
      .send({ key: `water:${plant}`, recordId: (own.body as { id: string }).id })
      .expect(404);
    await tick('look-again:x', uuid()).expect(400);
    await g.agent.delete(g.url(`/watering-lists/${id}`)).expect(204);
    await app.http().get(at).expect(404);
    await tick(`water:${plant}`, uuid()).expect(404);
    const bad = (from: string, to: string) =>
      g.agent.post(g.url('/watering-lists')).send({ id: uuid(), name: 'x', from, to });
    await bad('2026-07-25', '2026-07-20').expect(400);
    await bad('2026-07-01', '2026-07-02').expect(400);
    await bad('2026-07-20', '2026-12-20').expect(400);
  });
});

describe('closing an account', () => {
  const sweep = () => app.service(LeavingService).sweep();

  test('is marked, can be kept within two weeks, and then is gone with the gardens that only it managed', async () => {
    const email = `${uuid()}@halt.example`;
    const g = await gardener(app, email);
    const { plant } = await potted(g);
    const write = { id: uuid(), type: 'watering', plantId: plant, data: { date: '2026-07-18', litres: 1 } };
    await g.agent.put(g.url('/records')).send(write).expect(200);
    const other = await gardener(app);
    const shared = await helper(app, other, 'record');
    const ask = (password: string) => g.agent.post('/api/account/leaving').send({ password });
    await ask('not this').expect(403);
    await ask(DEMO_ACCOUNT.password).expect(200);
    expect((await mailTo(email)).subject).toBe('Your account will be deleted');
    await g.agent.delete('/api/account/leaving').expect(200);
    later(15 * 24 * HOUR);
    await sweep();
    jest.restoreAllMocks();
    await g.agent.get(g.url('/view')).expect(200);
    await ask(DEMO_ACCOUNT.password).expect(200);
    later(13 * 24 * HOUR);
    await sweep();
    await g.agent.get(g.url('/view')).expect(200);
    later(14 * 24 * HOUR + 60_000);
    await sweep();
    jest.restoreAllMocks();
    await g.agent.get('/api/session').expect(401);
    const db = await app.connect();
    for (const table of ['record', 'plant', 'place', 'weather', 'membership']) {
      const [rows] = await db.query(`SELECT 1 FROM ${table} WHERE gardenId = ?`, [g.garden]);
      expect(rows).toEqual([]);
    }
    await db.end();
    await shared.agent.get(other.url('/view')).expect(200);
  });

  test('cannot take a garden away from its helpers', async () => {
    const g = await gardener(app);
    const mia = await helper(app, g, 'look');
    const ask = () => g.agent.post('/api/account/leaving').send({ password: DEMO_ACCOUNT.password });
    await ask().expect(409);
    await g.agent
      .put(g.url(`/people/${mia.id}`))
      .send({ role: 'keep' })
      .expect(204);
    await ask().expect(200);
    later(15 * 24 * HOUR);
    await sweep();
    jest.restoreAllMocks();
    await mia.agent.get(g.url('/view')).expect(200);
  });
});

test('the only manager can neither step down nor leave: a garden always has one', async () => {
  const g = await gardener(app);
  const mia = await helper(app, g, 'record');
  const own = ((await g.agent.get('/api/session').expect(200)).body as { id: string }).id;
  for (const role of ['look', 'record'])
    await g.agent
      .put(g.url(`/people/${own}`))
      .send({ role })
      .expect(409);
  const people = (await g.agent.get(g.url('/people')).expect(200)).body as PeopleDto;
  expect(people.members).toContainEqual(expect.objectContaining({ id: own, role: 'keep' }));
  // with a second manager they may
  await g.agent
    .put(g.url(`/people/${mia.id}`))
    .send({ role: 'keep' })
    .expect(204);
  await g.agent
    .put(g.url(`/people/${own}`))
    .send({ role: 'look' })
    .expect(204);
});

test.each(['removed', 'demoted', 'gone'] as const)('what a manager made ends when they are %s', async (how) => {
  const g = await gardener(app);
  await potted(g);
  const mia = await helper(app, g, 'keep');
  const invite = async (role: Role) => {
    const { body } = await mia.agent.post(g.url('/invitations')).send({ id: uuid(), name: 'x', role }).expect(200);
    return `/api/invitations/${secretIn((body as { path: string }).path)}`;
  };
  const list = { id: uuid(), name: 'Grandma', from: '2026-07-18', to: '2026-07-20' };
  const { body: listed } = await mia.agent.post(g.url('/watering-lists')).send(list).expect(200);
  const { body: calendar } = await mia.agent.post(g.url('/calendar')).expect(200);
  const links = [
    `/api/watering/${secretIn((listed as { path: string }).path)}`,
    (calendar as { path: string }).path,
    await invite('keep'),
  ];
  const helpers = await invite('record');
  const statuses = (paths: string[]) => Promise.all(paths.map(async (p) => (await app.http().get(p)).status));
  expect(await statuses([...links, helpers])).toEqual([200, 200, 200, 200]);
  if (how === 'removed') await g.agent.delete(g.url(`/people/${mia.id}`)).expect(204);
  else if (how === 'demoted')
    await g.agent
      .put(g.url(`/people/${mia.id}`))
      .send({ role: 'record' })
      .expect(204);
  else {
    await mia.agent.post('/api/account/leaving').send({ password: DEMO_ACCOUNT.password }).expect(200);
    later(14 * 24 * HOUR + 60_000);
    await app.service(LeavingService).sweep();
    jest.restoreAllMocks();
  }
  expect(await statuses(links)).toEqual([404, 404, 404]);
  // who may record may still invite no one, but what was open to that role stays open
  expect(await statuses([helpers])).toEqual([how === 'demoted' ? 200 : 404]);
});

test('a link whose maker nobody noted outlasts a helper, and ends with any manager', async () => {
  const g = await gardener(app);
  await potted(g);
  const { body } = await g.agent.post(g.url('/calendar')).expect(200);
  const db = await app.connect();
  await db.query('UPDATE calendar_link SET madeBy = NULL WHERE gardenId = ?', [g.garden]);
  await db.end();
  const open = async () => (await app.http().get((body as { path: string }).path)).status;
  for (const [role, status] of [
    ['record', 200],
    ['keep', 404],
  ] as const) {
    const mia = await helper(app, g, role);
    await g.agent.delete(g.url(`/people/${mia.id}`)).expect(204);
    expect([role, await open()]).toEqual([role, status]);
  }
});

test('a link of one manager outlasts the other', async () => {
  const g = await gardener(app);
  await potted(g);
  const mia = await helper(app, g, 'keep');
  const { body } = await g.agent.post(g.url('/calendar')).expect(200);
  await g.agent.delete(g.url(`/people/${mia.id}`)).expect(204);
  await app
    .http()
    .get((body as { path: string }).path)
    .expect(200);
});

test('a watering list opens on its last day and on none after it', async () => {
  const g = await gardener(app);
  await potted(g);
  const { body } = await g.agent
    .post(g.url('/watering-lists'))
    .send({ id: uuid(), name: 'Grandma', from: '2026-07-18', to: '2026-07-20' })
    .expect(200);
  const at = `/api/watering/${secretIn((body as { path: string }).path)}`;
  const on = async (pinnedDate: string) => {
    const { today: _t, ...garden } = (await g.agent.get(g.url('')).expect(200)).body as { today: string };
    await g.agent
      .put('/api/gardens')
      .send({ ...garden, pinnedDate })
      .expect(200);
  };
  await on('2026-07-20');
  await app.http().get(at).expect(200);
  await on('2026-07-21');
  await app.http().get(at).expect(404);
  await app.http().post(`${at}/ticks`).send({ key: 'water:x', recordId: uuid() }).expect(404);
  await app.http().post(`${at}/undo`).send({ key: 'water:x', recordId: uuid() }).expect(404);
});
