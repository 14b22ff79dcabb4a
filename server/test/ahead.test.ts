import type { SeasonReportView } from '@candid-leaf/contract';
import { addDays } from '@candid-leaf/core/units';
import { v7 as uuid } from 'uuid';
import { useApp } from './app.js';
import { gardenOf } from './gardening.js';

/** What is coming and what would have prevented a finding, through the API. */
const app = useApp();
const TODAY = '2026-07-18';

async function garden() {
  const g = await gardenOf(app);
  const ahead = async () => (await g.view()).today.filter((t) => t.source === 'ahead');
  return { ...g, ahead };
}

test('blight weather is on the plant’s page the day before, in the open', async () => {
  const g = await garden();
  const open = await g.place({ name: 'Open' });
  const inside = await g.place({ name: 'Inside', cover: 'glasshouse', vents: 'open' });
  const [first, under] = [await g.plant(open), await g.plant(inside)];
  await g.weather();
  expect(await g.ahead()).toEqual([]);
  app.station.ahead = { tMinC: 13, tMaxC: 19, rhMeanPct: 94 };
  try {
    await g.weather();
    const { coming, next } = await g.plantView(first!);
    const act = coming.find((r) => r.disorder === 'late-blight');
    expect(act).toMatchObject({ on: addDays(TODAY, 2), actOn: addDays(TODAY, 1), times: null });
    expect(next.filter((t) => t.source === 'ahead')).toEqual([]);
    // its day is tomorrow, and inside no rain falls
    expect(await g.ahead()).toEqual([]);
    expect((await g.plantView(under)).coming.map((r) => r.disorder)).not.toContain('late-blight');
  } finally {
    app.station.ahead = {};
  }
});

test('a soak due on dry soil splits ripe fruit: one task for the bed, ticked once for the week', async () => {
  const g = await garden();
  const bed = await g.place({ name: 'Dry bed', cover: 'tunnel', vents: 'open' });
  for (const name of ['One', 'Two']) {
    const plantId = await g.plant(bed, { name, stage: 'ripening', type: 'beefsteak' });
    await g.record('watering', { plantId }, { date: addDays(TODAY, -14), litres: 12 });
    await g.record('watering', { plantId }, { date: addDays(TODAY, -1), litres: 0 });
  }
  await g.weather();
  const [task, ...others] = await g.ahead();
  expect(others).toEqual([]);
  expect(task).toMatchObject({ title: 'Ring cracking ahead: Dry bed', where: expect.stringMatching(/^Today: pick/) });
  // ticked twice it is ticked once, and an undo brings it back
  for (const _ of [1, 2]) expect((await g.tick(task!.key)).body).toEqual({ recordId: null });
  expect(await g.ahead()).toEqual([]);
  await g.untick(task!.key);
  expect((await g.ahead()).map((t) => t.key)).toEqual([task!.key]);
});

test('a rule of a bed: once of each, asked for while it is not followed, and gone when it is', async () => {
  const g = await garden();
  const bed = await g.place({ name: 'Long bed' });
  await g.plant(bed);
  const rule = { rule: 'mulch', since: TODAY };
  await g.changePlace(bed, { rules: [rule, rule] });
  expect((await g.view()).places[0]!.place.rules).toEqual([rule]);
  const [task] = await g.ahead();
  expect(task).toMatchObject({ title: 'Mulch: Long bed', why: expect.stringMatching(/^a rule of this bed since/) });
  await g.record('covering', { placeId: bed }, { date: TODAY, what: 'mulch', did: 'on', depthCm: 6 });
  expect(await g.ahead()).toEqual([]);
  // what is no rule is refused, and nothing is stored
  const { places } = await g.view();
  const { position: _p, retiredOn: _r, ...before } = places[0]!.place;
  const bad = await g.agent.put(g.url('/places')).send({ ...before, rules: [{ rule: 'talk-to-it', since: TODAY }] });
  expect(bad.status).toBe(400);
  expect(bad.body.faults[0].path).toBe('rules[0].rule');
  expect((await g.view()).places[0]!.place.rules).toEqual([rule]);
});

