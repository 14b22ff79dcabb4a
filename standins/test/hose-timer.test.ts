import { startHoseTimer, type HoseTimer, type Logged } from '../src/hose-timer.js';

let timer: HoseTimer;
let secret: string;
beforeEach(async () => {
  timer = await startHoseTimer();
  secret = 'first come';
});
afterEach(() => timer.close());

const ask = async (path: string, method = 'GET', body?: unknown) => {
  const text = typeof body === 'string' ? body : JSON.stringify(body);
  const answer = await fetch(`${timer.url}${path.startsWith('/fault') ? '' : '/boxes/shed'}${path}`, {
    method,
    headers: { authorization: `Bearer ${secret}` },
    ...(body === undefined ? {} : { body: text }),
  });
  return { status: answer.status, body: (await answer.json()) as never };
};
const run = (date: string, minutes = 20, times = 1) => ({ date, start: '06:00', minutes, times, waitMinutes: 10 });
const program = (zone: number, runs: object[], flowLPerH = 60) =>
  ask(`/zones/${zone}/program`, 'PUT', { flowLPerH, runs });
const log = async (zone: number, from = '2026-07-01', to = '2026-07-31') =>
  (await ask(`/zones/${zone}/log?from=${from}&to=${to}`)).body as Logged[];

test('a program runs on its days, once, in litres by its flow', async () => {
  await program(2, [run('2026-07-18', 20, 3), run('2026-07-20')]);
  expect(await log(2, '2026-07-18', '2026-07-19')).toEqual([{ date: '2026-07-18', minutes: 60, litres: 60 }]);
  await program(2, [run('2026-07-18', 5)]); // that day has run: a new program does not run it again
  expect(await log(2)).toEqual([{ date: '2026-07-18', minutes: 60, litres: 60 }]);
  expect((await ask('/zones/2/program')).body).toMatchObject({ runs: [{ minutes: 5 }] });
});

test('zones are independent of each other', async () => {
  await program(1, [run('2026-07-18')]);
  expect(await log(2)).toEqual([]);
  expect((await ask('/zones/2/program')).body).toEqual({ flowLPerH: 0, runs: [] });
});

test('a clogged filter lets four tenths through from then on; the minutes stay', async () => {
  await program(1, [run('2026-07-18'), run('2026-07-19')]);
  await log(1, '2026-07-18', '2026-07-18');
  await ask('/fault?box=shed&clogged=true', 'POST');
  expect(await log(1)).toEqual([
    { date: '2026-07-18', minutes: 20, litres: 20 },
    { date: '2026-07-19', minutes: 20, litres: 8 },
  ]);
});

test('offline it answers 503 to everything, and remembers everything when it is back', async () => {
  await program(1, [run('2026-07-18')]);
  await ask('/fault?box=shed&offline=true', 'POST');
  for (const path of ['/zones/1/program', '/zones/1/log?from=2026-07-01&to=2026-07-31'])
    expect((await ask(path)).status).toBe(503);
  expect((await program(1, [])).status).toBe(503);
  await ask('/fault?box=shed&offline=false', 'POST');
  expect(await log(1)).toHaveLength(1);
});

test('an impossible program is refused, and the old one stays', async () => {
  await program(1, [run('2026-07-18')]);
  const bad = [
    'no JSON',
    { flowLPerH: 0, runs: [] },
    { flowLPerH: 60 },
    { flowLPerH: 60, runs: [run('18 July')] },
    { flowLPerH: 60, runs: [run('2026-07-18', 721)] },
    { flowLPerH: 60, runs: [run('2026-07-18', 0)] },
    { flowLPerH: 60, runs: [run('2026-07-18', 5, 0)] },
  ];
  for (const body of bad) expect([body, (await ask('/zones/1/program', 'PUT', body)).status]).toEqual([body, 400]);
  expect((await ask('/zones/1/program')).body).toMatchObject({ runs: [{ date: '2026-07-18' }] });
  expect((await ask('/zones/9/program')).status).toBe(404);
  expect((await ask('/zones/1/log?from=yesterday&to=2026-07-18')).status).toBe(400);
});

test('a box answers to the first secret it was shown, and to no other; another box knows nothing about it', async () => {
  await program(1, [run('2026-07-18')]);
  secret = 'somebody else';
  for (const answer of [
    await ask('/zones/1/program'),
    await program(1, []),
    await ask('/zones/1/log?from=2026-07-01&to=2026-07-31'),
  ])
    expect(answer.status).toBe(401);
  expect((await fetch(`${timer.url}/boxes/shed/zones/1/program`)).status).toBe(401);
  const other = await fetch(`${timer.url}/boxes/gate/zones/1/program`, {
    headers: { authorization: `Bearer ${secret}` },
  });
  expect(await other.json()).toEqual({ flowLPerH: 0, runs: [] });
  secret = 'first come';
  expect((await ask('/zones/1/program')).body).toMatchObject({ runs: [{ date: '2026-07-18' }] });
});
