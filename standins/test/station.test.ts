import { startStation, type Station } from '../src/station.js';

let station: Station;
beforeAll(async () => {
  station = await startStation(45);
});
afterAll(() => station.close());

const HALT = 'latitude=45.6&longitude=8.9&elevation=180';
const ask = async (path: string) => {
  const answer = await fetch(`${station.url}${path}`);
  return { status: answer.status, body: (await answer.json()) as never };
};
type Days = { date: string; tMinC: number; tMaxC: number; rainMm: number; rainChancePct?: number }[];

test('the same days always have the same weather, however they are asked for', async () => {
  const all = (await ask(`/observed?${HALT}&from=2026-07-01&to=2026-07-20`)).body as Days;
  const some = (await ask(`/observed?${HALT}&from=2026-07-10&to=2026-07-12`)).body as Days;
  expect(all).toHaveLength(20);
  expect(some).toEqual(all.filter((d) => d.date >= '2026-07-10' && d.date <= '2026-07-12'));
  expect(all.every((d) => d.tMinC < d.tMaxC && d.rainMm >= 0)).toBe(true);
});

test('elsewhere the weather differs', async () => {
  const here = (await ask(`/observed?${HALT}&from=2026-07-01&to=2026-07-05`)).body as Days;
  const there = (await ask('/observed?latitude=52&longitude=8.9&elevation=20&from=2026-07-01&to=2026-07-05'))
    .body as Days;
  expect(there).not.toEqual(here);
});

test('a forecast begins the day after it is issued, is a week long, and has the chance of rain', async () => {
  const days = (await ask(`/forecast?${HALT}&issued=2026-07-18`)).body as Days;
  expect(days.map((d) => d.date)).toEqual(['19', '20', '21', '22', '23', '24', '25'].map((d) => `2026-07-${d}`));
  expect(days.every((d) => d.rainChancePct! >= 0 && d.rainChancePct! <= 100)).toBe(true);
});

test('an impossible question is refused with the reason; switched off, it answers 503', async () => {
  expect(await ask('/observed?latitude=45.6&from=2026-07-01&to=2026-07-02')).toMatchObject({
    status: 400,
    body: { message: expect.stringContaining('longitude') },
  });
  expect((await ask(`/observed?${HALT}&from=2026-07-99&to=2026-07-02`)).status).toBe(400);
  expect((await ask(`/forecast?${HALT}`)).status).toBe(400);
  expect((await ask(`/tomorrow?${HALT}`)).status).toBe(404);
  await fetch(`${station.url}/fault?down=true`, { method: 'POST' });
  expect((await ask(`/forecast?${HALT}&issued=2026-07-18`)).status).toBe(503);
  await fetch(`${station.url}/fault?down=false`, { method: 'POST' });
  expect((await ask(`/forecast?${HALT}&issued=2026-07-18`)).status).toBe(200);
});
