import type { TownDto } from '@candid-leaf/contract';
import { gardener, useApp } from './app.js';

const app = useApp();

test('a town is found by its first letters, whatever its accents; with its coordinates and time zone', async () => {
  const { agent } = await gardener(app);
  const called = async (name: string) => (await agent.get('/api/towns').query({ name }).expect(200)).body as TownDto[];
  // of one name, each with its state or region
  const regions = (await called('Winchester')).map((t) => t.region);
  expect(new Set(regions).size).toBe(regions.length);
  expect(regions).toEqual(expect.arrayContaining(['Virginia', 'England', 'Kentucky']));
  // the larger of the same name first
  expect((await called('Portland')).slice(0, 2).map((t) => [t.country, t.timeZone])).toEqual([
    ['US', 'America/Los_Angeles'],
    ['US', 'America/New_York'],
  ]);
  const [zurich] = await called('zur');
  expect([zurich!.name, zurich!.country, zurich!.timeZone]).toEqual(['Zürich', 'CH', 'Europe/Zurich']);
  // 47.37 N, 8.55 E
  expect([zurich!.latitude, zurich!.longitude].map((x) => Math.round(x * 10) / 10)).toEqual([47.4, 8.6]);
  // quarters of a town are not towns
  expect((await called('zurich')).filter((t) => t.name.includes('('))).toEqual([]);
  expect(await called('Xqzzy nowhere')).toEqual([]);
  expect((await called('san')).length).toBe(8);
});

test('coordinates have their nearest town and time zone, also across the date line', async () => {
  const { agent } = await gardener(app);
  const near = async (latitude: number, longitude: number) =>
    (await agent.get('/api/towns/near').query({ latitude, longitude }).expect(200)).body as TownDto;
  expect(await near(47.4, 8.5)).toMatchObject({ country: 'CH', timeZone: 'Europe/Zurich', latitude: 47.4 });
  expect((await near(-17, -179.99)).country).toBe('FJ');
});

test('something that is neither a name nor coordinates is refused with a sentence', async () => {
  const { agent } = await gardener(app);
  for (const [path, field] of [
    ['/api/towns', 'name'],
    ['/api/towns?name=a', 'name'],
    ['/api/towns/near?latitude=91&longitude=0', 'latitude'],
    ['/api/towns/near?latitude=x&longitude=0', 'latitude'],
  ] as const) {
    const { body } = await agent.get(path).expect(400);
    expect((body as { faults: { path: string }[] }).faults[0]!.path).toBe(field);
  }
  await app.http().get('/api/towns?name=Alba').expect(401);
});
