import type { SeasonView } from '@candid-leaf/contract';
import { CAUTIONS } from '@candid-leaf/core/records';
import { addDays } from '@candid-leaf/core/units';
import { v7 as uuid } from 'uuid';
import { useApp } from './app.js';
import { gardenOf } from './gardening.js';

const app = useApp();
const TODAY = '2026-07-18';

const garden = async () => {
  const g = await gardenOf(app);
  const due = async (source: string) => (await g.view()).today.filter((t) => t.source === source);
  const stock = async (list: object | null) => {
    const { today: _t, ...settings } = (await g.view()).garden;
    return g.agent.put('/api/gardens').send({ ...settings, stock: list });
  };
  return { ...g, due, stock };
};

test('cordons of a place are tied together, once a week; a tick is saved for each, and undone for each', async () => {
  const g = await garden();
  const bed = await g.place({ name: 'Wall' });
  const tall = [
    await g.plant(bed, { name: 'A', habit: 'indeterminate' }),
    await g.plant(bed, { name: 'B', habit: 'indeterminate' }),
  ];
  await g.plant(bed, { name: 'Bush', habit: 'determinate' });
  // nothing is written down of ties: nothing is ordered
  expect(await g.due('tie')).toEqual([]);
  for (const plantId of tall) await g.record('event', { plantId }, { date: addDays(TODAY, -10), what: 'staked' });
  const [task, ...others] = (await g.due('tie')).filter((t) => t.title.startsWith('Tie: '));
  expect(others).toEqual([]);
  expect(task).toMatchObject({
    title: 'Tie: A, B',
    cautions: expect.arrayContaining([CAUTIONS['plastic-string']]),
    amount: expect.stringMatching(/^one tie each, 0\.6.m of soft string/),
    why: expect.stringMatching(/a string from above/),
  });
  const recordId = uuid();
  // sent twice it is one tick, and both get the same answer
  for (const _ of ['once', 'again']) expect((await g.tick(task!.key, { recordId })).body).toEqual({ recordId });
  const tied = async () =>
    Promise.all(
      tall.map(async (p) =>
        (await g.plantView(p)).records.filter((r) => r.type === 'event' && r.day === TODAY).map((r) => r.data),
      ),
    );
  expect(await tied()).toEqual([1, 2].map(() => [{ date: TODAY, what: 'tied' }]));
  expect((await g.due('tie')).filter((t) => t.title.startsWith('Tie: '))).toEqual([]);
  expect((await g.plantView(tall[0]!)).next.find((t) => t.source === 'tie')).toMatchObject({
    dueOn: addDays(TODAY, 7),
  });
  await g.untick(task!.key, { recordId });
  expect(await tied()).toEqual([[], []]);
});

test('without string but with stakes in the shed, it says so', async () => {
  const g = await garden();
  const plantId = await g.plant(await g.place({}), { habit: 'indeterminate' });
  await g.record('event', { plantId }, { date: addDays(TODAY, -10), what: 'staked' });
  // a roll without string has no price by the metre
  const refused = await g.stock({ priceString: 10, rollM: 0 });
  expect([refused.status, refused.body.faults]).toMatchObject([400, [{ path: 'stock.rollM' }]]);
  await g.stock({ stringM: 0, stakes: 4 });
  expect((await g.due('tie'))[0]!.why).toMatch(/a stake, from your stock/);
});

test('what stands or lies in the shed is not missing from the season’s needs', async () => {
  const g = await garden();
  const bed = await g.place({});
  const bushes = [await g.plant(bed, { habit: 'determinate' }), await g.plant(bed, { habit: 'determinate' })];
  const needs = async () => ((await g.agent.get(g.url('/season')).expect(200)).body as SeasonView).needs;
  // not counted: nothing is known to be missing
  expect(await needs()).toMatchObject({ cages: 2, short: {} });
  await g.stock({ cages: 0 });
  expect((await needs())!.short).toEqual({ cages: 2 });
  await g.record('support', { plantId: bushes[0]! }, { date: TODAY, what: 'cage' });
  expect((await needs())!.short).toEqual({ cages: 1 });
});

test('flowers are tapped without wind and bees; under closed glass in heat it says that it will not help', async () => {
  const g = await garden();
  const hall = await g.place({ name: 'Hall', kind: 'indoors', texture: 'potting-mix', volumeL: 20 });
  await g.plant(hall, { stage: 'flowering' });
  await g.plant(await g.place({ name: 'Open bed' }), { stage: 'flowering' });
  await g.plant(
    await g.place({
      name: 'Glass',
      kind: 'container',
      texture: 'potting-mix',
      volumeL: 20,
      cover: 'glasshouse',
      vents: 'shut',
    }),
    { stage: 'flowering' },
  );
  const tasks = await g.due('tap');
  expect(tasks.map((t) => [t.title, t.held === undefined])).toEqual([
    ['Tap the flowers: Hall', true],
    ['Tap the flowers: Glass', false],
  ]);
  expect(tasks[1]!.held!.because).toMatch(/tapping hardly helps now/);
  const recordId = uuid();
  await g.tick(tasks[0]!.key, { recordId });
  expect((await g.due('tap')).map((t) => t.title)).toEqual(['Tap the flowers: Glass']);
  // tomorrow again
  await g.goTo(addDays(TODAY, 1));
  expect((await g.due('tap'))[0]!.title).toBe('Tap the flowers: Hall');
});

