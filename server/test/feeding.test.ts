import { addDays } from '@candid-leaf/core/units';
import { v7 as uuid } from 'uuid';
import { useApp } from './app.js';
import { gardenOf } from './gardening.js';

const app = useApp();
const TODAY = '2026-07-18';
const FEED = { product: 'Something', n: 4, p2o5: 3, k2o: 8, grams: 10, form: 'liquid' };

/** Two pots whose water is known, in a cool room or under shut glass in July. */
async function pots(facts: object = { kind: 'indoors' }) {
  const g = await gardenOf(app);
  const place = await g.place({ name: 'Pots', texture: 'potting-mix', volumeL: 20, ...facts });
  const plants = [await g.plant(place, { name: 'A' }), await g.plant(place, { name: 'B' })];
  for (let back = 30; back >= 0; back--)
    await g.record('watering', { placeId: place }, { date: addDays(TODAY, -back), litres: 4 });
  const fed = (back: number, more: object = {}, of: object = { placeId: place }) =>
    g.record('feeding', of, { ...FEED, date: addDays(TODAY, -back), ...more });
  const feeds = async () => (await g.view()).today.filter((t) => t.source === 'feed');
  return { ...g, place, plants, fed, feeds };
}

test('none recorded orders nothing, and the plant’s page asks; fed six days ago, the pots are due tomorrow, with the amount', async () => {
  const g = await pots();
  expect(await g.feeds()).toEqual([]);
  expect((await g.plantView(g.plants[0]!)).feeding).toMatchObject({
    plan: { kind: 'ask' },
    text: expect.stringMatching(/may only mean it was not written down/),
  });
  await g.fed(6);
  expect(await g.feeds()).toEqual([]);
  expect((await g.plantView(g.plants[0]!)).next).toContainEqual(
    expect.objectContaining({ source: 'feed', dueOn: addDays(TODAY, 1) }),
  );
  await g.goTo(addDays(TODAY, 1));
  const [feed, ...others] = await g.feeds();
  expect(others).toEqual([]);
  expect(feed).toMatchObject({ title: 'Feed: Pots', where: 'Liquid tomato feed' });
  expect(feed!.amount!.replaceAll('\u00a0', ' ')).toBe('26 mL (1 tbsp and 2 tsp) in 6 L, 3 L per plant');
});

test('a tick saves one feed for each plant with the label’s numbers; sent twice, once; undone, none', async () => {
  const g = await pots();
  await g.fed(20);
  const [feed] = await g.feeds();
  const recordId = uuid();
  const answer = await g.tick(feed!.key, { recordId });
  expect(answer.body).toEqual({ recordId });
  await g.tick(feed!.key, { recordId });
  const written = async () =>
    (await Promise.all(g.plants.map((p) => g.plantView(p)))).map((v) =>
      v.records.filter((r) => r.type === 'feeding' && r.day === TODAY).map((r) => r.data),
    );
  expect(await written()).toEqual(
    [1, 2].map(() => [
      expect.objectContaining({ product: 'Liquid tomato feed', n: 4, grams: 14.95, labelGrams: 14.95 }),
    ]),
  );
  expect(await g.feeds()).toEqual([]);
  await g.untick(feed!.key, { recordId });
  expect(await written()).toEqual([[], []]);
});

test('the gardener’s own rule filters: organic only offers nothing else', async () => {
  const g = await pots();
  await g.fed(20);
  const { today: _t, ...settings } = (await g.view()).garden;
  await g.agent
    .put('/api/gardens')
    .send({ ...settings, organicOnly: true })
    .expect(200);
  const [feed] = await g.feeds();
  expect(feed!.where).not.toBe('Liquid tomato feed');
  expect(['Organic granules', 'Seaweed extract', 'Fish emulsion']).toContain(feed!.where);
});