test('the rule of a rain cover reminds before rain that is likely enough, until it is on', async () => {
  const g = await garden();
  const bed = await g.place({ name: 'Long bed' });
  await g.plant(bed, { stage: 'vegetative' });
  await g.changePlace(bed, { rules: [{ rule: 'rain-cover', since: TODAY }] });
  const titles = async () => (await g.ahead()).map((t) => t.title).filter((t) => t.startsWith('Put the rain cover'));
  try {
    app.station.ahead = { rainMm: 12, rainChancePct: 50 };
    await g.weather();
    expect(await titles()).toEqual([]);
    app.station.ahead = { rainMm: 12, rainChancePct: 90 };
    await g.weather();
    expect(await titles()).toEqual(['Put the rain cover on: Long bed']);
    await g.record('covering', { placeId: bed }, { date: TODAY, what: 'roof', did: 'on' });
    expect(await titles()).toEqual([]);
  } finally {
    app.station.ahead = {};
  }
});

test('a finding that was taken on counts for the next plant of its variety, and for no other', async () => {
  const g = await garden();
  const varietyId = uuid();
  await g.agent.put(g.url('/varieties')).send({ id: varietyId, name: 'Halt Red', crop: 'tomato' }).expect(200);
  const bed = await g.place({ name: 'Bed' });
  const [one, two] = [await g.plant(bed, { varietyId }), await g.plant(bed, { varietyId })];
  const stranger = await g.plant(bed);
  await g.weather();
  const signs = [{ sign: 'fruit-blossom-end-dark', present: true }];
  for (const plantId of [one, two, stranger])
    await g.record('inspection', { plantId }, { date: TODAY, allClear: false, signs });
  const reasons = async (id: string) => (await g.plantView(id)).report.diagnosis[0]!.evidence.map((e) => e.code);
  expect(await reasons(two!)).not.toContain('seen-on-this-variety');
  const start = { id: uuid(), disorder: 'blossom-end-rot' };
  for (const _ of [1, 2]) await g.agent.post(g.url(`/plants/${one}/treatments`)).send(start);
  expect(await reasons(two!)).toContain('seen-on-this-variety');
  // not for itself, and not for a plant of another
  expect(await reasons(one!)).not.toContain('seen-on-this-variety');
  expect(await reasons(stranger)).not.toContain('seen-on-this-variety');
  // what the server noted is not for the page
  expect((await g.plantView(one!)).plant).not.toHaveProperty('found');
});

test('what would have prevented it comes with the finding, with its second line of water', async () => {
  const g = await garden();
  const pot = await g.place({
    name: 'Pot',
    kind: 'container',
    texture: 'potting-mix',
    volumeL: 10,
    lengthM: null,
    widthM: null,
  });
  const plant = await g.plant(pot);
  await g.weather();
  for (let back = 40; back > 0; back -= 5)
    await g.record('watering', { plantId: plant }, { date: addDays(TODAY, -back), litres: 3 });
  expect((await g.plantView(plant)).prevented).toEqual([]);
  await g.record(
    'inspection',
    { plantId: plant },
    { date: TODAY, allClear: false, signs: [{ sign: 'fruit-blossom-end-dark', present: true }] },
  );
  const { prevented } = await g.plantView(plant);
  const planned = prevented.find((p) => p.change === 'water-by-plan');
  expect(planned).toMatchObject({ disorder: 'blossom-end-rot', litres: expect.any(Number) });
  expect(planned!.riskWith).toBeLessThan(planned!.risk);
  expect(planned!.left!.at(-1)!.day).toBe(TODAY);
  // taken on, it is kept for the season's report
  const start = { id: uuid(), disorder: 'blossom-end-rot' };
  await g.agent.post(g.url(`/plants/${plant}/treatments`)).send(start);
  const { habit } = (await g.agent.get(g.url('/season/report')).expect(200)).body as SeasonReportView;
  expect(habit).toMatchObject({ findings: 1 });
  expect(prevented.map((p) => p.change)).toContain(habit!.change);
  // another plant in another garden has nothing of it
  const other = await garden();
  const there = await other.plant(await other.place({}));
  expect((await other.plantView(there)).prevented).toEqual([]);
  await g.agent.get(`/api/gardens/${uuid()}/plants/${plant}/view`).expect(404);
});
