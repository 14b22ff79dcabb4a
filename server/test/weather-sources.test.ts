import type { GardenView, WeatherDto } from '@candid-leaf/contract';
import { DEMO_ACCOUNT, GARDEN } from '@candid-leaf/demo';
import { FAULTS, startMetNorway, startOpenMeteo, startStation } from '@candid-leaf/standins';
import { addDays } from '@candid-leaf/core/units';
import { v7 as uuid } from 'uuid';
import { Clock, dayIn } from '../src/shared/clock.js';
import { KeptAnswers, type NewAnswer, type Question } from '../src/weather/sources/kept-answers.service.js';
import { MetNorway } from '../src/weather/sources/met-norway.js';
import { OpenMeteo } from '../src/weather/sources/open-meteo.js';
import { type Answer, Outside } from '../src/weather/sources/outside.js';
import { sourceFrom } from '../src/weather/sources/provider.js';
import { OutsideWeather } from '../src/weather/outside-weather.service.js';
import { WeatherService } from '../src/weather/weather.service.js';
import { QUICK, useApp, useStarted, type Agent } from './app.js';

const NOON = new Date('2026-07-18T12:00:00Z');
const CLOCK = { now: () => NOON } as Clock;
const HALT = { latitude: 45.6123, longitude: 8.9456, elevationM: 180, timeZone: 'UTC' };
/** Keeps nothing, so each question is asked. */
const NOTHING_KEPT = {
  get: async (_q: Question, ask: (kept: null) => Promise<NewAnswer>) => (await ask(null)).body,
} as unknown as KeptAnswers;

/** An outside that gives one answer, and notes what it was asked. */
function outside(body: unknown, headers: Record<string, string> = {}) {
  const asked: { url: string; headers: Record<string, string> }[] = [];
  const get = (url: string, sent: Record<string, string> = {}): Promise<Answer> => {
    asked.push({ url, headers: sent });
    return Promise.resolve({ status: 200, headers: new Headers(headers), text: JSON.stringify(body) });
  };
  return { asked, outside: { get } as unknown as Outside };
}

describe('Open-Meteo, by samples made by hand from the published description', () => {
  const begin = Date.parse('2026-07-17T00:00:00Z') / 1000;
  const n = 72;
  const list = (of: (h: number) => number | null): (number | null)[] => Array.from({ length: n }, (_, h) => of(h));
  const sample = (more: object = {}, units: object = {}) => ({
    latitude: 45.62,
    longitude: 8.94,
    hourly_units: {
      time: 'unixtime',
      temperature_2m: '°C',
      relative_humidity_2m: '%',
      precipitation: 'mm',
      precipitation_probability: '%',
      wind_speed_10m: 'm/s',
      shortwave_radiation: 'W/m²',
      ...units,
    },
    hourly: {
      time: list((h) => begin + h * 3600),
      temperature_2m: list((h) => 15 + (h % 24 === 14 ? 12 : 0)),
      relative_humidity_2m: list(() => 70),
      // the rain of the hour before: stated at midnight, it belongs to the day that ends
      precipitation: list((h) => (h === 24 ? 6 : h === 62 ? 3 : 0)),
      precipitation_probability: list((h) => (h === 62 ? 70 : 10)),
      wind_speed_10m: list(() => 4),
      shortwave_radiation: list((h) => (h % 24 >= 7 && h % 24 <= 18 ? 500 : 0)),
      ...more,
    },
  });
  const of = (body: unknown) => {
    const o = outside(body);
    return {
      ...o,
      source: new OpenMeteo({ forecast: 'http://f', archive: 'http://a', key: null }, o.outside, NOTHING_KEPT, CLOCK),
    };
  };

  test('its hours become days: wind at 2 m, sun in MJ, rain on the day on which it fell', async () => {
    const { source, asked } = of(sample());
    expect(await source.observed(HALT, '2026-07-17', '2026-07-18')).toMatchObject([
      { date: '2026-07-17', tMinC: 15, tMaxC: 27, rainMm: 6, rhMeanPct: 70, windMs: 2.99, solarMj: 21.6 },
      { date: '2026-07-18', rainMm: 0 },
    ]);
    expect(await source.forecast(HALT, '2026-07-18')).toMatchObject([
      { date: '2026-07-19', rainMm: 3, rainChancePct: 70 },
    ]);
    // the location to about a kilometre, and no more
    const query = new URL(asked[0]!.url).searchParams;
    expect([query.get('latitude'), query.get('longitude'), query.get('timezone')]).toEqual(['45.61', '8.95', 'GMT']);
  });

  test('a unit that is missing or another one is refused by name; so are lists that do not fit', async () => {
    const ask = (body: unknown) => of(body).source.observed(HALT, '2026-07-17', '2026-07-18');
    await expect(ask(sample({}, { temperature_2m: '°F' }))).rejects.toThrow('temperature_2m in "°F". We need °C');
    await expect(ask(sample({}, { precipitation: undefined }))).rejects.toThrow('precipitation without a unit');
    await expect(ask(sample({ wind_speed_10m: [1] }))).rejects.toThrow('lists of different lengths');
    await expect(ask({ error: true, reason: 'no' })).rejects.toThrow('no hourly values');
  });

  test('hours without a value are a gap: four make no difference, five make the day unknown', async () => {
    const gaps = (k: number) => sample({ temperature_2m: list((h) => (h < k ? null : 20)) });
    const days = async (k: number) =>
      (await of(gaps(k)).source.observed(HALT, '2026-07-17', '2026-07-17')).map((d) => d.date);
    expect(await days(4)).toEqual(['2026-07-17']);
    expect(await days(5)).toEqual([]);
  });
});

