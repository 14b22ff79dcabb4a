import type { SoilView } from '@candid-leaf/contract';
import { addDays } from '@candid-leaf/core/units';
import { v7 as uuid } from 'uuid';
import { useApp } from './app.js';
import { gardenOf } from './gardening.js';

const app = useApp();
const TODAY = '2026-07-18';

test('a soil test as the laboratory gave it: judged by levels that findings use; an older one stays, the newest counts', async () => {
  const g = await gardenOf(app);
  const place = await g.place({});
  const plant = await g.plant(place);
  const values = { potassium: { amount: 0.2, unit: 'meq/100g' }, magnesium: { amount: 400, unit: 'lb/acre' } };
  await g.changePlace(place, { soilTest: { date: '2025-10-02', pH: 5.6 } });
  await g.changePlace(place, { soilTest: { date: '2026-04-02', pH: 6.3, values } });
  const { place: kept } = (await g.view()).places[0]!;
  expect(kept.soilTests!.map((t) => t.date)).toEqual(['2025-10-02', '2026-04-02']);
  expect(kept.soilTest).toMatchObject({ date: '2026-04-02', potassium: 'low', magnesium: 'ok', values });
  const { place: inCase } = (await g.agent.get(g.url(`/plants/${plant}/case`)).expect(200)).body;
  expect(inCase.soilTest).toMatchObject({ potassium: 'low' });
});

test.each([
  [{ pH: 12 }, 'soilTest.pH'],
  [{ values: { potassium: { amount: 1, unit: 'grains' } } }, 'soilTest.values.potassium.unit'],
  [{ values: { phosphorus: { amount: 1, unit: 'meq/100g' } } }, 'soilTest.values.phosphorus.unit'],
])('an impossible test, %j, is refused at %s', async (test, path) => {
  const g = await gardenOf(app);
  const answer = await g.agent.put(g.url('/places')).send({
    id: uuid(),
    name: 'Bed',
    kind: 'ground',
    texture: 'loam',
    lengthM: 1,
    widthM: 1,
    soilTest: { date: TODAY, ...test },
  });
  expect([answer.status, answer.body.faults.map((f: { path: string }) => f.path)]).toEqual([400, [path]]);
});

test('mulch is due when the soil is warm, laid with one tick, and undone; a mulched bed is left alone', async () => {
  const g = await gardenOf(app);
  const bed = await g.place({ name: 'Long bed', lengthM: 2, widthM: 1 });
  const plant = await g.plant(bed);
  // nobody said whether any lies there: nothing is ordered, it is asked
  expect((await g.view()).today.some((t) => t.source === 'soil')).toBe(false);
  expect((await g.agent.get(g.url(`/places/${bed}/soil`)).expect(200)).body.mulch).toEqual({ kind: 'ask' });
  await g.record(
    'inspection',
    { plantId: plant },
    { date: TODAY, allClear: false, signs: [{ sign: 'soil-bare', present: true }] },
  );
  const task = async () => (await g.view()).today.find((t) => t.source === 'soil');
  const asked = (await task())!;
  expect(asked).toMatchObject({ title: 'Mulch: Long bed', amount: expect.stringMatching(/6.cm deep, 120.L/) });
  const recordId = uuid();
  for (const _ of [1, 2]) await g.tick(asked.key, { recordId }).expect(200);
  expect(await task()).toBeUndefined();
  expect((await g.view()).places[0]!.place.mulch).toEqual([{ from: TODAY, kind: 'straw', depthMm: 60 }]);
  await g.untick(asked.key, { recordId }).expect(204);
  expect(await task()).toBeDefined();
  expect((await g.view()).places[0]!.place.mulch).toEqual([]);
});

test('mulch, shade and a rain cover recorded on a bed count from that day, and a deleted record no longer does', async () => {
  const g = await gardenOf(app);
  const bed = await g.place({ name: 'Long bed', lengthM: 2, widthM: 1 });
  await g.plant(bed);
  const put = (id: string, data: object) =>
    g.agent.put(g.url('/records')).send({ id, type: 'covering', placeId: bed, data: { date: TODAY, ...data } });
  const [cloth, straw] = [uuid(), uuid()];
  await put(cloth, { what: 'shade', did: 'on' }).expect(200);
  await put(straw, { what: 'mulch', did: 'on', material: 'leaves', depthCm: 4 }).expect(200);
  await put(straw, { what: 'mulch', did: 'on', material: 'leaves', depthCm: 4 }).expect(200);
  const lies = async () => {
    const { mulch, shade } = (await g.view()).places[0]!.place;
    return { mulch, shade };
  };
  const shade = [{ from: TODAY, blockPct: 30 }];
  expect(await lies()).toEqual({ mulch: [{ from: TODAY, kind: 'leaves', depthMm: 40 }], shade });
  // the bed as it is shown can be saved as it is, and lies under the same straw
  await g.changePlace(bed, {});
  expect(await lies()).toEqual({ mulch: [{ from: TODAY, kind: 'leaves', depthMm: 40 }], shade });
  await g.changePlace(bed, { mulch: [], shade: [] });
  await g.agent.delete(g.url(`/records/${straw}`)).expect(204);
  expect(await lies()).toEqual({ mulch: [], shade });
  await put(uuid(), { what: 'mulch', did: 'on', depthCm: 51 }).expect(400);
  await put(uuid(), { what: 'hail', did: 'on' }).expect(400);
});

test('what grew and its problems are recorded automatically, and count in the next year', async () => {
  const g = await gardenOf(app);
  const bed = await g.place({});
  const plant = await g.plant(bed);
  const grown = async () => ((await g.agent.get(g.url(`/places/${bed}/soil`)).expect(200)).body as SoilView).grown;
  expect(await grown()).toEqual([{ year: 2026, family: 'nightshade', problems: [] }]);
  for (const back of [20, 16, 12, 8, 4, 1])
    await g.record('watering', { plantId: plant }, { date: addDays(TODAY, -back), litres: 6, how: 'overhead' });
  const seen = ['leaf-target-spots', 'where-lower-leaves', 'pace-spreading-upward'].map((sign) => ({
    sign,
    present: true,
  }));
  await g.record('inspection', { plantId: plant }, { date: TODAY, allClear: false, signs: seen });
  const take = () =>
    g.agent
      .post(g.url(`/plants/${plant}/treatments`))
      .send({ id: uuid(), disorder: 'early-blight' })
      .expect(200);
  await take();
  await take();
  expect(await grown()).toEqual([{ year: 2026, family: 'nightshade', problems: ['early-blight'] }]);
  await g.changePlace(bed, { mulch: [{ from: '2026-05-10', depthMm: 0 }] });
  // leaf spot has been here: paper goes under the mulch
  expect((await g.agent.get(g.url(`/places/${bed}/soil`)).expect(200)).body.mulch).toMatchObject({ paper: true });
  const { place } = (await g.agent.get(g.url(`/plants/${plant}/case`)).expect(200)).body;
  expect(place.history).toEqual([{ year: 2026, family: 'nightshade', problems: ['early-blight'] }]);
});
