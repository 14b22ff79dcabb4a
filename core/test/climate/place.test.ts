import { climateOfPlace, fillGaps, type WeatherDay } from '@candid-leaf/core/climate';
import { addDays } from '@candid-leaf/core/units';

const warmestMonth = (latitude: number): number => {
  const table = climateOfPlace(latitude, 100, []);
  return table.reduce((best, m, i) => (m.tMaxC > table[best]!.tMaxC ? i : best), 0);
};

test('summer is in July in the north and in January in the south; at the equator there is none', () => {
  expect([6, 7]).toContain(warmestMonth(45));
  expect([0, 1]).toContain(warmestMonth(-35));
  const [jan, jul] = [0, 6].map((m) => climateOfPlace(-35, 100, [])[m]!.tMaxC);
  expect(jan! - jul!).toBeGreaterThan(8);
  const equator = climateOfPlace(0, 100, []).map((m) => m.tMaxC);
  expect(Math.max(...equator) - Math.min(...equator)).toBeLessThan(1);
});

test('a thousand metres up it is 6.5 °C cooler, nearer the pole it is cooler (usual lapse and zonal means)', () => {
  const mean = (latitude: number, elevation: number) => {
    const table = climateOfPlace(latitude, elevation, []);
    return table.reduce((sum, m) => sum + (m.tMinC + m.tMaxC) / 2, 0) / 12;
  };
  expect(mean(40, 100) - mean(40, 1100)).toBeCloseTo(6.5, 6);
  expect(mean(30, 100)).toBeGreaterThan(mean(55, 100) + 8);
});

test('what was recorded moves it: a garden that was 4 °C warmer than the zone stays so all year', () => {
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

test('a gap is filled on the straight line between its neighbours, dry, and marked; the ends take the nearest day', () => {
  const day = (date: string, tMaxC: number): WeatherDay => ({ date, tMinC: tMaxC - 10, tMaxC, rainMm: 5 });
  const filled = fillGaps([day('2026-07-02', 20), day('2026-07-06', 28)], '2026-07-01', '2026-07-07');
  expect(filled.map((d) => d.tMaxC)).toEqual([20, 20, 22, 24, 26, 28, 28]);
  expect(filled.map((d) => d.filled ?? false)).toEqual([true, false, true, true, true, false, true]);
  expect(filled.filter((d) => d.filled).every((d) => d.rainMm === 0)).toBe(true);
  expect(fillGaps([], '2026-07-01', '2026-07-07')).toEqual([]);
});
