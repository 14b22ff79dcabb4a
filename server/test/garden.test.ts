import type { GardenView, PlantView } from '@candid-leaf/contract';
import { parseCase } from '@candid-leaf/core/casefile';
import { addDays } from '@candid-leaf/core/units';
import { v7 as uuid } from 'uuid';
import { gardener, potted, useApp } from './app.js';

const app = useApp();

const TODAY = '2026-07-18';
const watering = (of: object, date: string, litres: number) => ({
  id: uuid(),
  type: 'watering',
  ...of,
  data: { date, litres, how: 'base' },
});

describe('access', () => {
  test('no session: 401 on every type of route', async () => {
    const id = uuid();
    for (const path of [
      '/api/session',
      '/api/gardens',
      `/api/gardens/${id}`,
      `/api/gardens/${id}/view`,
      `/api/gardens/${id}/records`,
    ])
      await app.http().get(path).expect(401);
    await app.http().put(`/api/gardens/${id}/records`).send({}).expect(401);
  });

  test('another’s garden and wrong ids do not exist: 404, for reading and for writing', async () => {
    const mine = await gardener(app);
    const theirs = await gardener(app);
    const { plant, place } = await potted(theirs);
    await mine.agent.get(theirs.url('/view')).expect(404);
    await mine.agent.get(mine.url(`/plants/${plant}/view`)).expect(404);
    await mine.agent.get('/api/gardens/not-an-id/view').expect(404);
    await mine.agent
      .put(mine.url('/records'))
      .send(watering({ plantId: plant }, TODAY, 2))
      .expect(404);
    await mine.agent.post(mine.url(`/places/${place}/retire`)).expect(404);
    // an id that is taken in another garden cannot be written over
    await mine.agent
      .put(mine.url('/places'))
      .send({ id: place, name: 'Mine now', kind: 'container', texture: 'loam', volumeL: 5 })
      .expect(404);
    const view = (await theirs.agent.get(theirs.url('/view')).expect(200)).body as GardenView;
    expect(view.places[0]!.place.name).toBe('Pots');
  });

  test('wrong passwords are refused, then slowed down; signing out ends the session', async () => {
    const email = `${uuid()}@halt.example`;
    const { agent } = await gardener(app, email);
    for (let i = 0; i < 8; i++) await app.http().post('/api/session').send({ email, password: 'wrong' }).expect(401);
    await app.http().post('/api/session').send({ email, password: 'beside the old line' }).expect(429);
    await agent.get('/api/session').expect(200);
    await agent.delete('/api/session').expect(204);
    await agent.get('/api/session').expect(401);
  });

  test('the cookie is only for the server', async () => {
    const answer = await app
      .http()
      .post('/api/accounts')
      .send({ email: `${uuid()}@halt.example`, password: 'long enough it is', name: 'B' })
      .expect(201);
    expect(String(answer.headers['set-cookie'])).toMatch(/HttpOnly.*SameSite=Lax|SameSite=Lax.*HttpOnly/);
    expect(answer.body).not.toHaveProperty('passwordHash');
  });
});