describe('MET Norway, by samples made by hand from the published description', () => {
  const UNITS = { air_temperature: 'celsius', relative_humidity: '%', wind_speed: 'm/s', precipitation_amount: 'mm' };
  const at = (h: number): string => new Date(Date.parse('2026-07-18T12:00:00Z') + h * 3_600_000).toISOString();
  const step = (h: number, tC: number, block: object) => ({
    time: at(h),
    data: { instant: { details: { air_temperature: tC, relative_humidity: 80, wind_speed: 4 } }, ...block },
  });
  const sample = (units: object = UNITS) => ({
    properties: {
      meta: { units },
      timeseries: [
        ...Array.from({ length: 36 }, (_, h) =>
          step(h, 20, {
            next_1_hours: { details: { precipitation_amount: h === 20 ? 2 : 0, probability_of_precipitation: 40 } },
          }),
        ),
        ...Array.from({ length: 5 }, (_, i) =>
          step(36 + i * 6, 18, {
            next_6_hours: {
              details: {
                precipitation_amount: 3,
                probability_of_precipitation: 90,
                air_temperature_min: i === 1 ? 9 : 15,
                air_temperature_max: i === 3 ? 29 : 21,
              },
            },
          }),
        ),
      ],
    },
  });
  const of = (body: unknown, headers = {}) => {
    const o = outside(body, headers);
    return { ...o, source: new MetNorway('http://m', 'Candid Leaf (me@halt.example)', o.outside, NOTHING_KEPT, CLOCK) };
  };

  test('hours and steps of six hours become days; it says who it is and sends few decimals', async () => {
    const { source, asked } = of(sample());
    expect(await source.forecast(HALT, '2026-07-18')).toMatchObject([
      { date: '2026-07-19', tMinC: 20, tMaxC: 20, rainMm: 2, rainChancePct: 40, windMs: 2.99, solarMj: null },
      // 12 mm in four steps, with the extremes of the second and of the fourth
      { date: '2026-07-20', tMinC: 9, tMaxC: 29, rainMm: 12, rainChancePct: 90 },
    ]);
    expect(asked[0]!.headers).toEqual({ 'user-agent': 'Candid Leaf (me@halt.example)' });
    expect(asked[0]!.url).toContain('/weatherapi/locationforecast/2.0/complete?lat=45.61&lon=8.95&altitude=180');
    // it has no past days
    expect(await source.observed()).toEqual([]);
  });

  test('a forecast without its units is not used', async () => {
    await expect(
      of(sample({ ...UNITS, air_temperature: 'fahrenheit' })).source.forecast(HALT, '2026-07-18'),
    ).rejects.toThrow('did not say that air_temperature is in celsius');
    await expect(of({}).source.forecast(HALT, '2026-07-18')).rejects.toThrow('no forecast with units');
  });
});

