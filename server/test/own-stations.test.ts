import { mkdirSync, utimesSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { Readable } from 'node:stream';
import type { NewStation, OwnStationDto, SoilProbeDto } from '@candid-leaf/contract';
import { addDays } from '@candid-leaf/core/units';
import { GARDEN } from '@candid-leaf/demo';
import { homeStation, type Measured, startBroker } from '@candid-leaf/standins';
import mqtt from 'mqtt';
import { v7 as uuid } from 'uuid';
import { Clock, dayIn } from '../src/shared/clock.js';
import { seemsMeant } from '../src/weather/stations/far-off.js';
import { CsvFolder, hoursOf } from '../src/weather/stations/csv-folder.service.js';
import { rainSince } from '../src/weather/stations/hours.js';
import { OutsideWeather } from '../src/weather/outside-weather.service.js';
import { withOwn } from '../src/weather/stations/own-days.js';
import { OwnStations } from '../src/weather/stations/own-stations.service.js';
import { SoilProbes } from '../src/weather/stations/soil-probes.service.js';
import { metricReading, uploadFrom } from '../src/weather/stations/upload.js';
import { gardener, helper, NO_WEATHER, useApp, useFolder, useStarted } from './app.js';

describe('what a station sends', () => {
  test('the upload of a consumer station, by a sample made by hand: US units become metric', () => {
    const sample =
      'ID=me&PASSWORD=k&action=updateraw&dateutc=2026-07-18+12%3A00%3A00&tempf=77&humidity=55&windspeedmph=4.5&solarradiation=810.5&dailyrainin=0.50&baromin=29.9';
    expect(uploadFrom(new URLSearchParams(sample))).toEqual({
      refused: [],
      soil: [],
      reading: {
        at: Date.parse('2026-07-18T12:00:00Z'),
        stamp: '2026-07-18 12:00:00',
        tC: 25,
        rhPct: 55,
        windMs: 2.01,
        sunWm2: 810.5,
        rainCounterMm: 12.7,
        rainMm: null,
      },
    });
  });

  test('what can’t be is left out and named; a sensor that is not there is silence', () => {
    const { reading, refused } = uploadFrom(
      new URLSearchParams('tempf=400&humidity=-9999&windspeedmph=abc&dateutc=now&solarradiation=-3'),
    );
    expect(refused).toEqual(['a temperature of 204.44 °C', 'something that is no number', 'sun of -3 W/m²']);
    expect(reading).toMatchObject({ at: null, tC: null, rhPct: null, windMs: null, sunWm2: null });
    expect(metricReading({ temperature_c: 21.5, rain_mm: '900', other: 1 }, null)).toMatchObject({
      reading: { tC: 21.5, rainMm: null },
      refused: ['900 mm of rain at once'],
    });
  });

  test('a rain counter that is smaller began anew', () => {
    expect([rainSince(null, 5), rainSince(5, 7.5), rainSince(9, 2), rainSince(5, null)]).toEqual([0, 2.5, 2, null]);
  });

  test('temperatures far from the service: the unit that explains them, if one does', () => {
    expect(seemsMeant(77, 24)).toBe('fahrenheit');
    expect(seemsMeant(-4, 25)).toBe('celsius-as-fahrenheit');
    expect(seemsMeant(45, 22)).toBe('as-sent');
    expect(seemsMeant(29, 22)).toBeNull();
  });

  test('a file of readings: hours from its rows, and a sentence for what is not right', async () => {
    const now = Date.parse('2026-07-19T00:00:00Z');
    const file = (text: string) => hoursOf(Readable.from([text]), 'g', 'a.csv', now);
    const { hours, trouble } = await file(
      'time,temperature_c,rain_mm\n2026-07-18T10:00:00Z,20,0.4\n2026-07-18T10:30:00Z,22,0.2\n2026-07-18T13:00:00+02:00,24,\n2026-07-20T10:00:00Z,20,0\nyesterday,20,0\n',
    );
    expect(hours).toMatchObject([
      { temps: 2, tSum: 42, tMinC: 20, tMaxC: 22 },
      { at: new Date('2026-07-18T11:00:00Z'), temps: 1, rainMm: null },
    ]);
    expect(hours[0]!.rainMm).toBeCloseTo(0.6);
    expect(trouble).toBe('a.csv: we left out 2 values, such as a time in the future.');
    expect((await file('when,warm\n1,2\n')).trouble).toContain('needs a column "time" and one of temperature_c');
    expect((await file('time,temperature_c\n"unfinished')).trouble).toBe('a.csv is not a CSV file that we can read.');
  });
});

const folder = useFolder();
const broker = useStarted(startBroker, (b) => b.close());
const app = useApp(() => ({ weather: { ...NO_WEATHER, mqttUrl: broker.url, folder } }));

const FAIR: Measured = { tempC: 24, humidity: 60, windMs: 1, sunWm2: 500, rainMm: 0 };
let url: string;
beforeAll(async () => {
  url = await app.listen();
});
afterEach(() => jest.restoreAllMocks());
/** The server's clock shows this. */
const clockAt = (at: Date): void => void jest.spyOn(app.service(Clock), 'now').mockReturnValue(at);

async function connected() {
  const g = await gardener(app);
  await g.agent
    .put('/api/gardens')
    .send({ ...GARDEN, pinnedDate: null, id: g.garden, version: 1 })
    .expect(200);
  const { body } = await g.agent.post(g.url('/weather/station')).expect(200);
  const { key } = body as NewStation;
  const state = async (): Promise<OwnStationDto> =>
    ((await g.agent.get(g.url('/weather/station')).expect(200)).body as { station: OwnStationDto }).station;
  const hours = async (): Promise<{ temps: number; tSum: number; rainMm: number | null }[]> => {
    const db = await app.connect();
    const [rows] = await db.query('SELECT * FROM station_hour WHERE gardenId = ? ORDER BY at', [g.garden]);
    await db.end();
    return rows as never;
  };
  return { ...g, key, state, hours, sends: homeStation(url, key) };
}

describe('a station that sends by itself', () => {
  test('by either upload it is heard; the same again changes nothing; the page says what it sends', async () => {
    const s = await connected();
    expect(await s.state()).toMatchObject({ heardAt: null, sends: [], trouble: null, asks: null });
    const at = new Date();
    const first = await s.sends.upload({ ...FAIR, rainMm: 2 }, at);
    expect([first.status, await first.text()]).toEqual([200, 'success\n']);
    await s.sends.upload({ ...FAIR, rainMm: 2 }, at);
    const again = await s.sends.report({ ...FAIR, tempC: 26, rainMm: 3.5 }, 'now');
    expect([again.status, await again.text()]).toEqual([200, 'success\n']);
    const hours = await s.hours();
    expect(hours.reduce((n, h) => n + h.temps, 0)).toBe(2);
    expect(hours.reduce((sum, h) => sum + h.tSum, 0)).toBeCloseTo(50);
    expect(hours.reduce((sum, h) => sum + (h.rainMm ?? 0), 0)).toBeCloseTo(1.5, 1);
    expect(await s.state()).toMatchObject({
      heardAt: expect.any(String),
      sends: ['temperature', 'humidity', 'rain', 'wind', 'sun'],
    });
  });

  test('a wrong clock is named and the time of arrival counts; 900 mm of rain never count', async () => {
    const s = await connected();
    await s.sends.upload(FAIR, 'now');
    await s.sends.upload(FAIR, new Date(Date.now() + 2 * 3_600_000));
    expect((await s.state()).trouble).toBe(
      'Its clock is 2 hours ahead. We use the time of arrival; set the clock to UTC.',
    );
    await s.sends.upload(FAIR, new Date('2000-01-01T00:00:00Z'));
    expect((await s.state()).trouble).toMatch(/^Its clock is \d+ days behind/);
    await s.sends.upload({ ...FAIR, rainMm: 900 }, 'now');
    expect((await s.state()).trouble).toContain('It sent 900 mm of rain at once. We left that out.');
    const hours = await s.hours();
    expect(hours.every((h) => (h.rainMm ?? 0) < 1)).toBe(true);
    expect(hours.length).toBeLessThanOrEqual(2);
    // the next shower counts from there
    await s.sends.upload({ ...FAIR, rainMm: 902 }, 'now');
    expect((await s.hours()).reduce((sum, h) => sum + (h.rainMm ?? 0), 0)).toBeCloseTo(2, 1);
  });

  test('a wrong key is refused with what to do; keys that are tried and stations that flood are told to wait', async () => {
    const s = await connected();
    const wrong = await homeStation(url, 'f'.repeat(30)).upload(FAIR, 'now');
    expect([wrong.status, await wrong.json()]).toMatchObject([401, { message: expect.stringContaining('Settings') }]);
    const many = await Promise.all(Array.from({ length: 40 }, () => s.sends.upload(FAIR, 'now')));
    const refused = many.filter((r) => r.status === 429);
    expect(refused.length).toBeGreaterThanOrEqual(10);
    expect(Number(refused[0]!.headers.get('retry-after'))).toBeGreaterThan(0);
    expect((await s.hours()).reduce((n, h) => n + h.temps, 0)).toBeLessThanOrEqual(30);
    // another garden's station is not held up by it
    const other = await connected();
    expect((await other.sends.upload(FAIR, 'now')).status).toBe(200);
    for (let i = 0; i < 25; i++) await homeStation(url, uuid()).report(FAIR, 'now');
    expect((await homeStation(url, uuid()).report(FAIR, 'now')).status).toBe(429);
  });

  test('a new key ends the old one; only who keeps the garden may make one', async () => {
    const s = await connected();
    const mia = await helper(app, s, 'record');
    await mia.agent.get(s.url('/weather/station')).expect(200);
    await mia.agent.post(s.url('/weather/station')).expect(403);
    await s.agent.delete(s.url('/weather/station')).expect(204);
    const { body } = await s.agent.get(s.url('/weather/station')).expect(200);
    expect(body).toEqual({ station: null });
    // from another address than the one that tried keys
    await expect(app.service(OwnStations).gardenBehind(s.key)).resolves.toBeNull();
  });
});

describe('its days', () => {
  const TODAY = '2026-07-18';
  const day = (date: string, more: object = {}) => ({
    date,
    tMinC: 16,
    tMaxC: 28,
    rainMm: 4,
    rhMeanPct: 70,
    windMs: 2,
    solarMj: 20,
    ...more,
  });
  /** Sends a reading every hour, from local midnight of a day on. */
  async function sent(
    s: Awaited<ReturnType<typeof connected>>,
    date: string,
    hours: number,
    tempC: (h: number) => number,
  ) {
    const midnight = Date.parse(`${date}T00:00:00+02:00`);
    for (let h = 0; h < hours; h++) {
      const at = new Date(midnight + h * 3_600_000 + 60_000);
      clockAt(at);
      const { reading } = uploadFrom(new URLSearchParams({ dateutc: 'now' }));
      await app.service(OwnStations).receive(s.garden, {
        reading: { ...reading, tC: tempC(h), rhPct: 50, rainCounterMm: h >= 10 ? 3 : 0 },
        soil: [],
        refused: [],
      });
    }
  }
  const garden = (id: string) => ({ id, timeZone: 'Europe/Rome' });

  test('a whole day is its own; what it lacks comes from the service; today has the rain that fell here', async () => {
    const s = await connected();
    await sent(s, '2026-07-17', 24, (h) => (h === 15 ? 31 : 19));
    await sent(s, TODAY, 12, () => 20);
    clockAt(new Date('2026-07-18T12:00:00+02:00'));
    const own = await app.service(OwnStations).days(garden(s.garden), '2026-07-15', TODAY, [day('2026-07-17')]);
    expect(own.whole).toMatchObject([
      { date: '2026-07-17', tMinC: 19, tMaxC: 31, rainMm: 3, rhMeanPct: 50, windMs: null },
    ]);
    expect(own.soFar).toMatchObject({ date: TODAY, rainMm: 3 });
  });

  test('today is the service’s until it is over, with the rain that fell here and the rain still to come', () => {
    const own = (date: string, rainMm: number) =>
      ({
        date,
        tMinC: 5,
        tMaxC: 6,
        rainMm,
        rhMeanPct: null,
        windMs: null,
        solarMj: null,
        wetHours: 2,
        nightC: 9,
      }) as never;
    const service = [
      { ...day('2026-07-17'), source: 'open-meteo' },
      { ...day(TODAY, { rainMm: 6, rainToComeMm: 1 }), source: 'open-meteo' },
    ];
    const [yesterday, today] = withOwn(service, [own('2026-07-17', 0), own(TODAY, 2)], own(TODAY, 2), TODAY);
    expect(yesterday).toMatchObject({ source: 'own', tMaxC: 6, rainMm: 0, wetHours: 2, windMs: 2, solarMj: 20 });
    expect(today).toMatchObject({ source: 'open-meteo', tMaxC: 28, rainMm: 3 });
  });

  test('°F sent as °C: asked once, not used until answered, then right', async () => {
    const s = await connected();
    await sent(s, '2026-07-17', 24, (h) => (h === 15 ? 84 : 62));
    clockAt(new Date('2026-07-18T12:00:00+02:00'));
    const service = [day('2026-07-17')];
    const days = () => app.service(OwnStations).days(garden(s.garden), '2026-07-15', TODAY, service);
    expect(await days()).toEqual({ whole: [], soFar: null });
    expect((await s.state()).asks).toEqual({ stationC: 73, serviceC: 22, reading: 'fahrenheit' });
    await s.agent.post(s.url('/weather/station/reading')).send({ reading: 'kelvin' }).expect(400);
    await s.agent.post(s.url('/weather/station/reading')).send({ reading: 'fahrenheit' }).expect(204);
    expect((await s.state()).asks).toBeNull();
    const { whole } = await days();
    expect(whole[0]!.tMaxC).toBeCloseTo(28.9, 1);
    expect(whole[0]!.tMinC).toBeCloseTo(16.7, 1);
  });

  test('in the garden: the station before the service, the gauge before both', async () => {
    const s = await connected();
    const yesterday = addDays(dayIn(GARDEN.timeZone, new Date()), -1);
    const midnight = Date.parse(`${yesterday}T00:00:00+01:00`);
    const db = await app.connect();
    for (let h = 0; h < 24; h++)
      await db.query('INSERT INTO station_hour VALUES (?, ?, 1, ?, ?, ?, 0, 0, 0, 0, 0, 0, ?)', [
        s.garden,
        new Date(midnight + h * 3_600_000),
        21,
        21,
        22,
        h === 12 ? 7 : 0,
      ]);
    await db.end();
    await s.agent.post(s.url('/weather/pull')).expect(200);
    const weather = async () => {
      const { body } = await s.agent.get(s.url('/view')).expect(200);
      return (body as { ribbon: { day: string; weather: object }[] }).ribbon.find((d) => d.day === yesterday)!.weather;
    };
    expect(await weather()).toMatchObject({ source: 'own', tMinC: 21, tMaxC: 22, rainMm: 7, rhMeanPct: 60 });
    await s.agent
      .put(s.url('/records'))
      .send({ id: uuid(), type: 'rain-gauge', data: { date: yesterday, rainMm: 9 } })
      .expect(200);
    expect(await weather()).toMatchObject({ source: 'own', rainMm: 9 });
  });
});

test('readings that are in the garden’s days are removed after three months', async () => {
  const s = await connected();
  const db = await app.connect();
  const days = (n: number): Date => new Date(Date.now() - n * 24 * 3_600_000);
  for (const n of [10, 100])
    await db.query('INSERT INTO station_hour VALUES (?, ?, 1, 20, 20, 20, 0, 0, 0, 0, 0, 0, NULL)', [
      s.garden,
      days(n),
    ]);
  await db.end();
  await app.service(OutsideWeather).tidy();
  expect(await s.hours()).toHaveLength(1);
});

describe('soil probes', () => {
  /** A bed with a plant, and a gateway that has sent two probes. */
  async function probed() {
    const s = await connected();
    const place = uuid();
    await s.agent
      .put(s.url('/places'))
      .send({ id: place, name: 'Bed', kind: 'ground', texture: 'loam', lengthM: 2, widthM: 1 })
      .expect(200);
    await s.agent
      .put(s.url('/plants'))
      .send({ id: uuid(), placeId: place, name: 'Paste', crop: 'tomato', transplantedOn: '2026-05-08' })
      .expect(200);
    const probe = (channel: string) => s.url(`/weather/station/probes/${channel}`);
    const sends = (fields: string) =>
      app.service(OwnStations).receive(s.garden, uploadFrom(new URLSearchParams(fields)));
    await sends('soilmoisture1=20&tf_ch2=68');
    const list = async () => (await s.agent.get(s.url('/weather/station/probes')).expect(200)).body as SoilProbeDto[];
    const records = async (type: string) =>
      (await s.agent.get(`${s.url('/records')}?type=${type}`).expect(200)).body as { data: object; placeId: string }[];
    const note = () => app.service(SoilProbes).note(s.garden);
    return { ...s, place, probe, sends, list, records, note };
  }

  test('two points, then one record each morning with its share; the balance takes it', async () => {
    const s = await probed();
    expect(await s.list()).toMatchObject([
      { channel: 'moisture-1', raw: 20, placeId: null, share: null },
      { channel: 'warmth-2', raw: 20 },
    ]);
    await s.agent.put(s.probe('moisture-1')).send({ placeId: s.place, depthCm: 12 }).expect(204);
    await s.agent.put(s.probe('warmth-2')).send({ placeId: s.place }).expect(204);
    await s.agent.post(s.probe('moisture-1/point')).send({ as: 'dry' }).expect(204);
    // the same number can't be both
    await s.agent.post(s.probe('moisture-1/point')).send({ as: 'drained' }).expect(400);
    await s.sends('soilmoisture1=60');
    await s.agent.post(s.probe('moisture-1/point')).send({ as: 'drained' }).expect(204);
    await s.sends('soilmoisture1=45');
    expect((await s.list())[0]).toMatchObject({ dryRaw: 20, drainedRaw: 60, share: 0.625, against: null });
    // before five there is no morning
    const today = dayIn(GARDEN.timeZone, new Date());
    const at = (hour: string) => {
      clockAt(new Date(`${today}T${hour}:00:00Z`));
      return s.sends('soilmoisture1=45&tf_ch2=68');
    };
    await at('02');
    await s.note();
    expect(await s.records('soil-check')).toEqual([]);
    await at('07');
    await s.note();
    await s.note();
    expect(await s.records('soil-check')).toMatchObject([
      {
        placeId: s.place,
        data: { date: today, feel: 'damp', by: 'probe', share: 0.63, depthCm: 12, calibratedOn: today },
      },
    ]);
    expect(await s.records('soil-warmth')).toMatchObject([{ data: { celsius: 20 } }]);
    // one that is silent says nothing about this morning
    clockAt(new Date(Date.parse(`${today}T07:00:00Z`) + 30 * 3_600_000));
    await s.note();
    expect(await s.records('soil-check')).toHaveLength(1);
  });

  test('put elsewhere, its points count no more; a bed of another garden is refused', async () => {
    const s = await probed();
    const other = await connected();
    const theirs = uuid();
    await other.agent
      .put(other.url('/places'))
      .send({ id: theirs, name: 'B', kind: 'ground', texture: 'loam', lengthM: 1, widthM: 1 })
      .expect(200);
    await s.agent.put(s.probe('moisture-1')).send({ placeId: theirs }).expect(400);
    await s.agent.put(s.probe('moisture-1')).send({ placeId: s.place }).expect(204);
    await s.agent.post(s.probe('moisture-1/point')).send({ as: 'dry' }).expect(204);
    await s.agent.put(s.probe('moisture-1')).send({ placeId: null }).expect(204);
    expect((await s.list())[0]).toMatchObject({ dryRaw: null, placeId: null });
    await s.agent.put(s.probe('moisture-9')).send({ placeId: s.place }).expect(404);
  });
});

describe('other ways in', () => {
  test('sensors publish to a broker: single numbers, or all together', async () => {
    const s = await connected();
    const sensor = await mqtt.connectAsync(broker.url);
    await sensor.publishAsync(`candid-leaf/${s.key}/temperature_c`, '19.5');
    await sensor.publishAsync(`candid-leaf/${s.key}`, '{"humidity_pct": 71, "rain_counter_mm": 12}');
    await sensor.publishAsync(`candid-leaf/${s.key}/elsewhere`, '3');
    await sensor.publishAsync(`candid-leaf/${s.key}`, 'not json');
    await sensor.publishAsync('candid-leaf/no-key/temperature_c', '3');
    await sensor.endAsync();
    await until(async () => (await s.state()).sends.length === 3);
    expect((await s.state()).sends).toEqual(['temperature', 'humidity', 'rain']);
    expect(await s.hours()).toMatchObject([{ temps: 1, tSum: 19.5, rainMm: 0 }]);
  });

  test('a folder of files: read when they change, whole hours replaced, trouble named', async () => {
    const s = await connected();
    mkdirSync(join(folder, s.key));
    const file = join(folder, s.key, 'july.csv');
    writeFileSync(file, 'time,temperature_c\n2026-07-18T10:00:00Z,20\n2026-07-18T10:30:00Z,22\n');
    await app.service(CsvFolder).look();
    await app.service(CsvFolder).look();
    expect(await s.hours()).toMatchObject([{ temps: 2, tSum: 42 }]);
    writeFileSync(file, 'time,temperature_c\n2026-07-18T10:00:00Z,20\n2026-07-18T10:30:00Z,900\n');
    utimesSync(file, new Date(), new Date(Date.now() + 1000));
    await app.service(CsvFolder).look();
    expect(await s.hours()).toMatchObject([{ temps: 1, tSum: 20 }]);
    expect((await s.state()).trouble).toContain('july.csv: we left out 1 values, such as a temperature of 900 °C');
    // a folder that is no station's is left alone
    mkdirSync(join(folder, 'no-station'));
    writeFileSync(join(folder, 'no-station', 'a.csv'), 'time,temperature_c\n2026-07-18T10:00:00Z,20\n');
    await app.service(CsvFolder).look();
  });
});

/** Waits for something that comes by itself, asking as often as the server answers. */
async function until(true_: () => Promise<boolean>): Promise<void> {
  const end = Date.now() + 10_000;
  while (!(await true_())) if (Date.now() > end) throw new Error('it did not come');
}
