import {
  climateOfPlace,
  fillGaps,
  generateWeather,
  seeded,
  type WeatherDay,
  weatherInPlace,
  monthlyRainShares,
} from '@candid-leaf/core/climate';
import { addDays } from '@candid-leaf/core/units';

const warmestMonth = (latitude: number): number => {
  const table = climateOfPlace(latitude, 100, []);
  return table.reduce((best, m, i) => (m.tMaxC > table[best]!.tMaxC ? i : best), 0);
};

test('summer is July in the north and January in the south; none at the equator', () => {
  expect([6, 7]).toContain(warmestMonth(45));
  expect([0, 1]).toContain(warmestMonth(-35));
  const [jan, jul] = [0, 6].map((m) => climateOfPlace(-35, 100, [])[m]!.tMaxC);
  expect(jan! - jul!).toBeGreaterThan(8);
  const equator = climateOfPlace(0, 100, []).map((m) => m.tMaxC);
  expect(Math.max(...equator) - Math.min(...equator)).toBeLessThan(1);
});

test('a thousand metres up it is 6.5 °C cooler, and cooler towards the poles (usual lapse and zonal means)', () => {
  const mean = (latitude: number, elevation: number) => {
    const table = climateOfPlace(latitude, elevation, []);
    return table.reduce((sum, m) => sum + (m.tMinC + m.tMaxC) / 2, 0) / 12;
  };
  expect(mean(40, 100) - mean(40, 1100)).toBeCloseTo(6.5, 6);
  expect(mean(30, 100)).toBeGreaterThan(mean(55, 100) + 8);
});

test('recorded weather moves it: a garden 4 °C warmer than its zone stays so all year', () => {
  const zone = climateOfPlace(45, 100, []);
  const july = zone[6]!;
  const recorded: WeatherDay[] = Array.from({ length: 31 }, (_, i) => ({
    date: addDays('2026-07-01', i),
    tMinC: july.tMinC + 4,
    tMaxC: july.tMaxC + 4,
    rainMm: 0,
  }));
  const moved = climateOfPlace(45, 100, recorded);
  for (const month of [0, 6]) expect(moved[month]!.tMaxC - zone[month]!.tMaxC).toBeCloseTo(4, 0);
  // a few days prove nothing
  expect(climateOfPlace(45, 100, recorded.slice(0, 5))).toEqual(zone);
});

test('a gap is filled on a straight line between its neighbours, without rain, and marked; the ends copy the nearest day', () => {
  const day = (date: string, tMaxC: number): WeatherDay => ({ date, tMinC: tMaxC - 10, tMaxC, rainMm: 5 });
  const filled = fillGaps([day('2026-07-02', 20), day('2026-07-06', 28)], '2026-07-01', '2026-07-07');
  expect(filled.map((d) => d.tMaxC)).toEqual([20, 20, 22, 24, 26, 28, 28]);
  expect(filled.map((d) => d.filled ?? false)).toEqual([true, false, true, true, true, false, true]);
  expect(filled.filter((d) => d.filled).every((d) => d.rainMm === 0)).toBe(true);
  expect(fillGaps([], '2026-07-01', '2026-07-07')).toEqual([]);
});