const openMeteo = useStarted(startOpenMeteo, (s) => s.close());
const met = useStarted(startMetNorway, (s) => s.close());
const station = useStarted(
  () => startStation(45),
  (s) => s.close(),
);
const app = useApp(() => ({
  weather: {
    services: ['open-meteo', 'met-norway', 'simulated'],
    proposed: 'open-meteo',
    simulatedUrl: station.url,
    openMeteo: { forecast: `${openMeteo.url}/v1/forecast`, archive: `${openMeteo.url}/v1/archive`, key: null },
    metNorwayUrl: met.url,
    contact: 'leaf@halt.example',
    mqttUrl: null,
    folder: null,
  },
}));

let agent: Agent;
beforeAll(async () => {
  agent = app.agent();
  await agent
    .post('/api/accounts')
    .send({ ...DEMO_ACCOUNT, email: `${uuid()}@halt.example` })
    .expect(201);
});
/** A garden that follows the calendar, somewhere else each time. */
let next = 0;
const place = (): { latitude: number; longitude: number } => ({
  latitude: 40 + (next++ % 20),
  longitude: 10 + next / 10,
});
async function garden(more: object) {
  const id = uuid();
  const input = { ...GARDEN, pinnedDate: null, ...place(), ...more, id };
  await agent.put('/api/gardens').send(input).expect(200);
  const view = async (): Promise<GardenView> =>
    (await agent.get(`/api/gardens/${id}/view`).expect(200)).body as GardenView;
  const pull = () => agent.post(`/api/gardens/${id}/weather/pull`).expect(200);
  const weather = async (): Promise<WeatherDto[]> =>
    (await view()).ribbon.flatMap((d) => (d.weather ? [d.weather] : []));
  return { id, input, view, pull, weather };
}
const today = (): string => dayIn(GARDEN.timeZone, new Date());

