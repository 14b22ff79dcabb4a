import fc from 'fast-check';
import { addDays } from '@candid-leaf/core/units';
import { v7 as uuid } from 'uuid';
import { Snapshots, type GardenSnapshot } from '../src/assessment/snapshots.service.js';
import { Assessments } from '../src/assessment/assessments.service.js';
import { RecordsService } from '../src/records/records.service.js';
import { GardensService } from '../src/gardens/gardens.service.js';
import { DataSource } from 'typeorm';
import { useApp } from './app.js';
import { gardenOf } from './gardening.js';

/** What is held of a garden, brought up to date write by write, is what somebody reads who has never seen it. */
const app = useApp();

const TODAY = '2026-07-18';
const plain = (value: unknown): unknown => JSON.parse(JSON.stringify(value));
const content = (s: GardenSnapshot) =>
  plain({
    revision: s.kept.revision,
    places: s.places,
    plants: s.plants,
    weather: s.weather,
    records: [...s.places, ...s.plants].map((x) => s.recordsOf(x.id)),
    own: s.kept.own,
    days: Array.from({ length: 40 }, (_, i) => s.recordsOn(addDays(TODAY, -i)).map((r) => r.id)),
    size: s.kept.size,
  });

test('after any writes in any order, cached and reloaded gardens are equal, and so are their findings', async () => {
  const g = await gardenOf(app);
  const beds = [await g.place({ name: 'A' }), await g.place({ name: 'B' })];
  const plants = [await g.plant(beds[0]!), await g.plant(beds[0]!), await g.plant(beds[1]!)];
  const written: { id: string; version: number; body: object }[] = [];
  const put = async (body: { id: string; version?: number }) => {
    const answer = await g.agent.put(g.url('/records')).send(body).expect(200);
    const known = written.find((w) => w.id === body.id);
    const version = (answer.body as { version: number }).version;
    if (known) Object.assign(known, { version, body });
    else written.push({ id: body.id, version, body });
  };
  const [which, back, amount] = [fc.nat({ max: 20 }), fc.nat({ max: 30 }), fc.integer({ min: 1, max: 9 })];
  const ops: fc.Arbitrary<() => Promise<unknown>>[] = [
    fc.tuple(which, back, amount).map(([w, b, litres]) => () => {
      const target = w % 2 ? { plantId: plants[w % 3] } : { placeId: beds[w % 2] };
      return put({ id: uuid(), type: 'watering', ...target, data: { date: addDays(TODAY, -b), litres } } as never);
    }),
    // moved to another day and another plant
    fc.tuple(which, back, amount).map(([w, b, litres]) => async () => {
      const old = written[w % Math.max(1, written.length)];
      if (!old) return;
      await put({
        id: old.id,
        version: old.version,
        type: 'watering',
        plantId: plants[(w + b) % 3],
        data: { date: addDays(TODAY, -b), litres },
      } as never);
    }),
    which.map((w) => async () => {
      const old = written.splice(w % Math.max(1, written.length), 1)[0];
      if (old) await g.agent.delete(g.url(`/records/${old.id}`)).expect(204);
    }),
    fc.tuple(back, amount).map(
      ([b, rainMm]) =>
        () =>
          put({ id: uuid(), type: 'rain-gauge', data: { date: addDays(TODAY, -b), rainMm } } as never),
    ),
    which.map((w) => () => g.agent.post(g.url(`/plants/${plants[w % 3]}/${w % 2 ? 'retire' : 'restore'}`)).expect(204)),
    which.map(
      (w) => () =>
        g.agent
          .post(g.url('/places/order'))
          .send({ ids: w % 2 ? beds : [...beds].reverse() })
          .expect(204),
    ),
    fc.constant(() => g.weather()),
  ];
  const held = app.service(Snapshots);
  const assessments = app.service(Assessments);
  const fresh = () => new Snapshots(app.service(DataSource), app.service(GardensService));
  await fc.assert(
    fc.asyncProperty(fc.array(fc.oneof(...ops), { minLength: 1, maxLength: 2 }), async (writes) => {
      for (const write of writes) await write();
      const [a, b] = [await held.load(g.garden), await fresh().load(g.garden)];
      expect(content(a)).toEqual(content(b));
      const concluded = async (s: GardenSnapshot) =>
        plain([...(await assessments.all(s))].map(([id, p]) => [id, p.plan, [...p.plants].map(([, x]) => x.report)]));
      expect(await concluded(a)).toEqual(await concluded(b));
    }),
    { seed: 4, numRuns: 45 },
  );
});

test('values computed inside a transaction that is undone are not cached', async () => {
  const g = await gardenOf(app);
  const plant = await g.plant(await g.place({}));
  const [snapshots, assessments] = [app.service(Snapshots), app.service(Assessments)];
  const waterLeft = async (s: GardenSnapshot): Promise<number> => {
    const [place] = [...(await assessments.all(s)).values()];
    return place!.plants.get(plant)!.report.water.daily.at(-1)!.fractionAvailable;
  };
  const before = await waterLeft(await snapshots.load(g.garden));
  const undone = app.service(GardensService).change(g.garden, async (m) => {
    await app.service(RecordsService).write(m, g.garden, uuid(), TODAY, {
      id: uuid(),
      type: 'watering',
      plantId: plant,
      data: { date: TODAY, litres: 40 },
    });
    const inside = await snapshots.load(g.garden, m);
    expect(inside.recordsOf(plant)).toHaveLength(1);
    expect(await waterLeft(inside)).toBeGreaterThan(before);
    throw new Error('undone');
  });
  await expect(undone).rejects.toThrow('undone');
  // the next write has the same revision as the one that was undone, and is of the same plant
  await g.record('watering', { plantId: plant }, { date: TODAY, litres: 0.1 });
  const s = await snapshots.load(g.garden);
  const fresh = new Snapshots(app.service(DataSource), app.service(GardensService));
  expect(s.recordsOf(plant)).toHaveLength(1);
  expect(await waterLeft(s)).toBe(await waterLeft(await fresh.load(g.garden)));
});