describe('wet and dry seasons', () => {
  const shares = (latitude: number, longitude: number) => monthlyRainShares(latitude, longitude);
  test('summers are dry round the Mediterranean and on similar coasts, in both hemispheres', () => {
    for (const [latitude, longitude] of [
      [37, -3],
      [38, -122],
    ] as const) {
      expect(shares(latitude, longitude)[6]).toBeLessThan(0.05);
      expect(shares(latitude, longitude)[0]).toBeGreaterThan(0.3);
    }
    for (const [latitude, longitude] of [
      [-33, 18.5],
      [-34, 138.6],
      [-33.4, -70.7],
    ] as const) {
      expect(shares(latitude, longitude)[0]).toBeLessThan(0.05);
      expect(shares(latitude, longitude)[6]).toBeGreaterThan(0.3);
    }
  });
  test('the monsoon is wet in its summer, deserts are nearly always dry, elsewhere it rains all year', () => {
    expect(shares(19, 73)[6]! / shares(19, 73)[0]!).toBeGreaterThan(4);
    expect(shares(-12, 25)[0]! / shares(-12, 25)[6]!).toBeGreaterThan(3);
    expect(Math.max(...shares(25, 25))).toBeLessThan(0.1);
    expect(new Set(shares(48, 11)).size).toBe(1);
  });
  test('simulated summers there are dry; a month with own records overrides the table', () => {
    const rainyDays = (longitude: number, recorded: WeatherDay[] = []) => {
      const table = climateOfPlace(38, 50, recorded, longitude);
      const summers = [1, 2, 3, 4].flatMap((seed) =>
        generateWeather(table, { latitude: 38, elevationM: 50 }, '2026-06-15', 60, seeded(seed)),
      );
      return summers.filter((d) => d.rainMm >= 1).length / 4;
    };
    expect(rainyDays(15)).toBeLessThan(6);
    expect(rainyDays(-95)).toBeGreaterThan(8);
    const wetJulys: WeatherDay[] = [2024, 2025].flatMap((year) =>
      Array.from({ length: 31 }, (_, i) => ({
        date: `${year}-07-${String(i + 1).padStart(2, '0')}`,
        tMinC: 18,
        tMaxC: 29,
        rainMm: i % 2 ? 6 : 0,
      })),
    );
    expect(rainyDays(15, wetJulys)).toBeGreaterThan(rainyDays(15) + 5);
  });
});

describe('the climate inside a place', () => {
  const site = { latitude: 45, elevationM: 100 };
  const sunny: WeatherDay = { date: '2026-07-18', tMinC: 15, tMaxC: 28, rainMm: 0, solarMj: 29, windMs: 3 };
  const dull: WeatherDay = { ...sunny, solarMj: 8, rainMm: 9 };
  const within = (place: object, w: WeatherDay) => weatherInPlace({ kind: 'ground', ...place } as never, w, site);
  test('28 °C and sunny outside is 5 to 8 °C warmer under a closed cover, 2 to 3 with vents open', () => {
    expect(within({ cover: 'tunnel' }, sunny).tMaxC - 28).toBeGreaterThan(5);
    expect(within({ cover: 'glasshouse', vents: 'shut' }, sunny).tMaxC - 28).toBeLessThanOrEqual(8);
    const open = within({ cover: 'tunnel', vents: 'open' }, sunny).tMaxC - 28;
    expect(open).toBeGreaterThanOrEqual(2);
    expect(open).toBeLessThanOrEqual(3);
    // by day it is the sun that warms it
    expect(within({ cover: 'tunnel' }, dull).tMaxC - 28).toBeLessThan(2);
  });
  test('no rain gets in, there is little wind, and nights are a degree or two warmer', () => {
    for (const cover of ['roof', 'tunnel', 'glasshouse', 'indoors']) expect(within({ cover }, dull).rainMm).toBe(0);
    expect(within({ kind: 'tunnel-bed' }, sunny)).toEqual(within({ cover: 'tunnel' }, sunny));
    expect(within({ cover: 'tunnel' }, sunny).windMs).toBeLessThan(1);
    expect(within({ cover: 'glasshouse' }, sunny).tMinC).toBe(17);
    expect(within({}, dull)).toBe(dull);
  });
  test('indoors it is the room, as entered or 18 to 22 °C, whatever freezes outside', () => {
    const frost: WeatherDay = { date: '2026-01-10', tMinC: -9, tMaxC: -2, rainMm: 3 };
    expect(within({ cover: 'indoors' }, frost)).toMatchObject({ tMinC: 18, tMaxC: 22, rainMm: 0 });
    expect(within({ kind: 'indoors', roomTMinC: 15, roomTMaxC: 26 }, frost)).toMatchObject({ tMinC: 15, tMaxC: 26 });
    expect(within({ kind: 'indoors', roomTMaxC: 16 }, frost)).toMatchObject({ tMinC: 16, tMaxC: 16 });
  });
});