describe('a new garden', () => {
  test('with Open-Meteo: sixty days, ten days ahead, usual frosts; in two requests, shared by a garden near', async () => {
    openMeteo.asked.length = 0;
    const first = await garden({ latitude: 46, longitude: 9 });
    const view = await first.view();
    expect(view.weather).toMatchObject({ trouble: null, newest: today(), service: { code: 'open-meteo' } });
    expect(view.weather.service!.credit!.text).toContain('CC BY 4.0');
    const days = await first.weather();
    expect(days.every((d) => d.source === 'open-meteo' && d.wetHours !== null && d.nightC !== null)).toBe(true);
    const db = await app.connect();
    const [rows] = await db.query('SELECT kind, COUNT(*) AS n FROM weather WHERE gardenId = ? GROUP BY kind', [
      first.id,
    ]);
    expect(rows).toEqual([
      { kind: 'forecast', n: expect.any(Number) },
      { kind: 'observed', n: 61 },
    ]);
    const [[kept]] = (await db.query('SELECT climate FROM garden WHERE id = ?', [first.id])) as never as [
      [{ climate: string }],
    ];
    expect(JSON.parse(kept.climate)).toHaveLength(12);
    await db.end();
    expect(openMeteo.asked.map((p) => p.split('?')[0])).toEqual(['/v1/forecast', '/v1/archive']);
    // three kilometres away: nothing more is asked
    await garden({ latitude: 46.02, longitude: 9.01 });
    expect(openMeteo.asked.length).toBe(2);
    // ten kilometres away it is
    await garden({ latitude: 46.1, longitude: 9 });
    expect(openMeteo.asked.length).toBe(4);
  });

  test('the page asks for the frosts before there is a garden, within limits', async () => {
    const at = '?latitude=46&longitude=9&elevationM=180&timeZone=Europe/Rome&service=';
    const { body } = await agent.get(`/api/weather/frosts${at}open-meteo`).expect(200);
    expect(body).toEqual({
      frosts: {
        lastFrost: expect.stringMatching(/^0[3-5]-/),
        firstFrost: expect.stringMatching(/^1[0-2]-/),
        years: 10,
      },
    });
    const { body: none } = await agent.get(`/api/weather/frosts${at}simulated`).expect(200);
    expect(none).toEqual({ frosts: null });
    await agent.get(`/api/weather/frosts${at}elsewhere`).expect(400);
    for (let i = 0; i < 30; i++) await agent.get(`/api/weather/frosts${at}simulated`);
    await agent.get(`/api/weather/frosts${at}simulated`).expect(429);
  });

  test('with MET Norway: the forecast from there, the past from Open-Meteo; asked again only after it expired', async () => {
    met.asked.length = 0;
    const g = await garden({ weatherService: 'met-norway' });
    const days = await g.weather();
    expect(days.filter((d) => d.kind === 'observed').every((d) => d.source === 'open-meteo')).toBe(true);
    expect(days.filter((d) => d.kind === 'forecast').map((d) => d.source)).toContain('met-norway');
    expect((await g.view()).weather.service!.credit!.text).toContain('MET Norway');
    expect(met.asked).toEqual([{ who: 'Candid Leaf (leaf@halt.example)', since: undefined, path: expect.any(String) }]);
    await g.pull();
    expect(met.asked).toHaveLength(1);
    const later = jest.spyOn(app.service(Clock), 'now').mockImplementation(() => new Date(Date.now() + 35 * 60_000));
    await g.pull();
    later.mockRestore();
    // it had nothing new, and said so
    expect(met.asked[1]!.since).toBeDefined();
    expect((await g.view()).weather.trouble).toBeNull();
  });

  test('another service takes the place of made-up days', async () => {
    const g = await garden({ weatherService: 'simulated' });
    expect(new Set((await g.weather()).map((d) => d.source))).toEqual(new Set(['simulated']));
    await agent
      .put('/api/gardens')
      .send({ ...g.input, weatherService: 'open-meteo', version: 1 })
      .expect(200);
    const db = await app.connect();
    const [rows] = await db.query('SELECT DISTINCT source FROM weather WHERE gardenId = ?', [g.id]);
    await db.end();
    expect(rows).toEqual([{ source: 'open-meteo' }]);
  });

  test('two hundred gardens in one update: at most twenty requests', async () => {
    const db = await app.connect();
    await db.query('DELETE FROM garden');
    const rows = Array.from({ length: 200 }, (_, i) => [
      uuid(),
      'G',
      35 + (i % 20),
      -20 + Math.floor(i / 20) * 3,
      100,
      'UTC',
      '{}',
      'monday',
      'd MMMM',
      1,
      1,
      1,
    ]);
    await db.query(
      'INSERT INTO garden (id, name, latitude, longitude, elevationM, timeZone, units, weekStart, dateForm, version, revision, weatherRevision) VALUES ?',
      [rows],
    );
    // known up to yesterday, as in every hour but the first
    await db.query(
      "INSERT INTO weather (gardenId, day, kind, tMinC, tMaxC, rainMm) SELECT id, ?, 'observed', 1, 9, 0 FROM garden",
      [addDays(today(), -1)],
    );
    await db.query('DELETE FROM kept_answer');
    openMeteo.asked.length = 0;
    const service = app.service(WeatherService);
    await service.pullAll();
    // four, and one again for each that a busy machine answers late
    const asked = openMeteo.asked.length;
    expect(asked).toBeLessThanOrEqual(8);
    const [[{ n }]] = (await db.query(
      "SELECT COUNT(DISTINCT gardenId) AS n FROM weather WHERE kind = 'observed' AND tMaxC <> 9",
    )) as never as [[{ n: number }]];
    expect(n).toBe(200);
    // an hour has not passed: nobody is asked again
    await service.pull(String(rows[7]![0]));
    expect(openMeteo.asked.length).toBe(asked);
    await db.query('DELETE FROM garden');
    await db.end();
  });
});

