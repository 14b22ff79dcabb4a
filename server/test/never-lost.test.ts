import type { WeatherDto } from '@candid-leaf/contract';
import { addDays } from '@candid-leaf/core/units';
import { v7 as uuid } from 'uuid';
import { useAppEach } from './app.js';
import { gardenOf } from './gardening.js';

/** What was measured is never lost, and never overwritten by a forecast. */
const app = useAppEach();

const TODAY = '2026-07-18';

test('a garden moved away and back has its measured days and its gauge as before', async () => {
  // each day is measured in one way, and forecast in another
  app.station.lie = { tMaxC: 33, rainMm: 4 };
  app.station.ahead = { tMaxC: 21, rainMm: 0 };
  const g = await gardenOf(app);
  const plant = await g.plant(await g.place({}));
  await g.agent
    .put(g.url('/records'))
    .send({ id: uuid(), type: 'rain-gauge', data: { date: addDays(TODAY, -2), rainMm: 11 } })
    .expect(200);
  const days = async () => (await g.plantView(plant)).weather;
  const of = (list: WeatherDto[], day: string) => list.find((w) => w.day === day);
  const before = (await days()).filter((w) => w.day <= TODAY);
  expect(of(before, addDays(TODAY, -2))).toMatchObject({ kind: 'observed', tMaxC: 33, rainMm: 11 });

  await g.goTo(addDays(TODAY, -5));
  // seen from then, what is known already is in the future
  const then = await days();
  expect(of(then, addDays(TODAY, -2))).toMatchObject({ kind: 'forecast', tMaxC: 21 });
  expect(then.filter((w) => w.day > addDays(TODAY, -5)).every((w) => w.kind === 'forecast')).toBe(true);
  // the station has forgotten those days meanwhile
  app.station.down = true;
  await g.goTo(TODAY);
  expect((await days()).filter((w) => w.day <= TODAY)).toEqual(before);
  const db = await app.connect();
  const [rows] = (await db.query(
    "SELECT COUNT(*) AS n FROM weather WHERE kind = 'observed' AND day BETWEEN ? AND ? AND tMaxC = 33",
    [addDays(TODAY, -4), TODAY],
  )) as unknown as [{ n: number }[]];
  expect(Number(rows[0]!.n)).toBe(5);
  await db.end();
});

test('a fetch asks only for missing days, and for four hundred at most', async () => {
  const g = await gardenOf(app);
  app.station.asked.length = 0;
  await g.weather();
  // the last two days again: services correct them
  expect(app.station.asked).toEqual([{ from: addDays(TODAY, -2), to: TODAY }]);
  await g.goTo(addDays(TODAY, 3));
  expect(app.station.asked.at(-1)).toEqual({ from: addDays(TODAY, -2), to: addDays(TODAY, 3) });
  const db = await app.connect();
  await db.query("DELETE FROM weather WHERE day > '2025-02-01'");
  await db.query("UPDATE weather SET day = '2025-01-10' WHERE kind = 'observed' LIMIT 1");
  await db.query(
    "INSERT IGNORE INTO weather (gardenId, day, kind, tMinC, tMaxC, rainMm) VALUES (?, '2025-01-10', 'observed', 1, 5, 0)",
    [g.garden],
  );
  await db.end();
  await g.weather();
  expect(app.station.asked.at(-1)).toEqual({ from: addDays(TODAY, 3 - 400), to: addDays(TODAY, 3) });
});

test('the last reading of a day counts; deleted, the one before counts, and then the station', async () => {
  const g = await gardenOf(app);
  const plant = await g.plant(await g.place({}));
  const day = addDays(TODAY, -1);
  const read = async (rainMm: number) => {
    const id = uuid();
    const data = { date: day, rainMm };
    await g.agent.put(g.url('/records')).send({ id, type: 'rain-gauge', data }).expect(200);
    return id;
  };
  const rain = async () => (await g.plantView(plant)).weather.find((w) => w.day === day)!.rainMm;
  const station = await rain();
  await read(6);
  const second = await read(9);
  expect(await rain()).toBe(9);
  await g.agent.delete(g.url(`/records/${second}`)).expect(204);
  expect(await rain()).toBe(6);
  await g.agent.post(g.url(`/records/${second}/restore`)).expect(204);
  expect(await rain()).toBe(9);
  expect(station).not.toBe(9);
});
