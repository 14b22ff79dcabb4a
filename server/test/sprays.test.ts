import type { SprayLogRow } from '@candid-leaf/contract';
import { addDays } from '@candid-leaf/core/units';
import { v7 as uuid } from 'uuid';
import { useApp } from './app.js';
import { gardenOf } from './gardening.js';

const app = useApp();
const TODAY = '2026-07-18';
const STEP_TWO = addDays(TODAY, 5);

/** A pepper in a cool room with aphids, of which water alone was not enough: its soap is due. */
async function soapDue(facts: object = {}) {
  const g = await gardenOf(app);
  const place = await g.place({ kind: 'indoors', texture: 'potting-mix', volumeL: 14, ...facts });
  const plant = await g.plant(place, { crop: 'pepper', type: 'sweet', heightM: 0.6, stage: 'vegetative' });
  const water = (back: number) => g.record('watering', { plantId: plant }, { date: addDays(TODAY, -back), litres: 2 });
  for (const back of [12, 9, 6, 3, 0]) await water(back);
  const seen = ['pest-aphids', 'leaf-sticky', 'leaf-curl-tight-new'].map((sign) => ({ sign, present: true }));
  await g.record('inspection', { plantId: plant }, { date: TODAY, allClear: false, signs: seen });
  const id = uuid();
  await g.agent
    .post(g.url(`/plants/${plant}/treatments`))
    .send({ id, disorder: 'aphids' })
    .expect(200);
  await g.goTo(STEP_TWO);
  await water(-4);
  const answer = () =>
    g.agent
      .post(g.url(`/treatments/${id}/outcome`))
      .send({ outcome: 'no-change' })
      .expect(200);
  for (let step = 0; step < 4; step++) {
    await answer();
    if ((await spray()) !== undefined) break;
    const next = addDays(STEP_TWO, 5 * (step + 1));
    await g.goTo(next);
    await g.record('watering', { plantId: plant }, { date: next, litres: 2 });
  }
  async function spray() {
    return (await g.view()).today.find((t) => t.remedy?.endsWith('-spray'));
  }
  const today = async () => (await g.view()).garden.today;
  const log = async () => (await g.agent.get(g.url('/sprays')).expect(200)).body as SprayLogRow[];
  const look = async (...signs: string[]) =>
    g.record(
      'inspection',
      { plantId: plant },
      { date: await today(), allClear: signs.length === 0, signs: signs.map((sign) => ({ sign, present: true })) },
    );
  const nextDay = async (days = 1) => {
    const on = addDays(await today(), days);
    await g.goTo(on);
    await g.record('watering', { plantId: plant }, { date: on, litres: 1 });
  };
  return { ...g, place, plant, spray, log, look, nextDay, today };
}

test('one leaf first; the rest only after a look a day later; the log holds what an inspector needs', async () => {
  const g = await soapDue();
  const first = (await g.spray())!;
  expect(first.title).toBe('Test on one leaf first: Soap spray');
  expect(first.held).toBeUndefined();
  const recordId = uuid();
  expect((await g.tick(first.key, { recordId })).body).toEqual({ recordId });
  await g.tick(first.key, { recordId });
  const tried = await g.today();
  expect(await g.log()).toMatchObject([
    {
      day: tried,
      plants: ['Plant'],
      place: 'Bed',
      who: expect.any(String),
      spray: { product: 'soap', trial: true, target: 'Aphids', perLitre: 15, harvestDays: 0, everyDays: 5 },
      againFrom: addDays(tried, 5),
    },
  ]);
  // the same day it waits, and a tick writes nothing
  const waiting = (await g.spray())!;
  expect(waiting).toMatchObject({ title: 'Spray the rest: Soap spray', held: { until: addDays(tried, 1) } });
  expect((await g.tick(waiting.key, { recordId: uuid() })).body).toEqual({ recordId: null });
  await g.nextDay();
  expect(await g.spray()).toMatchObject({ title: 'Check the test leaf', see: 'leaves' });
  expect((await g.tick(waiting.key, { recordId: uuid() })).body).toEqual({ recordId: null });
  await g.look('pest-aphids');
  const rest = (await g.spray())!;
  expect(rest).toMatchObject({ title: 'Soap spray', why: expect.stringMatching(/the test leaf is healthy/) });
  expect(rest.held).toBeUndefined();
  await g.tick(rest.key, { recordId: uuid() });
  expect(await g.spray()).toBeUndefined();
  expect((await g.log()).map((r) => r.spray.trial ?? false)).toEqual([false, true]);
});

test('a burnt leaf ends it: the plant is not sprayed, and a tick saves no spray', async () => {
  const g = await soapDue();
  const first = (await g.spray())!;
  await g.tick(first.key, { recordId: uuid() });
  await g.nextDay();
  await g.look('leaf-bleached-patches');
  const burnt = (await g.spray())!;
  expect(burnt).toMatchObject({ title: 'Do not spray: Soap spray', why: expect.stringMatching(/is burnt/) });
  expect((await g.tick(burnt.key, { recordId: uuid() })).body).toEqual({ recordId: null });
  expect(await g.spray()).toBeUndefined();
  expect(await g.log()).toHaveLength(1);
});

test('beside a pond nothing is sprayed, however often it is ticked', async () => {
  const g = await soapDue({ pondNear: true });
  const held = (await g.spray())!;
  expect(held.held!.because).toMatch(/pond is nearby/);
  expect((await g.tick(held.key, { recordId: uuid() })).body).toEqual({ recordId: null });
  expect(await g.log()).toEqual([]);
});

