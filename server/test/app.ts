import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Test } from '@nestjs/testing';
import type { NestExpressApplication } from '@nestjs/platform-express';
import { DEMO_ACCOUNT, GARDEN, idOf } from '@candid-leaf/demo';
import { startHoseTimer, type HoseTimer } from '@candid-leaf/standins';
import { createConnection } from 'mysql2/promise';
import request from 'supertest';
import { v7 as uuid } from 'uuid';
import { AppModule } from '../src/app.module.js';
import type { Role } from '@candid-leaf/contract';
import { CONFIG, type Config } from '../src/config.js';
import { Clock } from '../src/shared/clock.js';
import { KeptAnswers } from '../src/weather/sources/kept-answers.service.js';
import type { Manners } from '../src/weather/sources/outside.js';
import { sourceFrom } from '../src/weather/sources/provider.js';
import { installGate } from '../src/gate/install.js';
import { type StationDay, type StationForecastDay, WeatherSource } from '../src/weather/sources/source.js';
import { addDays, daysBetween } from '@candid-leaf/core/units';

/** Manners of a test: nobody waits five seconds for what is slow on purpose. */
export const QUICK: Manners = { patienceMs: 1500, pauseMs: 1, restMs: 60_000 };

/** Nobody listens there. */
const NOWHERE = 'http://127.0.0.1:9';

/** No outside: the station of the tests stands for it. */
export const NO_WEATHER: Config['weather'] = {
  services: ['simulated'],
  proposed: 'simulated',
  simulatedUrl: null,
  openMeteo: { forecast: NOWHERE, archive: NOWHERE, key: null },
  metNorwayUrl: NOWHERE,
  contact: null,
  mqttUrl: null,
  folder: null,
};

/** Measured and forecast days of one place. */
interface Sky {
  observed: (from: string, to: string) => StationDay[];
  forecast: (issued: string) => StationForecastDay[];
}

/** A station under the test's thumb: fair weather, or down. */
export class TestStation extends WeatherSource {
  down = false;
  /** which days were asked for */
  readonly asked: { from: string; to: string }[] = [];
  lie: Partial<StationDay> = {};
  /** what the forecast holds instead of fair weather */
  ahead: Partial<StationForecastDay> = {};
  /** the weather of gardens on a latitude, instead of fair weather */
  readonly skies = new Map<number, Sky>();
  async observed(p: { latitude: number }, from: string, to: string): Promise<StationDay[]> {
    if (this.down) throw new Error('nobody answers');
    this.asked.push({ from, to });
    const sky = this.skies.get(p.latitude);
    if (sky) return sky.observed(from, to);
    return Array.from({ length: daysBetween(from, to) + 1 }, (_, i) => ({
      ...this.day(addDays(from, i)),
      ...this.lie,
    }));
  }
  async forecast(p: { latitude: number }, issued: string): Promise<StationForecastDay[]> {
    if (this.down) throw new Error('nobody answers');
    const sky = this.skies.get(p.latitude);
    if (sky) return sky.forecast(issued);
    return Array.from({ length: 7 }, (_, i) => ({
      ...this.day(addDays(issued, i + 1)),
      rainChancePct: 10,
      ...this.ahead,
    }));
  }
  private day(date: string): StationDay {
    return { date, tMinC: 17, tMaxC: 29, rainMm: 0, rhMeanPct: 60, windMs: 2, solarMj: 24 };
  }
}

type HowToStart = Parameters<typeof startApp>;

/** Starts an application before the tests of a file, and stops it after them. Its settings may need what started before. */
export const useApp = (more: HowToStart[0] | (() => HowToStart[0]) = {}, ...how: Rest<HowToStart>): App =>
  useStarted(
    () => startApp(typeof more === 'function' ? more() : more, ...how),
    (app) => app.stop(),
  );

/** As `useApp`, with a fresh one for each test. */
export const useAppEach = (...how: HowToStart): App =>
  useStarted(
    () => startApp(...how),
    (app) => app.stop(),
    { before: beforeEach, after: afterEach },
  );

/** Starts the stand-in of a hose timer before the tests of a file, and closes it after them. */
export const useHoseTimer = (): HoseTimer => useStarted(startHoseTimer, (timer) => timer.close());

/** Makes a temporary folder, and removes it after the tests of a file. */
export function useFolder(): string {
  const folder = mkdtempSync(join(tmpdir(), 'candid-leaf-'));
  afterAll(() => rmSync(folder, { recursive: true }));
  return folder;
}

type Rest<T extends unknown[]> = T extends [unknown?, ...infer R] ? R : never;

/** Returns what `start` gives, once it has run: before all tests of a file, or before each. */
export function useStarted<T extends object>(
  start: () => Promise<T>,
  end: (started: T) => Promise<unknown>,
  { before, after } = { before: beforeAll, after: afterAll },
): T {
  let running: T | undefined;
  before(async () => {
    running = await start();
  });
  after(async () => {
    if (running) await end(running);
  });
  return new Proxy({} as T, { get: (_, name) => Reflect.get(running ?? {}, name) as unknown });
}

/** Returns the address of the tests' database server. */
export function databaseRoot(): string {
  const root = process.env.TEST_DATABASE_URL;
  if (!root) throw new Error('TEST_DATABASE_URL is not set: run the tests with npm test');
  return root;
}

/**
 * Starts an application on its own database.
 * @param through another way to the database than the straight one
 * @param install what is added before it begins
 */