test('more than the label, ten times as much, and over 3 g of nitrogen are refused with the way out; a reason is saved', async () => {
  const g = await pots();
  const put = (data: object, id = uuid()) =>
    g.agent
      .put(g.url('/records'))
      .send({ id, type: 'feeding', plantId: g.plants[0], data: { ...FEED, date: TODAY, ...data } });
  const reason = async (data: object): Promise<string> => (await put(data).expect(400)).body.faults[0].reason;
  expect(await reason({ product: 'Organic granules', n: 4, grams: 60, form: 'granular' })).toMatch(
    /more than the label’s 40 g/,
  );
  expect(await reason({ product: 'Organic granules', n: 4, grams: 400, form: 'granular' })).toMatch(
    /10 times the label’s 40 g/,
  );
  expect(await reason({ n: 20, grams: 20 })).toMatch(/nitrogen to 4 g in 14 days/);
  await put({ n: 20, grams: 20, because: 'the lid came off' }).expect(200);
  // what was given before counts, by the plant or by its place; a correction does not count against itself
  expect(await reason({ n: 20, grams: 1 })).toMatch(/nitrogen to/);
  const g2 = await pots();
  await g2.fed(5, { n: 20, grams: 10 });
  const id = uuid();
  const own = (data: object) =>
    g2.agent
      .put(g2.url('/records'))
      .send({ id, type: 'feeding', plantId: g2.plants[1], data: { ...FEED, date: TODAY, ...data } });
  await own({ n: 20, grams: 8 }).expect(400);
  await own({ n: 20, grams: 4 }).expect(200);
  await g2.agent
    .put(g2.url('/records'))
    .send({ id, version: 1, type: 'feeding', plantId: g2.plants[1], data: { ...FEED, date: TODAY, n: 20, grams: 4.5 } })
    .expect(200);
});

test('in warm weather half the label; in scorching heat it waits: says until when and why, and a tick saves nothing', async () => {
  const g = await pots({ kind: 'container', cover: 'glasshouse', vents: 'shut' });
  await g.fed(20);
  const [warm] = await g.feeds();
  expect(warm).toMatchObject({ why: expect.stringMatching(/half strength twice as often/) });
  expect([warm!.held, warm!.amount]).toEqual([undefined, expect.stringMatching(/half the label/)]);
  app.station.ahead = { tMaxC: 36 };
  await g.weather();
  app.station.ahead = {};
  const [feed] = await g.feeds();
  expect(feed!.held!.because).toMatch(/°C is forecast. Until then water well and shade it/);
  expect(feed!.held!.until > TODAY).toBe(true);
  expect((await g.tick(feed!.key, { recordId: uuid() })).body).toEqual({ recordId: null });
  expect((await g.plantView(g.plants[0]!)).records.filter((r) => r.type === 'feeding' && r.day === TODAY)).toEqual([]);
});

test('a deleted feed does not count for the next one', async () => {
  const g = await pots();
  const id = await g.fed(3, { n: 20, grams: 10 });
  const put = () =>
    g.agent
      .put(g.url('/records'))
      .send({ id: uuid(), type: 'feeding', plantId: g.plants[0], data: { ...FEED, date: TODAY, n: 20, grams: 8 } });
  await put().expect(400);
  await g.agent.delete(g.url(`/records/${id}`)).expect(204);
  await put().expect(200);
});

test('a dose that would be refused waits, on Today and on the plant’s page alike', async () => {
  const g = await pots();
  // 2.8 g of nitrogen eight days ago, and the label’s dose adds 0.4 g: over 3 g in 14 days
  await g.fed(8, { n: 20, grams: 14 });
  const [feed] = await g.feeds();
  expect(feed!.held!.until > TODAY).toBe(true);
  expect((await g.tick(feed!.key, { recordId: uuid() })).body).toEqual({ recordId: null });
  const { plan, text } = (await g.plantView(g.plants[0]!)).feeding;
  expect(plan).toMatchObject({ on: feed!.held!.until, hold: { kind: 'nitrogen' } });
  expect(text).toMatch(/2\.8.g of nitrogen in 14 days/);
  await g.goTo(feed!.held!.until);
  const [now] = await g.feeds();
  expect(now!.held).toBeUndefined();
  expect((await g.tick(now!.key, { recordId: uuid() })).status).toBe(200);
});
