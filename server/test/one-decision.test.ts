import { PLACE_KINDS } from '@candid-leaf/core/records';
import { addDays } from '@candid-leaf/core/units';
import { METHOD_CODES } from '@candid-leaf/core/water';
import fc from 'fast-check';
import { v7 as uuid } from 'uuid';
import { useApp } from './app.js';
import { gardenOf } from './gardening.js';

const app = useApp();
const TODAY = '2026-07-18';

const anyPlace = fc.record({
  facts: fc.record({
    kind: fc.constantFrom(...PLACE_KINDS.filter((k) => k !== 'indoors')),
    irrigation: fc.constantFrom('can', 'drip', 'soaker'),
    flowLPerH: fc.constantFrom(null, 12, 40),
    watering: fc.record({
      method: fc.constantFrom(...METHOD_CODES.filter((s) => s !== 'half-often')),
      moisture: fc.constantFrom(null, 'damp', 'dry'),
      drierRipening: fc.boolean(),
      allowedDays: fc.subarray([0, 1, 2, 3, 4, 5, 6], { minLength: 1 }),
      weeklyCapL: fc.constantFrom(null, 2, 15),
    }),
  }),
  plants: fc.array(fc.record({ stage: fc.constantFrom('vegetative', 'fruiting', 'ripening') }), {
    minLength: 1,
    maxLength: 3,
  }),
  records: fc.array(
    fc.record({
      back: fc.integer({ min: 0, max: 12 }),
      of: fc.nat(3),
      litres: fc.integer({ min: 1, max: 9 }),
      feel: fc.constantFrom(null, null, 'dry', 'damp', 'wet'),
    }),
    { maxLength: 5 },
  ),
});

test('for any places, rules and records, Today’s watering is day 0 of the week, to the decilitre', async () => {
  let asked = 0;
  await fc.assert(
    fc.asyncProperty(fc.array(anyPlace, { minLength: 1, maxLength: 2 }), async (places) => {
      const g = await gardenOf(app);
      for (const { facts, plants, records } of places) {
        const pot = facts.kind === 'container' ? { texture: 'potting-mix', volumeL: 14 } : { texture: 'loam' };
        const place = await g.place({ ...facts, ...pot });
        const ids: string[] = [];
        for (const [i, facts] of plants.entries()) ids.push(await g.plant(place, { name: `P${i}`, ...facts }));
        for (const { back, of, litres, feel } of records) {
          const date = addDays(TODAY, -back);
          const plantId = ids[of];
          const whom = plantId ? { plantId } : { placeId: place };
          if (feel) await g.record('soil-check', whom, { date, feel, depthCm: 5, by: 'finger' });
          else await g.record('watering', whom, { date, litres });
        }
      }
      await g.weather();
      const [view, plan] = [await g.view(), await g.plan()];
      const today = view.today
        .filter((t) => t.source === 'water' && !t.feel) // where nobody knows what was given no litres are told
        .map((t) => [t.key, t.dose!.litres, t.litres] as const)
        .sort();
      const week = plan
        .flatMap((p) => p.pours)
        .flatMap((pour) => {
          const [day] = pour.plan?.days ?? [];
          expect(day?.date ?? TODAY).toBe(TODAY);
          // a litre and more to the decilitre, less to the centilitre
          return day && day.litres > 0
            ? [[`water:${pour.id}`, day.litres, expect.closeTo(day.litres * pour.plants.length, 1) as number] as const]
            : [];
        })
        .sort();
      expect(today).toEqual(week);
      asked += today.length;
      // the same on every strip
      for (const { place, plants } of view.places) {
        const own = plan.find((p) => p.placeId === place.id)!;
        for (const { plant, next } of plants) {
          const pour = own.pours.find((p) => p.id === plant.id) ?? own.pours.find((p) => p.id === place.id)!;
          expect(next).toEqual(pour.plan?.next ? { date: pour.plan.next.date, litres: pour.plan.next.litres } : null);
        }
      }
    }),
    { numRuns: 12, seed: 8 },
  );
  expect(asked).toBeGreaterThan(3);
});

test('on a forbidden day Today asks for none, and a cap of two litres is two', async () => {
  const g = await gardenOf(app);
  const place = await g.place({ watering: { method: 'by-need', allowedDays: [3] } });
  for (const name of ['A', 'B']) await g.plant(place, { name });
  await g.record('watering', { placeId: place }, { date: addDays(TODAY, -14), litres: 3 });
  await g.weather();
  const water = async () => (await g.view()).today.filter((t) => t.source === 'water' && !t.feel);
  expect(await water()).toEqual([]); // 18 July 2026 is a Saturday
  await g.changePlace(place, { watering: { method: 'by-need' } });
  const [whole] = await water();
  expect(whole!.litres).toBeGreaterThan(10);
  await g.changePlace(place, { watering: { method: 'by-need', weeklyCapL: 2 } });
  const [capped] = await water();
  expect(capped!.litres).toBeCloseTo(2, 1);
  // the can is filled for the bed: the amount is the bed's, and says what each plant gets
  expect(capped!.amount!.replaceAll('\u00a0', ' ')).toBe('2 L (1 L each)');
});

