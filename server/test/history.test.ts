import type { PlantCase } from '@candid-leaf/core/records';
import { addDays } from '@candid-leaf/core/units';
import { useApp } from './app.js';
import { gardenOf } from './gardening.js';

const app = useApp();
const TODAY = '2026-07-18';

test('minutes are litres from the moment they are saved: no later change of the place affects them', async () => {
  const g = await gardenOf(app);
  const place = await g.place({ irrigation: 'drip', flowLPerH: 12 });
  const plant = await g.plant(place, { name: 'A' });
  await g.plant(place, { name: 'B' });
  await g.weather();
  await g.record('watering', { placeId: place }, { date: addDays(TODAY, -2), minutes: 45 });
  const given = async () => (await g.plantView(plant)).records.find((r) => r.type === 'watering')!.data;
  const left = async () => (await g.plantView(plant)).report.water.daily.map((d) => d.fractionAvailable);
  // 12 L/h for three quarters of an hour, shared by two: 4.5 each
  expect(await given()).toMatchObject({ litres: 4.5, minutes: 45, how: 'drip' });
  const before = await left();
  expect(before.every((f) => Number.isFinite(f))).toBe(true);
  for (const flowLPerH of [40, null]) {
    await g.changePlace(place, { flowLPerH, irrigation: 'can' });
    expect(await given()).toMatchObject({ litres: 4.5, how: 'drip' });
    expect(await left()).toEqual(before);
  }
});

test('water a place got before a plant stood there is not the plant’s', async () => {
  const g = await gardenOf(app);
  const place = await g.place({});
  const plant = await g.plant(place, { transplantedOn: addDays(TODAY, -10) });
  await g.weather();
  await g.record('watering', { placeId: place }, { date: addDays(TODAY, -11), litres: 9 });
  await g.record(
    'soil-check',
    { placeId: place },
    { date: addDays(TODAY, -12), feel: 'wet', depthCm: 5, by: 'finger' },
  );
  await g.record('watering', { placeId: place }, { date: addDays(TODAY, -10), litres: 3 });
  const { body } = await g.agent.get(g.url(`/plants/${plant}/case`)).expect(200);
  const { records } = body as PlantCase;
  expect(records.watering.map((w) => [w.date, w.litres])).toEqual([[addDays(TODAY, -10), 3]]);
  expect(records.soilChecks).toEqual([]);
  expect((await g.plantView(plant)).records.map((r) => r.day)).toEqual([addDays(TODAY, -10)]);
});

test('of two checks on one day the later one counts', async () => {
  const g = await gardenOf(app);
  const plant = await g.plant(await g.place({ kind: 'container', texture: 'potting-mix', volumeL: 14 }));
  await g.weather();
  const check = (feel: string) =>
    g.record('soil-check', { plantId: plant }, { date: TODAY, feel, depthCm: 5, by: 'finger' });
  await check('wet');
  const wet = (await g.plantView(plant)).report.water.daily.at(-1)!.fractionAvailable;
  await check('dry');
  expect((await g.plantView(plant)).report.water.daily.at(-1)!.fractionAvailable).toBeLessThan(wet - 0.2);
  const { body } = await g.agent.get(g.url(`/plants/${plant}/case`)).expect(200);
  expect((body as PlantCase).records.soilChecks.at(-1)).toMatchObject({ feel: 'dry' });
});

test('a page loads its season: older records are stored, and not sent', async () => {
  const g = await gardenOf(app);
  const plant = await g.plant(await g.place({}), { transplantedOn: null });
  const old = await g.record('note', { plantId: plant }, { date: '2025-09-30', text: 'Two seasons ago.' });
  await g.record('note', { plantId: plant }, { date: '2026-02-01', text: 'This season.' });
  expect((await g.plantView(plant)).records.map((r) => r.day)).toEqual(['2026-02-01']);
  await g.goTo('2025-10-02');
  expect((await g.plantView(plant)).records.map((r) => r.id)).toEqual([old]);
});