test('cloth before heat: to the most important plants, over all places; the shortage and alternatives are shown', async () => {
  const g = await garden();
  const glass = { kind: 'container', texture: 'potting-mix', volumeL: 20, cover: 'glasshouse', vents: 'shut' };
  const [one, two] = [await g.place({ ...glass, name: 'One' }), await g.place({ ...glass, name: 'Two' })];
  await g.plant(one, { name: 'Dear', worth: 3 });
  await g.plant(one, { name: 'Plain' });
  await g.plant(two, { name: 'Spare', worth: 1 });
  const acts = async () =>
    (await g.due('protect')).filter((t) => t.title.startsWith('Heat')).map((t) => t.acts!.map((a) => a.text).join(' '));
  // what nobody counted is not dealt out
  await g.stock(null);
  expect((await acts()).join()).not.toMatch(/[Cc]loth/);
  await g.stock({ clothM2: 0.8 });
  const [first, second] = await acts();
  expect(first).toMatch(/Cloth for Dear; not enough for Plain \(1\.4.m² short in all\)\. Use instead: an old sheet/);
  expect(second).toMatch(/No cloth left for Spare/);
  await g.stock({ clothM2: 10 });
  expect((await acts())[0]).toMatch(/Cloth: enough for everything/);
  expect((await g.stock({ clothM2: -1 })).status).toBe(400);
});

test('a heat task once done puts shade and mulch on the bed; the next day asks for neither, and undo takes both back', async () => {
  const g = await garden();
  const bed = await g.place({ name: 'Long bed', lengthM: 2, widthM: 1 });
  await g.plant(bed);
  app.station.ahead = { tMaxC: 36 };
  try {
    await g.agent.post(g.url('/weather/pull')).expect(200);
    const heat = async () => (await g.due('protect')).find((t) => t.title.startsWith('Heat'));
    const said = async () => ((await heat())?.acts ?? []).map((a) => a.text).join(' ');
    const first = (await heat())!;
    expect(await said()).toMatch(/shade.*bare soil/is);
    // what is due tomorrow is not done by today's tick
    const due = first.acts!.filter((a) => a.on === TODAY).map((a) => a.text);
    const recordId = uuid();
    for (const _ of [1, 2]) await g.tick(first.key, { recordId }).expect(200);
    const lies = async () => {
      const { mulch, shade } = (await g.view()).places[0]!.place;
      return [mulch!.length, shade!.length];
    };
    const both = due.filter((text) => /shade|bare soil/i.test(text)).length;
    expect(both).toBeGreaterThan(0);
    expect((await lies()).reduce((a, b) => a + b, 0)).toBe(both);
    await g.goTo(addDays(TODAY, 1));
    const next = await said();
    for (const text of due) if (/shade|bare soil/i.test(text)) expect(next).not.toContain(text);
    await g.goTo(TODAY);
    await g.untick(first.key, { recordId }).expect(204);
    expect(await lies()).toEqual([0, 0]);
  } finally {
    app.station.ahead = {};
  }
});

test('trusses are counted, companion plants recorded; impossible ones are refused', async () => {
  const g = await garden();
  const bed = await g.place({});
  const plant = await g.plant(bed);
  await g.record('truss-count', { plantId: plant }, { date: TODAY, truss: 1, flowers: 2, fruit: 6 });
  await g.record('companion', { placeId: bed }, { date: TODAY, what: 'french-marigold', did: 'planted' });
  expect((await g.plantView(plant)).records.map((r) => r.type).sort()).toEqual(['companion', 'truss-count']);
  const put = (type: string, of: object, data: object) =>
    g.agent.put(g.url('/records')).send({ id: uuid(), type, ...of, data: { date: TODAY, ...data } });
  await put('truss-count', { plantId: plant }, { truss: 0, flowers: 1, fruit: 1 }).expect(400);
  await put('companion', { placeId: bed }, { what: 'unicorns', did: 'seen' }).expect(400);
  // the case file's open format knows neither, and the case is whole without them
  await g.agent.get(g.url(`/plants/${plant}/case`)).expect(200);
});

test('the rain barrel: since it was looked into, rain on the roof fills it and cans empty it; a hose does not', async () => {
  const g = await garden();
  const bed = await g.place({ name: 'By can' });
  await g.plant(bed, { name: 'A' });
  await g.plant(bed, { name: 'B' });
  const hosed = await g.place({ name: 'By hose', irrigation: 'hose' });
  await g.plant(hosed, { name: 'C' });
  await g.weather();
  expect((await g.view()).barrel).toBeNull();
  const back = (days: number) => addDays(TODAY, -days);
  await g.stock({ barrelL: 300, roofM2: 20, barrelSeenL: 100, barrelSeenOn: back(3) });
  expect((await g.view()).barrel).toEqual({ litres: 100, volumeL: 300, comingL: 0 });
  await g.record('watering', { placeId: bed }, { date: back(3), litres: 9 });
  await g.record('watering', { placeId: bed }, { date: back(2), litres: 5 });
  await g.record('watering', { placeId: hosed }, { date: back(2), litres: 30 });
  await g.record('rain-gauge', {}, { date: back(1), rainMm: 6 });
  // two plants by 5 L each; 6 mm on 20 m² are 85 L
  expect((await g.view()).barrel!.litres).toBe(175);
});
