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
  const rounds = async () => (await g.view()).today.filter((t) => t.source === 'round');
  const away = async (list: object[]) => {
    const { today: _t, ...settings } = (await g.view()).garden;
    return g.agent.put('/api/gardens').send({ ...settings, away: list });
  };
  return { ...g, bed, pot, plants, look, rounds, away };
}

test('a round is asked for a week after the plant that was left out longest, and "all clear" is a look at each of them', async () => {
  const g = await garden();
  await g.look(g.plants[0]!, 2);
  await g.look(g.plants[1]!, 7);
  await g.look(g.plants[2]!, 3);
  const [round, ...others] = await g.rounds();
  expect(others).toEqual([]);
  expect(round).toMatchObject({ placeId: g.bed, title: 'Check Bed', minutes: 4, round: { undersides: true } });
  expect(round!.why).toMatch(/last looked over 7 days ago/);

  const recordId = uuid();
  expect((await g.tick(round!.key, { recordId })).body).toEqual({ recordId });
  expect(await g.rounds()).toEqual([]);
  // sent twice: one look each
  await g.tick(round!.key, { recordId }).expect(200);
  const looks = async (plant: string) =>
    (await g.plantView(plant)).records.filter((r) => r.type === 'inspection' && r.day === TODAY);
  for (const plant of g.plants.slice(0, 2)) expect(await looks(plant)).toMatchObject([{ data: { allClear: true } }]);
  await g.untick(round!.key, { recordId }).expect(204);
  for (const plant of g.plants.slice(0, 2)) expect(await looks(plant)).toEqual([]);
  expect(await g.rounds()).toHaveLength(1);
});

test('"all clear" says nothing of a plant that was looked at today', async () => {
  const g = await garden();
  await g.look(g.plants[0]!, 9);
  await g.look(g.plants[1]!, 9);
  await g.look(g.plants[2]!, 1);
  await g.record(
    'inspection',
    { plantId: g.plants[0]! },
    { date: TODAY, allClear: false, signs: [{ sign: 'leaf-wilt', present: true }] },
  );
  const [round] = await g.rounds();
  await g.tick(round!.key, { recordId: uuid() }).expect(200);
  expect((await g.plantView(g.plants[0]!)).report.diagnosis.length).toBeGreaterThan(0);
});

test('the gardener’s own rhythm, and "not today"', async () => {
  const g = await garden();
  for (const plant of g.plants) await g.look(plant, 1);
  expect(await g.rounds()).toEqual([]);
  await g.changePlace(g.bed, { looking: 'daily' });
  const [glance] = await g.rounds();
  expect(glance).toMatchObject({ placeId: g.bed, where: '2 plants, at a glance', round: { undersides: false } });
  await g.notToday(glance!.key).expect(204);
  expect(await g.rounds()).toEqual([]);
  const { position: _p, retiredOn: _r, ...bed } = (await g.view()).places[0]!.place;
  const odd = await g.agent.put(g.url('/places')).send({ ...bed, looking: 'hourly' });
  expect([odd.status, odd.body.faults[0].path]).toEqual([400, 'looking']);
});

test('while nobody is there no round is asked for, and on the return the pots come first', async () => {
  const g = await garden();
  for (const plant of g.plants) await g.look(plant, 12);
  expect((await g.away([{ from: addDays(TODAY, -1), to: addDays(TODAY, 3) }])).status).toBe(200);
  expect(await g.rounds()).toEqual([]);
  expect((await g.away([{ from: addDays(TODAY, -9), to: addDays(TODAY, -1) }])).status).toBe(200);
  const back = await g.rounds();
  expect(back.map((t) => t.placeId)).toEqual([g.pot, g.bed]);
  expect(back[0]!.why).toMatch(/you were away for 9 days, until .*: check the pots first/);
});

test('days away that end before they begin, or last for more than a year, are refused with their place', async () => {
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

test('what stands open on a plant opens the round where it shows', async () => {
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
  const round = (await g.rounds()).find((t) => t.placeId === g.pot);
  expect(round!.round!.parts).toContain('fruit');
});

test('three wet days by the gardener’s own gauge ask for a round, though the station was dry', async () => {
  const g = await garden();
  for (const plant of g.plants) await g.look(plant, 4);
  expect(await g.rounds()).toEqual([]);
  for (const back of [3, 2, 1]) await g.record('rain-gauge', {}, { date: addDays(TODAY, -back), rainMm: 6 });
  const rounds = await g.rounds();
  expect(rounds.map((r) => r.why)).toEqual([
    expect.stringMatching(/3 wet days in a row/),
    expect.stringMatching(/3 wet days in a row/),
  ]);
});