test('a watering remedy never makes a second watering, and its amount is Today’s', async () => {
  const g = await gardenOf(app);
  const place = await g.place({ kind: 'container', texture: 'potting-mix', volumeL: 14 });
  const plant = await g.plant(place);
  await g.weather();
  await g.record('watering', { plantId: plant }, { date: addDays(TODAY, -5), litres: 2 });
  await g.record(
    'inspection',
    { plantId: plant },
    {
      date: TODAY,
      allClear: false,
      signs: [
        { sign: 'leaf-wilt', present: true },
        { sign: 'soil-dry-deep', present: true },
      ],
    },
  );
  const { report } = await g.plantView(plant);
  const now = report.remedies.find((r) => r.remedy === 'water-now')!;
  await g.agent
    .post(g.url(`/plants/${plant}/treatments`))
    .send({ id: '0197f000-0000-7000-8000-000000000001', disorder: report.diagnosis[0]!.disorder })
    .expect(200);
  const litres = (await g.view()).today.filter((t) => t.dose?.litres !== undefined && t.source !== 'protect');
  expect(litres.map((t) => [t.source, t.dose!.litres])).toEqual([['water', now.dose!.litres]]);
});

test('a plant held back from water gets no watering task, and a bed waters the others', async () => {
  const g = await gardenOf(app);
  const place = await g.place({
    texture: 'clay-loam',
    kind: 'raised-bed',
    lengthM: 1,
    widthM: 0.6,
    drainageMmPerH: 12,
  });
  const [wet, a, b] = [
    await g.plant(place, { name: 'Wet' }),
    await g.plant(place, { name: 'A' }),
    await g.plant(place, { name: 'B' }),
  ];
  await g.weather();
  for (let back = 8; back > 0; back--)
    await g.record('watering', { plantId: wet }, { date: addDays(TODAY, -back), litres: 6 });
  for (const plantId of [a, b]) await g.record('watering', { plantId }, { date: addDays(TODAY, -9), litres: 2 });
  await g.record(
    'inspection',
    { plantId: wet },
    {
      date: TODAY,
      allClear: false,
      signs: [
        { sign: 'leaf-wilt', present: true },
        { sign: 'soil-wet-deep', present: true },
      ],
    },
  );
  expect((await g.plantView(wet)).report.remedies.map((r) => r.remedy)).toContain('water-less');
  const [task] = (await g.view()).today.filter((t) => t.source === 'water' && !t.feel);
  expect(task).toMatchObject({ key: `water:${place}`, where: '2 plants' });
  expect(task!.why).toContain('not Wet: let the soil there dry first');
  const tick = { recordId: '0197f000-0000-7000-8000-0000000000aa' };
  await g.tick(task!.key, tick).expect(200);
  await g.tick(task!.key, tick).expect(200);
  const today = async (id: string) =>
    (await g.plantView(id)).records.filter((r) => r.type === 'watering' && r.day === TODAY);
  expect([(await today(wet)).length, (await today(a)).length, (await today(b)).length]).toEqual([0, 1, 1]);
  await g.untick(task!.key, tick).expect(204);
  expect([(await today(a)).length, (await today(b)).length]).toEqual([0, 0]);
});

test('water that is held back waits for a finger, not for a day: Today asks for it, and dry soil is watered', async () => {
  const g = await gardenOf(app);
  const place = await g.place({ name: 'Clay pot', kind: 'container', texture: 'potting-mix', volumeL: 14 });
  const plantId = await g.plant(place, { name: 'Soaked' });
  await g.weather();
  for (let back = 8; back > 0; back--)
    await g.record('watering', { plantId }, { date: addDays(TODAY, -back), litres: 6 });
  const signs = ['leaf-wilt', 'soil-wet-deep'].map((sign) => ({ sign, present: true }));
  await g.record('inspection', { plantId }, { date: TODAY, allClear: false, signs });
  const water = async () => (await g.view()).today.filter((t) => t.source === 'water');
  const [now, page] = [await water(), await g.plantView(plantId)];
  expect(page.report.water).toMatchObject({ held: true, nextWatering: null });
  // it was felt today
  expect(now).toEqual([]);
  const [finding] = page.report.diagnosis;
  const start = { id: uuid(), disorder: finding!.disorder };
  for (const _ of ['once', 'again'])
    await g.agent
      .post(g.url(`/plants/${plantId}/treatments`))
      .send(start)
      .expect(200);
  await g.goTo(addDays(TODAY, 3));
  await g.weather();
  expect((await g.plantView(plantId)).report.water).toMatchObject({ held: true, nextWatering: null });
  expect(await water()).toMatchObject([
    {
      feel: true,
      where: 'Soaked',
      why: expect.stringMatching(
        /^water is held back: none until a finger says it is dry. By the estimate \d+ % is left$/,
      ),
    },
  ]);
  await g.record('soil-check', { placeId: place }, { date: addDays(TODAY, 3), feel: 'dry' });
  expect((await water()).map((t) => [t.feel, (t.litres ?? 0) > 0])).toEqual([[undefined, true]]);
});
