import { GARDEN } from '@candid-leaf/demo';
import type { GardenView, RecordDto, SeveralAnswers } from '@candid-leaf/contract';
import { v7 as uuid } from 'uuid';
import { gardener, potted, useApp } from './app.js';

/** The same write sent again, in other letters, or at the same moment by two. */
const app = useApp();

const statuses = (answers: { status: number }[]) => [...new Set(answers.map((a) => a.status))].sort();
const atOnce = <T>(n: number, work: (i: number) => PromiseLike<T>): Promise<T[]> =>
  Promise.all(Array.from({ length: n }, (_, i) => work(i)));

test('an account sent many times at once is created once, with one answer for all; another password is refused', async () => {
  const body = { email: `${uuid()}@halt.example`, password: 'beside the old line', name: 'B' };
  const sign = (more: object = {}) =>
    app
      .http()
      .post('/api/accounts')
      .send({ ...body, ...more });
  const answers = await atOnce(6, () => sign());
  expect(statuses(answers)).toEqual([201]);
  expect(new Set(answers.map((a) => (a.body as { id: string }).id)).size).toBe(1);
  await sign({ password: 'somebody else’s word' }).expect(409);
});

test('a garden, a place, a plant and a record sent many times at once exist once, with one answer for all', async () => {
  const { agent } = await gardener(app);
  const garden = uuid();
  const url = `/api/gardens/${garden}`;
  expect(statuses(await atOnce(8, () => agent.put('/api/gardens').send({ ...GARDEN, id: garden })))).toEqual([200]);
  const [place, plant, record] = [uuid(), uuid(), uuid()];
  const pot = { id: place, name: 'Pot', kind: 'container', texture: 'potting-mix', volumeL: 12 };
  expect(statuses(await atOnce(8, () => agent.put(`${url}/places`).send(pot)))).toEqual([200]);
  const tomato = { id: plant, placeId: place, name: 'Paste', crop: 'tomato' };
  expect(statuses(await atOnce(8, () => agent.put(`${url}/plants`).send(tomato)))).toEqual([200]);
  const note = { id: record, type: 'note', plantId: plant, data: { date: '2026-07-18', text: 'once' } };
  const answers = await atOnce(8, () => agent.put(`${url}/records`).send(note));
  expect(statuses(answers)).toEqual([200]);
  expect(new Set(answers.map((a) => JSON.stringify({ ...a.body, createdAt: null }))).size).toBe(1);
  const view = (await agent.get(`${url}/view`).expect(200)).body as GardenView;
  expect(view.places.map((p) => [p.place.id, p.plants.length])).toEqual([[place, 1]]);
});

test('a bed with its plants is saved whole or not at all, and sent again it is the same', async () => {
  const g = await gardener(app);
  const place = { id: uuid(), name: 'Row', kind: 'container', texture: 'potting-mix', volumeL: 12 };
  const plant = (name: string) => ({ id: uuid(), placeId: place.id, name, crop: 'tomato' });
  const put = (plants: object[]) => g.agent.put(g.url('/plants/several')).send({ place, plants });
  const rows = async () => ((await g.agent.get(g.url('/view')).expect(200)).body as GardenView).places;
  const wrong = await put([plant('One'), { ...plant('Two'), transplantedOn: '2026-07-25' }]).expect(400);
  expect(wrong.body.faults).toEqual([{ path: 'plants.1.transplantedOn', reason: expect.stringMatching(/future/) }]);
  expect(await rows()).toEqual([]);
  const several = [plant('One'), plant('Two'), plant('Three')];
  for (const { status } of await atOnce(4, () => put(several))) expect(status).toBe(200);
  expect((await rows()).map((p) => p.plants.map((x) => x.plant.name))).toEqual([['One', 'Two', 'Three']]);
});

test('a creation sent again after it was edited or deleted returns the row as it is now', async () => {
  const g = await gardener(app);
  const { plant } = await potted(g);
  const first = { id: uuid(), type: 'note', plantId: plant, data: { date: '2026-07-18', text: 'first' } };
  const put = (body: object) => g.agent.put(g.url('/records')).send(body);
  await put(first).expect(200);
  await put({ ...first, version: 1, data: { ...first.data, text: 'edited' } }).expect(200);
  expect((await put(first).expect(200)).body).toMatchObject({ version: 2, data: { text: 'edited' } });
  // a change based on an older version is still a conflict
  await put({ ...first, version: 1 }).expect(409);
  await g.agent.delete(g.url(`/records/${first.id}`)).expect(204);
  await put(first).expect(200);
  expect((await g.agent.get(g.url(`/records?plantId=${plant}`)).expect(200)).body).toEqual([]);
});