describe('writing', () => {
  test('each fault is named with its path, and nothing is saved', async () => {
    const g = await gardener(app);
    const { plant, place } = await potted(g);
    const refused = async (body: object, faults: Record<string, RegExp>) => {
      const answer = await g.agent
        .put(g.url('/records'))
        .send({ id: uuid(), ...body })
        .expect(400);
      const found = Object.fromEntries(
        (answer.body.faults as { path: string; reason: string }[]).map((f) => [f.path, f.reason]),
      );
      for (const [path, reason] of Object.entries(faults)) expect(found[path]).toMatch(reason);
    };
    await refused(
      { type: 'watering', plantId: plant, data: { date: TODAY, litres: -1 } },
      { 'data.litres': /be 0 or more/ },
    );
    await refused(
      { type: 'watering', plantId: plant, data: { date: TODAY, litres: 201 } },
      { 'data.litres': /200 litres/ },
    );
    await refused(
      { type: 'watering', plantId: plant, data: { date: '2026-07-19', litres: 2 } },
      { 'data.date': /in the future/ },
    );
    await refused(
      { type: 'watering', plantId: plant, data: { date: '2026-05-01', litres: 2 } },
      { 'data.date': /before this plant was planted out/ },
    );
    await refused(
      { type: 'watering', plantId: plant, data: { date: TODAY, litres: 2, colour: 'blue' } },
      { 'data.colour': /not a known field/ },
    );
    await refused(
      { type: 'watering', plantId: plant, placeId: place, data: { date: TODAY, litres: 2 } },
      { plantId: /exactly one/ },
    );
    await refused(
      { type: 'watering', plantId: plant, data: { date: '1989-12-31', litres: 2 } },
      { 'data.date': /from 1990 to two years ahead/ },
    );
    await refused({ type: 'dancing', plantId: plant, data: {} }, { type: /one of: / });
    await refused(
      {
        type: 'inspection',
        plantId: plant,
        data: { date: TODAY, allClear: false, signs: [{ sign: 'fruit-burst', present: true, affected: 5, of: 3 }] },
      },
      { 'data.signs[0].affected': /5 affected out of only 3/ },
    );
    await refused(
      {
        type: 'inspection',
        plantId: plant,
        data: { date: TODAY, allClear: false, signs: [{ sign: 'fruit-cork-lines', present: true }] },
      },
      { 'data.signs[0].sign': /only on a pepper/ },
    );
    const bed = await g.agent
      .put(g.url('/places'))
      .send({ id: uuid(), name: '', kind: 'ground', texture: 'mud' })
      .expect(400);
    expect((bed.body.faults as { path: string }[]).map((f) => f.path).sort()).toEqual(['name', 'texture']);
    expect((await g.agent.get(g.url('/records')).expect(200)).body).toEqual([]);
  });

  test('a date far from today, or a year that is none, is refused everywhere, so that nothing is computed for ages', async () => {
    const g = await gardener(app);
    const { place } = await potted(g);
    const planted = async (transplantedOn: string) => {
      const body = { id: uuid(), placeId: place, name: `Of ${transplantedOn}`, crop: 'tomato', transplantedOn };
      const answer = await g.agent.put(g.url('/plants')).send(body);
      return [answer.status, (answer.body as { faults?: { reason: string }[] }).faults?.[0]?.reason];
    };
    expect(await planted('1000-01-01')).toEqual([400, 'must be a date from 1990 to two years ahead']);
    expect(await planted('2019-05-01')).toEqual([400, expect.stringMatching(/more than 5 years ago/)]);
    expect((await planted('2022-05-01'))[0]).toBe(200);
    // one that was entered in its time can still be described years later
    const id = uuid();
    const old = { id, placeId: place, name: 'Old', crop: 'tomato', transplantedOn: '2024-05-01' };
    await g.agent.put(g.url('/plants')).send(old).expect(200);
    const db = await app.connect();
    await db.query('UPDATE plant SET transplantedOn = ? WHERE id = ?', ['2019-05-01', id]);
    await db.end();
    await g.agent
      .put(g.url('/plants'))
      .send({ ...old, transplantedOn: '2019-05-01', name: 'Older', version: 1 })
      .expect(200);
    const { today: _t, ...settings } = (await g.agent.get(g.url('')).expect(200)).body as GardenView['garden'];
    const pinned = (pinnedDate: string) => g.agent.put('/api/gardens').send({ ...settings, pinnedDate });
    await pinned('9999-12-31').expect(400);
    await pinned('2150-01-01').expect(400);
    for (const year of ['9007199254740992', '-1', '2026.5', '1989', '2150', 'soon']) {
      await g.agent.get(g.url(`/season?year=${year}`)).expect(400);
      await g.agent.get(g.url(`/season/report?year=${year}`)).expect(400);
    }
    await g.agent.get(g.url('/season?year=2025')).expect(200);
  });

  test('sending the same twice changes nothing; a change to an old version is refused', async () => {
    const g = await gardener(app);
    const { plant } = await potted(g);
    const record = watering({ plantId: plant }, TODAY, 2);
    const first = (await g.agent.put(g.url('/records')).send(record).expect(200)).body;
    const second = (await g.agent.put(g.url('/records')).send(record).expect(200)).body;
    expect([first.version, second.version]).toEqual([1, 1]);
    const changed = { ...record, version: 1, data: { ...record.data, litres: 3 } };
    expect((await g.agent.put(g.url('/records')).send(changed).expect(200)).body.version).toBe(2);
    expect((await g.agent.put(g.url('/records')).send(changed).expect(200)).body.version).toBe(2);
    await g.agent
      .put(g.url('/records'))
      .send({ ...record, version: 1, data: { ...record.data, litres: 9 } })
      .expect(409);
    // without a version it was a creation, and that was done
    await g.agent
      .put(g.url('/records'))
      .send({ ...record, data: { ...record.data, litres: 9 } })
      .expect(200);
    expect((await g.agent.get(g.url(`/records?plantId=${plant}`)).expect(200)).body).toMatchObject([
      { data: { litres: 3 } },
    ]);
  });

  test('many writes at once to one garden all arrive', async () => {
    const g = await gardener(app);
    const { plant } = await potted(g);
    const records = Array.from({ length: 20 }, (_, i) => watering({ plantId: plant }, addDays(TODAY, -i), 1));
    await Promise.all(
      records.flatMap((r) => [
        g.agent.put(g.url('/records')).send(r).expect(200),
        g.agent.put(g.url('/records')).send(r).expect(200),
      ]),
    );
    expect((await g.agent.get(g.url('/records')).expect(200)).body).toHaveLength(20);
  });

  test('deleted means marked, not gone: it leaves every view and can be restored', async () => {
    const g = await gardener(app);
    const { plant } = await potted(g);
    const record = watering({ plantId: plant }, TODAY, 2);
    await g.agent.put(g.url('/records')).send(record).expect(200);
    await g.agent.delete(g.url(`/records/${record.id}`)).expect(204);
    expect((await g.agent.get(g.url('/records'))).body).toEqual([]);
    await g.agent.post(g.url(`/records/${record.id}/restore`)).expect(204);
    expect((await g.agent.get(g.url('/records'))).body).toHaveLength(1);
  });

  test('nothing is planted in an archived bed; what stands in it can still be described', async () => {
    const g = await gardener(app);
    const { plant, place } = await potted(g);
    await g.agent
      .post(g.url(`/places/${place}/retire`))
      .send({ plants: 'end' })
      .expect(200);
    const put = (body: object) =>
      g.agent.put(g.url('/plants')).send({ placeId: place, crop: 'tomato', transplantedOn: '2026-05-10', ...body });
    const refused = await put({ id: uuid(), name: 'New' }).expect(400);
    expect(refused.body.faults).toEqual([{ path: 'placeId', reason: expect.stringMatching(/is archived/) }]);
    await put({ id: plant, name: 'Renamed', version: 1 }).expect(200);
  });

  test('a bed is archived once it is said where its plants go: to another bed, or archived with it', async () => {
    const g = await gardener(app);
    const { plant, place } = await potted(g);
    const retire = (body: object) => g.agent.post(g.url(`/places/${place}/retire`)).send(body);
    const asked = await retire({}).expect(400);
    expect(asked.body.faults).toEqual([{ path: 'plants', reason: expect.stringMatching(/a plant still stands/) }]);
    const other = uuid();
    await g.agent
      .put(g.url('/places'))
      .send({ id: other, name: 'Other', kind: 'container', texture: 'potting-mix', volumeL: 12 })
      .expect(200);
    await retire({ plants: 'move' }).expect(400);
    await retire({ plants: 'move', toPlaceId: place }).expect(400);
    await retire({ plants: 'move', toPlaceId: uuid() }).expect(404);
    const standing = async () =>
      ((await g.agent.get(g.url('/view')).expect(200)).body as GardenView).places.map((p) => [
        p.place.id,
        p.plants.map((x) => x.plant.id),
      ]);
    expect(await standing()).toHaveLength(2);
    await retire({ plants: 'move', toPlaceId: other }).expect(200, { ended: [], moved: [plant] });
    expect(await standing()).toEqual([[other, [plant]]]);
    // sent again, nothing is left to move
    await retire({ plants: 'move', toPlaceId: other }).expect(200, { ended: [], moved: [] });
    await g.agent
      .post(g.url(`/places/${other}/retire`))
      .send({ plants: 'end' })
      .expect(200, { ended: [plant], moved: [] });
    expect(await standing()).toEqual([]);
  });

  test('places are reordered; an unknown id in the order is refused and nothing moves', async () => {
    const g = await gardener(app);
    const names = ['one', 'two', 'three'];
    const ids = names.map(() => uuid());
    for (const [i, id] of ids.entries())
      await g.agent
        .put(g.url('/places'))
        .send({ id, name: names[i], kind: 'container', texture: 'loam', volumeL: 10 })
        .expect(200);
    await g.agent
      .post(g.url('/places/order'))
      .send({ ids: [ids[2], ids[0], ids[1]] })
      .expect(204);
    await g.agent
      .post(g.url('/places/order'))
      .send({ ids: [ids[1], uuid()] })
      .expect(400);
    const order = async () => ((await g.agent.get(g.url('/view'))).body as GardenView).places.map((p) => p.place.name);
    expect(await order()).toEqual(['three', 'one', 'two']);
    await g.agent.post(g.url(`/places/${ids[0]}/retire`)).expect(200);
    expect(await order()).toEqual(['three', 'two']);
    await g.agent.post(g.url(`/places/${ids[0]}/restore`)).expect(204);
    expect(await order()).toEqual(['three', 'one', 'two']);
  });
});

