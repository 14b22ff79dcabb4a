import { useApp } from './app.js';
import { gardenOf } from './gardening.js';

const app = useApp();
const TODAY = '2026-07-18';
const CORDON = { type: 'slicer', habit: 'indeterminate', stage: null, heightM: null };

async function garden(plantedOn: string, enteredOn: string) {
  const g = await gardenOf(app);
  await g.goTo(enteredOn);
  const bed = await g.place({ name: 'Long bed', lengthM: 2 });
  const plant = await g.plant(bed, { transplantedOn: plantedOn, ...CORDON });
  await g.goTo(TODAY);
  await g.weather();
  const due = async (source: string) => (await g.view()).today.filter((t) => t.source === source);
  return { ...g, bed, own: plant, due };
}

test('a plant entered when it was planted is tied, cut and mulched without any earlier record', async () => {
  const g = await garden('2026-05-20', '2026-05-21');
  expect(await g.due('so-far')).toEqual([]);
  expect((await g.due('tie')).length).toBe(1);
  expect((await g.due('cut')).length).toBe(1);
  expect((await g.due('soil')).length).toBe(1);
});

test('for an older plant nothing is ordered, and Today asks once what was done; each answer counts', async () => {
  const g = await garden('2026-05-20', TODAY);
  const asked = async () => (await g.due('so-far')).flatMap((t) => t.asks ?? []);
  const ordered = async () =>
    (await g.view()).today.map((t) => t.source).filter((c) => ['tie', 'cut', 'soil', 'feed'].includes(c));
  expect(await asked()).toEqual(['tied', 'cut', 'fed', 'mulched']);
  expect(await ordered()).toEqual([]);

  const at = { placeId: g.bed };
  await g.record('event', at, { date: TODAY, what: 'not-tied-yet' });
  expect(await asked()).toEqual(['cut', 'fed', 'mulched']);
  expect(await ordered()).toEqual(['tie']);

  await g.record('pruning', at, { date: TODAY, what: ['suckers', 'lower-leaves'] });
  // cut by now: nothing has grown since
  expect(await ordered()).toEqual(['tie']);
  await g.record('covering', at, { date: TODAY, what: 'mulch', did: 'off' });
  expect(await ordered()).toEqual(['tie', 'soil']);
  const data = { date: '2026-07-08', n: 5, p2o5: 5, k2o: 5, grams: 20, unknown: true };
  await g.record('feeding', at, data);
  expect(await asked()).toEqual([]);
  expect(await ordered()).toEqual(['tie', 'soil']);
  expect((await g.plantView(g.own)).records.find((r) => r.type === 'feeding')?.data).toEqual(data);
});

test('"not cut yet" starts the cuts, and a short or bushy plant is not asked about them', async () => {
  const g = await garden('2026-05-20', TODAY);
  await g.record('event', { placeId: g.bed }, { date: TODAY, what: 'not-cut-yet' });
  expect((await g.due('cut')).length).toBe(1);
  const bush = await g.place({ name: 'Pepper bed' });
  await g.plant(bush, { crop: 'pepper', transplantedOn: '2026-05-20', stage: 'fruiting', heightM: 0.4 });
  const asks = (await g.due('so-far')).find((t) => t.placeId === bush)?.asks;
  expect(asks).toEqual(['fed', 'mulched']);
});

test('a variety nobody was sure of is asked about once its fruit colours; a tick settles it, and undone it is asked again', async () => {
  const g = await garden('2026-05-20', '2026-05-21');
  const id = '01890000-0000-7000-8000-00000000aa01';
  await g.agent.put(g.url('/varieties')).send({ id, name: 'Red one', crop: 'tomato' }).expect(200);
  const unsure = { varietyId: id, varietyUnsure: true };
  const green = await g.plant(g.bed, { name: 'Green', ...unsure, stage: 'flowering' });
  expect((await g.plantView(green)).variety).toBe('Red one');
  const asked = async () => (await g.due('so-far')).filter((t) => t.asks?.includes('variety'));
  expect(await asked()).toEqual([]);
  const own = await g.plant(g.bed, { name: 'Seven', ...unsure, stage: 'ripening' });
  const [task, ...others] = await asked();
  expect(others).toEqual([]);
  expect(task).toMatchObject({ title: 'Is it Red one? Seven', plantId: own });
  await g.tick(task!.key).expect(200);
  expect(await asked()).toEqual([]);
  expect((await g.plantView(own)).plant.varietyUnsure).toBeNull();
  await g.untick(task!.key).expect(204);
  expect((await asked()).map((t) => t.key)).toEqual([task!.key]);
  // a plant without a variety is never made unsure
  await g.untick(`so-far:${g.own}:variety`);
  expect((await g.plantView(g.own)).plant.varietyUnsure).toBeNull();
});

test('a bush that grew far too tall is asked about once: the answer is a record, or another habit, whose advice follows', async () => {
  const g = await garden('2026-05-20', '2026-05-21');
  const bush = await g.plant(g.bed, { name: 'Bush', habit: 'determinate', transplantedOn: '2026-05-20' });
  const asked = async () => (await g.due('so-far')).filter((t) => t.asks?.includes('bush'));
  expect(await asked()).toEqual([]);
  await g.record('growth', { plantId: bush }, { date: TODAY, heightM: 1.6, rough: true });
  expect(await asked()).toEqual([]);
  await g.record('growth', { plantId: bush }, { date: TODAY, heightM: 1.6 });
  const [task] = await asked();
  expect(task).toMatchObject({ plantId: bush, title: 'Does it still grow? Bush' });
  expect(task!.why).toMatch(/^it is 160.cm tall, and bushes of its type end at about 95.cm/);
  const asks = async () => (await g.due('so-far')).flatMap((t) => t.asks ?? []);
  expect(await asks()).not.toContain('cut');
  const id = await g.record('event', { plantId: bush }, { date: TODAY, what: 'tip-ended' });
  expect(await asked()).toEqual([]);
  await g.agent.delete(g.url(`/records/${id}`)).expect(204);
  expect((await asked()).length).toBe(1);
  const { position: _p, retiredOn: _r, endedBecause: _e, ...before } = (await g.plantView(bush)).plant;
  await g.agent
    .put(g.url('/plants'))
    .send({ ...before, habit: 'indeterminate' })
    .expect(200);
  expect(await asked()).toEqual([]);
  // a cordon is cut: what was cut so far is asked now
  expect(await asks()).toContain('cut');
});