test('two gardens that claim the same id at once: one gets it, the other hears that it does not exist', async () => {
  const [a, b] = [await gardener(app), await gardener(app)];
  for (let round = 0; round < 5; round++) {
    const id = uuid();
    const body = { id, name: 'Pot', kind: 'container', texture: 'loam', volumeL: 9 };
    const answers = await Promise.all([a, b].map((g) => g.agent.put(g.url('/places')).send(body)));
    expect(answers.map((x) => x.status).sort()).toEqual([200, 404]);
  }
});

test('capital letters in an id and another order of the fields are the same write', async () => {
  const g = await gardener(app);
  const { plant } = await potted(g);
  const id = uuid();
  const data = { date: '2026-07-18', litres: 2, how: 'base' };
  const first = await g.agent.put(g.url('/records')).send({ id, type: 'watering', plantId: plant, data }).expect(200);
  const again = await g.agent
    .put(g.url('/records').toUpperCase().replace('/API/GARDENS', '/api/gardens').replace('/RECORDS', '/records'))
    .send({
      data: { how: 'base', litres: 2, date: '2026-07-18' },
      plantId: plant.toUpperCase(),
      type: 'watering',
      id: id.toUpperCase(),
    })
    .expect(200);
  expect((again.body as RecordDto).version).toBe((first.body as RecordDto).version);
  expect((again.body as RecordDto).id).toBe(id);
  expect((await g.agent.get(g.url('/records')).expect(200)).body).toHaveLength(1);
  const order = { units: { area: 'm2', mass: 'g', length: 'cm', volume: 'L', temperature: 'C' } };
  const garden = (await g.agent.put('/api/gardens').send({ ...order, ...GARDEN, ...order, id: g.garden.toUpperCase() }))
    .body as GardenView['garden'];
  expect([garden.id, garden.version]).toEqual([g.garden, 1]);
});

test('a garden cannot be set more than two years from today', async () => {
  const g = await gardener(app);
  const settings = { ...GARDEN, id: g.garden, version: 1 };
  for (const pinnedDate of ['9999-01-01', '2029-11-25', '2019-01-01']) {
    const refused = await g.agent
      .put('/api/gardens')
      .send({ ...settings, pinnedDate })
      .expect(400);
    expect(refused.body.faults).toEqual([{ path: 'pinnedDate', reason: expect.stringMatching(/two years/) }]);
  }
  // what stands already may stay, whatever the calendar says
  await g.agent.put('/api/gardens').send(settings).expect(200);
  await g.agent
    .put('/api/gardens')
    .send({ ...settings, id: uuid(), version: undefined, pinnedDate: '9999-01-01' })
    .expect(400);
});

test('several records in one request are each saved or refused as if alone, and repeating changes nothing', async () => {
  const g = await gardener(app);
  const { plant } = await potted(g);
  const note = (more: object = {}) => ({
    id: uuid(),
    type: 'note',
    plantId: plant,
    data: { date: '2026-07-18', text: 'in a row' },
    ...more,
  });
  const records = [
    note(),
    note({ data: { date: '2031-07-18', text: 'to come' } }),
    note({ plantId: uuid() }),
    note({ colour: 'red' }),
    note(),
  ];
  const changed = { ...records[0]!, version: 7, data: { date: '2026-07-18', text: 'another' } };
  const send = (rows: object[]) => g.agent.put(g.url('/records/several')).send({ records: rows });
  const answers = async (rows: object[]) =>
    ((await send(rows).expect(200)).body as SeveralAnswers).answers.map((a) =>
      'record' in a ? a.record.version : [a.refused.status, ...(a.refused.faults ?? []).map((f) => f.path)],
    );
  const expected = [1, [400, 'data.date'], [404], [400, 'colour'], 1, [409]];
  expect(await answers([...records, changed])).toEqual(expected);
  expect(await answers([...records, changed])).toEqual(expected);
  const kept = (await g.agent.get(g.url('/records')).expect(200)).body as RecordDto[];
  expect(kept.map((r) => r.id).sort()).toEqual([records[0]!.id, records[4]!.id].sort());
  await send([]).expect(400);
  await send(Array.from({ length: 51 }, () => note())).expect(400);
  await send(['x'] as never).expect(400);
});