describe('weather', () => {
  test('is fetched, survives a station that is down or wrong, and the gardener’s own gauge overrides it', async () => {
    const g = await gardener(app);
    const { plant } = await potted(g);
    // a new garden has its weather at once
    expect(((await g.agent.get(g.url('/view')).expect(200)).body as GardenView).weather.newest).toBe(TODAY);
    expect((await g.agent.post(g.url('/weather/pull')).expect(200)).body).toMatchObject({
      newest: TODAY,
      trouble: null,
    });
    const view = async () => (await g.agent.get(g.url(`/plants/${plant}/view`)).expect(200)).body as PlantView;
    const dry = (await view()).report.water.daily.at(-1)!.fractionAvailable;
    const reading = { id: uuid(), type: 'rain-gauge', data: { date: addDays(TODAY, -1), rainMm: 60 } };
    const read = (more: object) => g.agent.put(g.url('/records')).send({ ...reading, ...more });
    await read({}).expect(200);
    expect((await view()).report.water.daily.at(-1)!.fractionAvailable).toBeGreaterThan(dry);
    await read({ id: uuid(), data: { ...reading.data, rainMm: -3 } }).expect(400);
    await read({ id: uuid(), plantId: plant }).expect(400); // it is the garden's, not a plant's
    await g.agent.post(g.url('/weather/pull')).expect(200); // a pull leaves the gauge alone
    expect((await view()).weather.find((w) => w.day === addDays(TODAY, -1))).toMatchObject({
      rainMm: 60,
      gauge: { recordId: reading.id, version: 1, rainMm: 60 },
    });
    app.station.down = true;
    expect((await g.agent.post(g.url('/weather/pull')).expect(200)).body).toMatchObject({
      newest: TODAY,
      trouble: 'nobody answers',
    });
    app.station.down = false;
    app.station.lie = { tMinC: 50 };
    expect((await g.agent.post(g.url('/weather/pull')).expect(200)).body.trouble).toMatch(/above the day's warmest/);
    app.station.lie = {};
    expect((await g.agent.post(g.url('/weather/pull')).expect(200)).body.trouble).toBeNull();
  });

  test('a garden without a fixed day follows the calendar of its own time zone', async () => {
    const g = await gardener(app);
    const { today: _t, ...settings } = (await g.agent.get(g.url('')).expect(200)).body;
    const there = async (timeZone: string, version: number) =>
      (
        await g.agent
          .put('/api/gardens')
          .send({ ...settings, version, timeZone, pinnedDate: null })
          .expect(200)
      ).body.today as string;
    const kiribati = await there('Pacific/Kiritimati', 1);
    const niue = await there('Pacific/Niue', 2);
    expect(kiribati > niue).toBe(true); // 25 hours apart
  });
});

test('the story behind the page: signs, finding, treatment, ticks, two weeks later, it worked', async () => {
  const g = await gardener(app);
  const { plant } = await potted(g);
  for (const back of [25, 20, 15, 10, 5])
    await g.agent
      .put(g.url('/records'))
      .send(watering({ plantId: plant }, addDays(TODAY, -back), 9))
      .expect(200);
  const look = {
    id: uuid(),
    type: 'inspection',
    plantId: plant,
    data: {
      date: TODAY,
      allClear: false,
      signs: [
        { sign: 'fruit-blossom-end-dark', present: true, affected: 5, of: 12 },
        { sign: 'pest-none-found', present: true },
      ],
    },
  };
  await g.agent.put(g.url('/records')).send(look).expect(200);
  const page = async () => (await g.agent.get(g.url(`/plants/${plant}/view`)).expect(200)).body as PlantView;
  const garden = async () => (await g.agent.get(g.url('/view')).expect(200)).body as GardenView;

  const { report } = await page();
  expect(report.diagnosis[0]).toMatchObject({ disorder: 'blossom-end-rot' });
  expect(report.diagnosis[0]!.drivers.map((d) => d.driver)).toContain('uneven-watering');
  // what the page exports is a case file that can be read again, and gives the same finding
  expect(
    parseCase(JSON.parse(JSON.stringify((await g.agent.get(g.url(`/plants/${plant}/case`)).expect(200)).body))),
  ).toMatchObject({ asOf: TODAY });

  await g.agent
    .post(g.url(`/plants/${plant}/treatments`))
    .send({ id: uuid(), disorder: 'late-blight' })
    .expect(400);
  const accept = { id: uuid(), disorder: 'blossom-end-rot' };
  const taken = (
    await g.agent
      .post(g.url(`/plants/${plant}/treatments`))
      .send(accept)
      .expect(200)
  ).body;
  const again = (
    await g.agent
      .post(g.url(`/plants/${plant}/treatments`))
      .send({ ...accept, id: uuid() })
      .expect(200)
  ).body;
  expect(again.id).toBe(taken.id);

  // what waters is the plan's to order: one task, with the plan's litres
  expect((await garden()).today.filter((t) => t.remedy === 'even-watering')).toEqual([]);
  const water = (await garden()).today.find((t) => t.source === 'water' && !t.feel)!;
  expect(water.dose!.litres).toBeGreaterThan(0.5);
  expect(report.water.nextWatering).toMatchObject({ date: TODAY, litres: water.dose!.litres });
  expect(report.remedies.find((r) => r.remedy === 'even-watering')!.when).toBe(TODAY);
  const tick = { recordId: uuid() };
  for (let i = 0; i < 2; i++)
    await g.agent
      .post(g.url(`/tasks/${water.key}/done`))
      .send(tick)
      .expect(200);
  expect((await garden()).today.some((t) => t.source === 'water' && !t.feel)).toBe(false);
  const todays = (await page()).records.filter((r) => r.type === 'watering' && r.day === TODAY);
  expect(todays).toMatchObject([{ id: tick.recordId, data: { litres: water.dose!.litres } }]);
  await g.agent
    .post(g.url(`/tasks/${water.key}/undo`))
    .send(tick)
    .expect(204);
  expect((await garden()).today.some((t) => t.source === 'water' && !t.feel)).toBe(true);
  expect((await page()).records.some((r) => r.id === tick.recordId)).toBe(false);
  const pick = (await garden()).today.find((t) => t.remedy === 'pick-off-affected-fruit')!;
  await g.agent.post(g.url(`/tasks/${pick.key}/not-today`)).expect(204);
  expect((await garden()).today.some((t) => t.key === pick.key)).toBe(false);

  const { today: _t, ...settings } = (await g.agent.get(g.url('')).expect(200)).body;
  await g.agent
    .put('/api/gardens')
    .send({ ...settings, pinnedDate: addDays(TODAY, 14) })
    .expect(200);
  expect((await garden()).today.filter((t) => t.source === 'look-again')).toHaveLength(1);
  const closed = (
    await g.agent
      .post(g.url(`/treatments/${taken.id}/outcome`))
      .send({ outcome: 'worked' })
      .expect(200)
  ).body;
  expect(closed).toMatchObject({ outcome: 'worked', closedOn: addDays(TODAY, 14) });
  await g.agent
    .post(g.url(`/treatments/${taken.id}/outcome`))
    .send({ outcome: 'worse' })
    .expect(200); // said once: it stands
  expect((await page()).treatments).toMatchObject([{ outcome: 'worked' }]);
  expect((await garden()).today.filter((t) => ['remedy', 'look-again'].includes(t.source))).toEqual([]);
  expect((await page()).report.diagnosis).toEqual([]);
});

test('while a large garden’s reports are computed, others are answered', async () => {
  const big = await gardener(app);
  const { place } = await potted(big);
  for (let i = 0; i < 40; i++)
    await big.agent
      .put(big.url('/plants'))
      .send({ id: uuid(), placeId: place, name: `Plant ${i}`, crop: 'tomato', transplantedOn: '2026-05-10' })
      .expect(200);
  let done = false;
  const view = big.agent.get(big.url('/view')).then((answer) => {
    done = true;
    return answer.body as GardenView;
  });
  let answered = 0;
  while (!done) {
    await app.http().get('/api/health').expect(200);
    answered += 1;
  }
  expect((await view).places[0]!.plants).toHaveLength(41);
  // one report blocks for some milliseconds; all forty together would have let hardly one answer through
  expect(answered).toBeGreaterThan(5);
});