export async function startApp(
  more: Partial<Config> = {},
  through?: string,
  install: (app: NestExpressApplication) => void = () => undefined,
) {
  const root = databaseRoot();
  const name = `candid_leaf_${uuid().replaceAll('-', '')}`;
  const db = await createConnection(root);
  await db.query(`CREATE DATABASE ${name}`);
  const url = new URL(through ?? root);
  url.pathname = `/${name}`;
  // made with the first photo
  const photos = join(tmpdir(), name);
  const config: Config = {
    databaseUrl: url.toString(),
    port: 0,
    sessionSecret: 'x'.repeat(40),
    weather: NO_WEATHER,
    timerHosts: [],
    webRoot: null,
    secureCookies: false,
    trustProxy: false,
    signUpsPerHour: 10_000,
    workers: 0,
    registration: true,
    smtpUrl: null,
    mailFrom: 'leaf@halt.example',
    publicUrl: null,
    photos,
    photoMb: 500,
    demoGarden: null,
    backups: null,
    pushHosts: [],
    ...more,
  };
  const station = new TestStation();
  // what runs by the clock is called by the tests that are about it: a run that crosses a full hour is like any other
  const module = await Test.createTestingModule({ imports: [AppModule.with(config, { background: false })] })
    .overrideProvider(WeatherSource)
    // settings of its own mean the real sources, in front of stand-ins
    .useFactory({
      factory: (...[config, kept, clock]: never[]) =>
        (more.weather?.simulatedUrl ?? null) !== null ? sourceFrom(config!, kept!, clock!, QUICK) : station,
      inject: [CONFIG, KeptAnswers, Clock],
    })
    .compile();
  const app = module.createNestApplication<NestExpressApplication>({ bodyParser: false, logger: false });
  const { close } = installGate(app, config);
  install(app);
  await app.init();
  return {
    station,
    config,
    /** a connection to its database, to look into it and to stand in its way */
    connect: () => createConnection(Object.assign(new URL(root), { pathname: url.pathname }).toString()),
    service: <T>(of: abstract new (...args: never[]) => T): T => app.get(of as never, { strict: false }),
    /** every route that answers, as the router knows them */
    routes: () => routesOf(app),
    http: () => request(app.getHttpServer()),
    /** lets programs of their own ask it; gives its address */
    listen: async () => {
      await app.listen(0, '127.0.0.1');
      return app.getUrl();
    },
    agent: () => request.agent(app.getHttpServer()),
    stop: async () => {
      await app.close();
      await close();
      await db.query(`DROP DATABASE ${name}`);
      await db.end();
      rmSync(photos, { recursive: true, force: true });
    },
  };
}
interface Layer {
  route?: { path: string; methods: Record<string, boolean> };
}
function routesOf(app: NestExpressApplication): string[] {
  const { router } = app.getHttpAdapter().getInstance() as { router: { stack: Layer[] } };
  return router.stack
    .flatMap(({ route }) => (route ? Object.keys(route.methods).map((m) => `${m.toUpperCase()} ${route.path}`) : []))
    .filter((r) => / \/(api|weatherstation)\//.test(r))
    .sort();
}

export type App = Awaited<ReturnType<typeof startApp>>;
export type Agent = ReturnType<App['agent']>;

/** Somebody with an account and an empty garden that stands on 18 July 2026. */
export async function gardener(
  app: App,
  email = `${uuid()}@halt.example`,
): Promise<{ agent: Agent; garden: string; url: (path: string) => string }> {
  const agent = app.agent();
  await agent
    .post('/api/accounts')
    .send({ ...DEMO_ACCOUNT, email })
    .expect(201);
  const garden = uuid();
  await agent
    .put('/api/gardens')
    .send({ ...GARDEN, id: garden })
    .expect(200);
  return { agent, garden, url: (path) => `/api/gardens/${garden}${path}` };
}

/** Somebody else who came into the garden by an invitation. */
export async function helper(
  app: App,
  g: { agent: Agent; url: (path: string) => string },
  role: Role,
  name = 'Mia',
): Promise<{ agent: Agent; id: string; email: string }> {
  const agent = app.agent();
  const email = `${uuid()}@halt.example`;
  const { body: me } = await agent
    .post('/api/accounts')
    .send({ ...DEMO_ACCOUNT, email, name })
    .expect(201);
  const { body } = await g.agent.post(g.url('/invitations')).send({ id: uuid(), name, role }).expect(200);
  const secret = (body as { path: string }).path.split('#')[1];
  await agent.post(`/api/invitations/${secret}/accept`).expect(200);
  return { agent, id: (me as { id: string }).id, email };
}

/** A terracotta pot with a paste tomato in it. */
export async function potted(g: Awaited<ReturnType<typeof gardener>>): Promise<{ place: string; plant: string }> {
  const place = uuid();
  const plant = uuid();
  await g.agent
    .put(g.url('/places'))
    .send({
      id: place,
      name: 'Pots',
      kind: 'container',
      texture: 'potting-mix',
      volumeL: 14,
      potMaterial: 'terracotta',
    })
    .expect(200);
  await g.agent
    .put(g.url('/plants'))
    .send({
      id: plant,
      placeId: place,
      name: 'Paste',
      crop: 'tomato',
      type: 'paste',
      stage: 'fruiting',
      transplantedOn: '2026-05-08',
      heightM: 1.1,
    })
    .expect(200);
  return { place, plant };
}
export { idOf };
