import { addDays } from '@candid-leaf/core/units';
import { GARDEN } from '@candid-leaf/demo';
import { v7 as uuid } from 'uuid';
import { useApp } from './app.js';
import { gardenOf } from './gardening.js';

const app = useApp();
const TODAY = '2026-07-18';

/** A bed with two plants, and a pot, planted two months ago; what was looked at is to be told. */
async function garden() {
  const g = await gardenOf(app);
  const bed = await g.place({ name: 'Bed' });
  const pot = await g.place({ name: 'Pot', kind: 'container', texture: 'potting-mix', volumeL: 14 });
  const plants = [
    await g.plant(bed, { name: 'A' }),
    await g.plant(bed, { name: 'B' }),
    await g.plant(pot, { name: 'C' }),
  ];
  const look = (plantId: string, back: number) =>
    g.record('inspection', { plantId }, { date: addDays(TODAY, -back), allClear: true, signs: [] });
  const walks = async () => (await g.view()).today.filter((t) => t.source === 'walk');
  const away = async (list: object[]) => {
    const { today: _t, ...settings } = (await g.view()).garden;
    return g.agent.put('/api/gardens').send({ ...settings, away: list });
  };
  return { ...g, bed, pot, plants, look, walks, away };
}

test('a walk is due a week after the plant left longest, and "all clear" is a look at each of them', async () => {
  const g = await garden();
  await g.look(g.plants[0]!, 2);
  await g.look(g.plants[1]!, 7);
  await g.look(g.plants[2]!, 3);
  const [walk, ...others] = await g.walks();
  expect(others).toEqual([]);
  expect(walk).toMatchObject({ placeId: g.bed, title: 'Check Bed', minutes: 4, walk: { undersides: true } });
  expect(walk!.why).toMatch(/last looked over 7 days ago/);

  const recordId = uuid();
  expect((await g.tick(walk!.key, { recordId })).body).toEqual({ recordId });
  expect(await g.walks()).toEqual([]);
  // sent twice, the second time under the code of the version before: one look each
  await g.tick(walk!.key.replace('walk:', 'round:'), { recordId }).expect(200);
  const looks = async (plant: string) =>
    (await g.plantView(plant)).records.filter((r) => r.type === 'inspection' && r.day === TODAY);
  for (const plant of g.plants.slice(0, 2)) expect(await looks(plant)).toMatchObject([{ data: { allClear: true } }]);
  await g.untick(walk!.key, { recordId }).expect(204);
  for (const plant of g.plants.slice(0, 2)) expect(await looks(plant)).toEqual([]);
  expect(await g.walks()).toHaveLength(1);
});

test('"all clear" says nothing about a plant looked at today', async () => {
  const g = await garden();
  await g.look(g.plants[0]!, 9);
  await g.look(g.plants[1]!, 9);
  await g.look(g.plants[2]!, 1);
  await g.record(
    'inspection',
    { plantId: g.plants[0]! },
    { date: TODAY, allClear: false, signs: [{ sign: 'leaf-wilt', present: true }] },
  );
  const [walk] = await g.walks();
  await g.tick(walk!.key, { recordId: uuid() }).expect(200);
  expect((await g.plantView(g.plants[0]!)).report.diagnosis.length).toBeGreaterThan(0);
});

test('the gardener’s own rhythm, and "not today"', async () => {
  const g = await garden();
  for (const plant of g.plants) await g.look(plant, 1);
  expect(await g.walks()).toEqual([]);
  await g.changePlace(g.bed, { looking: 'daily' });
  const [glance] = await g.walks();
  expect(glance).toMatchObject({ placeId: g.bed, where: '2 plants, at a glance', walk: { undersides: false } });
  await g.notToday(glance!.key).expect(204);
  expect(await g.walks()).toEqual([]);
  const { position: _p, retiredOn: _r, ...bed } = (await g.view()).places[0]!.place;
  const odd = await g.agent.put(g.url('/places')).send({ ...bed, looking: 'hourly' });
  expect([odd.status, odd.body.faults[0].path]).toEqual([400, 'looking']);
});

test('while nobody is there no walk is due, and on the return the pots come first', async () => {
  const g = await garden();
  for (const plant of g.plants) await g.look(plant, 12);
  expect((await g.away([{ from: addDays(TODAY, -1), to: addDays(TODAY, 3) }])).status).toBe(200);
  expect(await g.walks()).toEqual([]);
  expect((await g.away([{ from: addDays(TODAY, -9), to: addDays(TODAY, -1) }])).status).toBe(200);
  const back = await g.walks();
  expect(back.map((t) => t.placeId)).toEqual([g.pot, g.bed]);
  expect(back[0]!.why).toMatch(/you were away for 9 days, until .*: check the pots first/);
});

test('days away that end before they begin, or last over a year, are refused at their field', async () => {
  const g = await garden();
  const refused = async (list: object[]) => {
    const r = await g.away(list);
    return [r.status, (r.body as { faults: { path: string }[] }).faults.map((f) => f.path)];
  };
  expect(await refused([{ from: TODAY, to: addDays(TODAY, -1) }])).toEqual([400, ['away[0].to']]);
  expect(await refused([{ from: TODAY, to: addDays(TODAY, 400) }])).toEqual([400, ['away[0].to']]);
  expect((await refused([{ from: 'soon', to: TODAY }]))[0]).toBe(400);
  expect((await g.view()).garden.away).toEqual(GARDEN.away);
});

test('an open problem on a plant opens the walk at its part', async () => {
  const g = await garden();
  for (const plant of g.plants.slice(0, 2)) await g.look(plant, 8);
  await g.record(
    'inspection',
    { plantId: g.plants[2]! },
    { date: addDays(TODAY, -7), allClear: false, signs: [{ sign: 'fruit-blossom-end-dark', present: true }] },
  );
  await g.weather();
  await g.agent
    .post(g.url(`/plants/${g.plants[2]}/treatments`))
    .send({ id: uuid(), disorder: 'blossom-end-rot' })
    .expect(200);
  const walk = (await g.walks()).find((t) => t.placeId === g.pot);
  expect(walk!.walk!.parts).toContain('fruit');
});

test('three wet days by the own gauge make a walk due, though the station was dry', async () => {
  const g = await garden();
  for (const plant of g.plants) await g.look(plant, 4);
  expect(await g.walks()).toEqual([]);
  for (const back of [3, 2, 1]) await g.record('rain-gauge', {}, { date: addDays(TODAY, -back), rainMm: 6 });
  const walks = await g.walks();
  expect(walks.map((r) => r.why)).toEqual([
    expect.stringMatching(/3 wet days in a row/),
    expect.stringMatching(/3 wet days in a row/),
  ]);
});