test('a picking during the wait, and two conflicting sprays, are refused with the way out; the wait shows in Today and on the plant', async () => {
  const g = await gardenOf(app);
  const place = await g.place({});
  const plant = await g.plant(place, { name: 'Red one' });
  const put = (type: string, data: object) =>
    g.agent.put(g.url('/records')).send({ id: uuid(), type, plantId: plant, data });
  await g.record(
    'spray',
    { placeId: place },
    { date: addDays(TODAY, -1), product: 'copper', name: 'Blue powder', harvestDays: 7 },
  );
  const wait = (await g.view()).today.find((t) => t.source === 'spray')!;
  expect(wait).toMatchObject({
    title: 'Do not pick: Red one',
    held: { until: addDays(TODAY, 6), because: expect.stringMatching(/Blue powder.*24 July/) },
  });
  expect((await g.plantView(plant)).next.map((t) => t.title)).toContain('Do not pick: Red one');
  const refused = await put('picking', { date: TODAY, state: 'sound', use: 'eaten' }).expect(400);
  expect(refused.body.faults).toEqual([
    { path: 'data.date', reason: expect.stringMatching(/not to pick before 24 July/) },
  ]);
  await put('picking', { date: TODAY, state: 'sound', use: 'eaten', because: 'the children did' }).expect(200);
  await put('event', { date: TODAY, what: 'staked' }).expect(200);
  const meets = await put('spray', { date: TODAY, product: 'bicarbonate' }).expect(400);
  expect(meets.body.faults).toEqual([{ path: 'data.product', reason: expect.stringMatching(/leave 7 days between/) }]);
  await put('spray', { date: TODAY, product: 'soap' }).expect(200);
});

test('a deleted spray blocks nothing', async () => {
  const g = await gardenOf(app);
  const plant = await g.plant(await g.place({}), { name: 'Red one' });
  const put = (type: string, data: object) =>
    g.agent.put(g.url('/records')).send({ id: uuid(), type, plantId: plant, data });
  const id = await g.record('spray', { plantId: plant }, { date: TODAY, product: 'copper', harvestDays: 7 });
  await put('picking', { date: TODAY, state: 'sound', use: 'eaten' }).expect(400);
  await put('spray', { date: TODAY, product: 'bicarbonate' }).expect(400);
  await g.agent.delete(g.url(`/records/${id}`)).expect(204);
  await put('picking', { date: TODAY, state: 'sound', use: 'eaten' }).expect(200);
  await put('spray', { date: TODAY, product: 'bicarbonate', harvestDays: 0 }).expect(200);
  expect((await g.view()).today.filter((t) => t.source === 'spray')).toEqual([]);
  // a spray whose label nobody entered: no picking before it was read
  await put('spray', { date: TODAY, product: 'sulfur' }).expect(200);
  const [task] = (await g.view()).today.filter((t) => t.source === 'spray');
  expect(task!.held!.because).toMatch(/its waiting time is not recorded: read the label/);
  await put('picking', { date: TODAY, state: 'sound', use: 'eaten' }).expect(400);
});

test('fruit that is due is picked before a spray whose wait would run into its day', async () => {
  const g = await soapDue();
  await g.agent
    .put(g.url('/products'))
    .send({
      id: uuid(),
      name: 'Own soap',
      kind: 'spray',
      form: 'liquid',
      spray: 'soap',
      n: 0,
      p2o5: 0,
      k2o: 0,
      dose: { per: 'litre', amount: 10 },
      harvestDays: 3,
    })
    .expect(200);
  expect((await g.spray())!.held).toBeUndefined();
  const today = await g.today();
  // a pepper is picked every five days
  await g.record(
    'picking',
    { plantId: g.plant },
    { date: addDays(today, -5), count: 2, grams: 200, state: 'sound', use: 'eaten' },
  );
  expect((await g.spray())!.held!.because).toMatch(/fruit is due on/);
  await g.record('picking', { plantId: g.plant }, { date: today, count: 2, grams: 200, state: 'sound', use: 'eaten' });
  expect((await g.spray())!.held).toBeUndefined();
});

test('the log adds up the copper metal of a bed in twelve months; a spray of unknown strength leaves the total open', async () => {
  const g = await gardenOf(app);
  const place = await g.place({ name: 'Long bed', kind: 'ground', texture: 'loam', lengthM: 4, widthM: 1 });
  const plant = await g.plant(place, { stage: 'vegetative' });
  const copper = { product: 'copper', perLitre: 4, batchL: 1, copperPct: 30 };
  const ago = (days: number) => ({ date: addDays(TODAY, -days) });
  await g.record('spray', { placeId: place }, { ...copper, ...ago(20), batchL: 2 });
  await g.record('spray', { plantId: plant }, { ...copper, ...ago(10) });
  // of last autumn, and of too long ago: the season's own records would miss the first
  await g.record('spray', { placeId: place }, { ...copper, ...ago(250) });
  await g.record('spray', { placeId: place }, { ...copper, ...ago(400) });
  const log = async () => (await g.agent.get(g.url('/sprays')).expect(200)).body as SprayLogRow[];
  // 2.4 g, 1.2 g and the 1.2 g of autumn on 4 m²
  expect((await log()).slice(0, 2).map((r) => r.copper)).toEqual([
    { here: 1.2, grams: expect.closeTo(4.8), unknown: 0, gPerM2: expect.closeTo(1.2) },
    { here: 2.4, grams: expect.closeTo(3.6), unknown: 0, gPerM2: expect.closeTo(0.9) },
  ]);
  await g.record('spray', { plantId: plant }, { product: 'copper', ...ago(1) });
  expect((await log())[0]!.copper).toMatchObject({ here: null, unknown: 1 });
  await g.record('spray', { plantId: plant }, { product: 'soap', ...ago(0) });
  expect((await log())[0]!.copper).toBeNull();
});
