import { useApp } from './app.js';
import { gardenOf } from './gardening.js';

const app = useApp();
const NOTHING_SAID = { stage: null, heightM: null };

async function garden(plantedOn: string | null, more: object = {}) {
  const g = await gardenOf(app);
  const bed = await g.place({ lengthM: 2 });
  const plant = await g.plant(bed, {
    transplantedOn: plantedOn,
    type: 'slicer',
    habit: 'indeterminate',
    ...NOTHING_SAID,
    ...more,
  });
  await g.weather();
  const growth = async () => (await g.plantView(plant)).growth;
  const change = async (facts: object) => {
    const { position: _p, retiredOn: _r, endedBecause: _e, ...before } = (await g.plantView(plant)).plant;
    return g.agent.put(g.url('/plants')).send({ ...before, ...facts });
  };
  return { ...g, bed, plant, growth, change };
}

test('a plant that nobody mentions again grows through its stages, and Today looks for ripe fruit', async () => {
  const g = await garden('2026-05-01');
  const on = async (day: string) => {
    await g.goTo(day);
    await g.weather();
    const { stage, heightM } = await g.growth();
    const tasks = (await g.view()).today.map((t) => t.source);
    return { stage, heightM, picking: tasks.includes('pick'), water: (await g.plantView(g.plant)).report.water.known };
  };
  const may = await on('2026-05-03');
  expect(may).toMatchObject({ stage: 'establishing', picking: false });
  const june = await on('2026-06-02');
  expect(june.stage).toBe('flowering');
  const july = await on('2026-07-20');
  expect(july).toMatchObject({ stage: 'ripening', picking: true });
  expect([may, june, july].map((x) => x.heightM)).toEqual([may, june, july].map((x) => x.heightM).sort());
});

test('a stage from the plant’s form is a note of its day: other changes leave it there, and the plant grows on', async () => {
  const g = await garden('2026-05-01', { stage: 'vegetative', heightM: 0.4 });
  await g.goTo('2026-06-01');
  expect((await g.change({ stage: 'flowering' })).status).toBe(200);
  expect(await g.growth()).toMatchObject({ stage: 'flowering', seenOn: '2026-06-01' });
  await g.goTo('2026-06-20');
  await g.weather();
  expect((await g.change({ name: 'Renamed' })).status).toBe(200);
  expect(await g.growth()).toMatchObject({ stage: 'fruiting', seenOn: '2026-06-01' });
  // what its form holds is still what was said, not the estimate
  expect((await g.plantView(g.plant)).plant).toMatchObject({ name: 'Renamed', stage: 'flowering', heightM: 0.4 });
});

test('counts, pickings and growth notes of the plant or of its whole bed correct the estimate', async () => {
  const g = await garden('2026-05-01');
  await g.goTo('2026-05-25');
  expect((await g.growth()).stage).not.toBe('fruiting');
  await g.record('truss-count', { plantId: g.plant }, { date: '2026-05-25', truss: 1, flowers: 2, fruit: 3 });
  expect(await g.growth()).toMatchObject({ stage: 'fruiting', from: 'seen', seenOn: '2026-05-25' });
  await g.record('growth', { placeId: g.bed }, { date: '2026-05-25', heightM: 1.3 });
  expect((await g.growth()).heightM).toBeGreaterThan(1.1);
  const empty = await g.agent.put(g.url('/records')).send({
    id: '01890000-0000-7000-8000-000000000001',
    type: 'growth',
    plantId: g.plant,
    data: { date: '2026-05-25' },
  });
  expect([empty.status, empty.body.faults]).toMatchObject([400, [{ path: 'data.stage' }]]);
});

test('a record of the day on which the form was filled in counts more than the form', async () => {
  const g = await garden('2026-05-01', { stage: 'fruiting', heightM: 1.2 });
  expect((await g.growth()).stage).toBe('fruiting');
  await g.record('growth', { plantId: g.plant }, { date: '2026-07-18', stage: 'ripening', orLater: true });
  expect((await g.growth()).stage).toBe('ripening');
});

test('of a plant with no planting day nothing is made up; once seen it is known', async () => {
  const g = await garden(null);
  expect(await g.growth()).toMatchObject({ stage: null, heightM: null, from: 'season' });
  await g.record('growth', { plantId: g.plant }, { date: '2026-07-18', stage: 'flowering' });
  expect(await g.growth()).toMatchObject({ stage: 'flowering', from: 'seen' });
});