describe('manners towards a service', () => {
  test('one that fails again and again is left alone; one that is busy too', async () => {
    const outsideOf = () => new Outside('It', QUICK);
    const url = `${openMeteo.url}/v1/forecast?latitude=1&longitude=1`;
    openMeteo.asked.length = 0;
    openMeteo.faults.is = '500';
    const failing = outsideOf();
    await expect(failing.get(url)).rejects.toThrow('It has a fault (500)');
    expect(openMeteo.asked.length).toBe(2);
    for (let i = 0; i < 3; i++) await failing.get(url).catch(() => undefined);
    await expect(failing.get(url)).rejects.toThrow('It failed several times');
    expect(openMeteo.asked.length).toBe(8);
    openMeteo.faults.is = '429';
    const busy = outsideOf();
    await expect(busy.get(url)).rejects.toThrow('busy and asked us to wait');
    openMeteo.faults.is = null;
    await expect(busy.get(url)).rejects.toThrow('asked us to wait');
    expect(openMeteo.asked.length).toBe(9);
    await expect(outsideOf().get('http://127.0.0.1:9/')).rejects.toThrow('can’t be reached');
    await expect(outsideOf().get(`${openMeteo.url}/elsewhere`)).rejects.toThrow('refused the request (404)');
  });
});

describe('every fault leaves the garden usable and says what is missing', () => {
  const SAYS: Record<string, RegExp> = {
    slow: /did not answer in time/,
    '500': /has a fault \(500\)/,
    '429': /is busy and asked us to wait/,
    truncated: /cut off or is not weather/,
    'no-units': /without a unit|with units|did not say/,
    impossible: /not possible/,
  };
  /** Faults after which there is less weather, but nothing wrong. */
  const LESS = ['gaps', 'wrong-clock', 'repeats'];

  // each begins anew: a service that failed again and again is left alone for a while
  beforeEach(() => {
    const { config } = app;
    const source = sourceFrom(config, app.service(KeptAnswers), app.service(Clock), QUICK);
    Object.assign(app.service(OutsideWeather), { source });
  });

  describe.each([
    ['open-meteo', () => openMeteo.faults],
    ['met-norway', () => met.faults],
  ] as const)('%s', (service, faults) => {
    test.each(FAULTS)('%s', async (fault) => {
      const g = await garden({ weatherService: service });
      const before = (await g.weather()).map((d) => d.day);
      const db = await app.connect();
      await db.query('DELETE FROM kept_answer');
      await db.end();
      faults().is = fault;
      const { body } = await g.pull();
      const fresh = await garden({ weatherService: service });
      faults().is = null;
      if (SAYS[fault]) expect((body as { trouble: string }).trouble).toMatch(SAYS[fault]);
      else expect(LESS).toContain(fault);
      // what was known stays, and the page opens
      const after = await g.weather();
      expect(after.map((d) => d.day)).toEqual(expect.arrayContaining(before.filter((d) => d <= today())));
      expect(after.every((d) => d.tMaxC < 60 && d.tMaxC > -40 && d.rainMm < 300)).toBe(true);
      expect(after.every((d) => d.day <= addDays(today(), 12))).toBe(true);
      await fresh.view();
    });
  });
});
