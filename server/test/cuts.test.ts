import { addDays, type Day } from '@candid-leaf/core/units';
import { v7 as uuid } from 'uuid';
import { useApp } from './app.js';
import { gardenOf } from './gardening.js';

const app = useApp();
const TODAY = '2026-07-18';

/** An indeterminate tomato of 1.2 m in a cool room, its lowest leaves on the soil. */
async function cordon(facts: object = {}) {
  const g = await gardenOf(app);
  const place = await g.place({ kind: 'indoors', texture: 'potting-mix', volumeL: 20 });
  const plant = await g.plant(place, { name: 'Tall one', habit: 'indeterminate', heightM: 1.2, ...facts });
  // it is written down that nothing was cut so far
  await g.record('pruning', { plantId: plant }, { date: addDays(TODAY, -30), cuts: 0, what: ['suckers'] });
  const look = (...signs: string[]) =>
    g.record(
      'inspection',
      { plantId: plant },
      { date: TODAY, allClear: false, signs: signs.map((sign) => ({ sign, present: true })) },
    );
  const cuts = async () => (await g.view()).today.filter((t) => t.source === 'cut');
  return { ...g, place, plant, look, cuts };
}

test('this week’s cuts are in Today within the budget; ticked, they are recorded and the rest waits a week', async () => {
  const g = await cordon();
  await g.look('plant-leaves-touch-soil');
  const [task, ...others] = await g.cuts();
  expect(others).toEqual([]);
  expect(task).toMatchObject({
    title: '9 cuts: Tall one',
    amount:
      '2 leaves that touch the soil, 5 suckers shorter than a finger (keep the one just under the first truss), 1 lower leaf, 1 larger sucker',
    why: expect.stringMatching(/clear to 30.cm by now.*more over \d weeks?, at most four leaves a week/),
  });
  const recordId = uuid();
  // sent twice it is one tick, and both get the same answer
  for (const _ of ['once', 'again']) expect((await g.tick(task!.key, { recordId })).body).toEqual({ recordId });
  const view = await g.plantView(g.plant);
  expect(view.records.filter((r) => r.type === 'pruning' && r.day === TODAY).map((r) => r.data)).toEqual([
    { date: TODAY, cuts: 9, what: ['lower-leaves', 'suckers'] },
  ]);
  expect(view.cuts).toMatchObject({ left: 0, hold: { kind: 'budget', until: addDays(TODAY, 7) } });
  const [held] = await g.cuts();
  expect(held!.held!.because).toMatch(/four leaves were cut this week/);
  expect((await g.tick(held!.key, { recordId: uuid() })).body).toEqual({ recordId: null });
  await g.goTo(addDays(TODAY, 7));
  expect((await g.cuts())[0]!.held).toBeUndefined();
});

test('the gardener’s own method decides: left alone, only leaves that touch are cut', async () => {
  const g = await cordon({ training: 'leave-alone' });
  expect(await g.cuts()).toEqual([]);
  await g.look('plant-leaves-touch-soil');
  expect((await g.cuts())[0]!.amount).toBe('2 leaves that touch the soil');
  expect((await g.plantView(g.plant)).cuts).toMatchObject({ chosen: true, training: { training: 'leave-alone' } });
});

test('forty cuts at once are refused with the way out, and saved once explained', async () => {
  const g = await cordon();
  const put = (data: object) =>
    g.agent
      .put(g.url('/records'))
      .send({ id: uuid(), type: 'pruning', plantId: g.plant, data: { date: TODAY, ...data } });
  expect((await put({ cuts: 40 }).expect(400)).body.faults).toEqual([
    { path: 'data.cuts', reason: expect.stringMatching(/40 cuts at once are too many/) },
  ]);
  await put({ cuts: 40, because: 'hail had shredded them' }).expect(200);
});

test('a sucker in water: looked at until roots show; planting it makes a plant and ends its story, once', async () => {
  const g = await cordon({ training: 'leave-alone', type: 'paste' });
  await g.record('event', { plantId: g.plant }, { date: addDays(TODAY, -6), what: 'sucker-in-water' });
  const next = async () => (await g.plantView(g.plant)).next.find((t) => t.rooting);
  expect(await next()).toMatchObject({ rooting: 'look', dueOn: addDays(TODAY, 1) });
  expect((await g.tick((await next())!.key)).body).toEqual({ recordId: null });
  const found = async (day: Day, what: string) => {
    await g.goTo(day);
    await g.record('event', { plantId: g.plant }, { date: day, what });
  };
  await found(addDays(TODAY, 1), 'roots-looked-for');
  expect(await next()).toMatchObject({ rooting: 'look', dueOn: addDays(TODAY, 5) });
  // a fortnight alone plants nothing
  await g.goTo(addDays(TODAY, 12));
  expect(await next()).toMatchObject({ rooting: 'look' });
  await found(addDays(TODAY, 12), 'roots-seen');
  expect(await next()).toMatchObject({ rooting: 'plant', dueOn: addDays(TODAY, 12) });

  const plant = { id: uuid(), placeId: g.place, name: 'Young', crop: 'tomato', type: 'paste', start: 'cutting' };
  const send = () =>
    g.agent
      .put(g.url(`/plants/${g.plant}/sucker`))
      .send(plant)
      .expect(200);
  await send();
  expect(await next()).toBeUndefined();
  // sent again a day later, it is still one plant and one event
  await g.goTo(addDays(TODAY, 13));
  await send();
  const view = await g.plantView(g.plant);
  expect(view.records.filter((r) => (r.data as { what?: string }).what === 'sucker-planted')).toHaveLength(1);
  expect((await g.view()).places.flatMap((p) => p.plants)).toHaveLength(2);
});

test('a sucker that rotted is forgotten; a new one starts anew', async () => {
  const g = await cordon({ training: 'leave-alone' });
  const next = async () => (await g.plantView(g.plant)).next.find((t) => t.rooting);
  const say = (what: string) => g.record('event', { plantId: g.plant }, { date: TODAY, what });
  await say('sucker-in-water');
  await say('roots-seen');
  await say('sucker-lost');
  expect(await next()).toBeUndefined();
  await say('sucker-in-water');
  expect(await next()).toMatchObject({ rooting: 'look', dueOn: addDays(TODAY, 7) });
});
