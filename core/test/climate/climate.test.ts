import fc from 'fast-check';
import { daylightHours, extraterrestrialRadiation, solarFromSunshine } from '../../src/climate/radiation.js';
import {
  hargreaves,
  penmanMonteith,
  referenceEvapotranspiration,
  windAt2m,
} from '../../src/climate/reference-evapotranspiration.js';
import { seeded } from '../../src/climate/random.js';
import { forecastOf, generateWeather, type ClimateTable } from '../../src/climate/weather-generator.js';
import { dayOfYear } from '../../src/units/day.js';

describe('FAO-56 worked examples (values from memory)', () => {
  test('example 8: Ra at 20° S on 3 September is 32.2 MJ/m²/day', () => {
    expect(extraterrestrialRadiation(-20, 246)).toBeCloseTo(32.2, 1);
    expect(dayOfYear('2025-09-03')).toBe(246);
  });
  test('example 9: 11.7 hours of daylight there', () => {
    expect(daylightHours(-20, 246)).toBeCloseTo(11.7, 1);
  });
  test('example 17: Bangkok in April, 5.72 mm/day with ea 2.85 kPa and G 0.14', () => {
    const ra = extraterrestrialRadiation(13.73, 105);
    const rs = solarFromSunshine(ra, 8.5, daylightHours(13.73, 105));
    const eto = penmanMonteith({ tMinC: 25.6, tMaxC: 34.8, ea: 2.85, u2: 2, rs, ra, elevationM: 2, g: 0.14 });
    expect(eto).toBeCloseTo(5.72, 1);
  });
  test('example 18: Uccle on 6 July, 3.9 mm/day', () => {
    const ra = extraterrestrialRadiation(50.8, 187);
    const rs = solarFromSunshine(ra, 9.25, daylightHours(50.8, 187));
    const eto = penmanMonteith({
      tMinC: 12.3,
      tMaxC: 21.5,
      ea: 1.409,
      u2: windAt2m(2.78, 10),
      rs,
      ra,
      elevationM: 100,
    });
    expect(Math.abs(eto - 3.88)).toBeLessThan(0.05);
  });
  test('example 20: Lyon in July by Hargreaves, 5.0 mm/day', () => {
    expect(hargreaves(14.8, 26.6, extraterrestrialRadiation(45.72, 196))).toBeCloseTo(5.0, 1);
  });
});

test('the method used depends on what was measured', () => {
  const t = { tMinC: 15, tMaxC: 28 };
  expect(referenceEvapotranspiration(t, 45, 180, 190).method).toBe('hargreaves');
  expect(referenceEvapotranspiration({ ...t, windMs: 2 }, 45, 180, 190).method).toBe('penman-monteith-estimated');
  expect(referenceEvapotranspiration({ ...t, windMs: 2, rhMeanPct: 60, solarMj: 24 }, 45, 180, 190).method).toBe(
    'penman-monteith',
  );
});

test('ETo is never negative and grows with sun', () => {
  fc.assert(
    fc.property(
      fc.double({ min: -60, max: 60, noNaN: true }),
      fc.integer({ min: 1, max: 365 }),
      fc.double({ min: -5, max: 30, noNaN: true }),
      fc.double({ min: 1, max: 18, noNaN: true }),
      (lat, J, tMinC, range) => {
        const day = { tMinC, tMaxC: tMinC + range, rhMeanPct: 60, windMs: 2 };
        const dull = referenceEvapotranspiration({ ...day, solarMj: 8 }, lat, 100, J).etoMm;
        const bright = referenceEvapotranspiration({ ...day, solarMj: 20 }, lat, 100, J).etoMm;
        expect(dull).toBeGreaterThanOrEqual(0);
        expect(bright).toBeGreaterThanOrEqual(dull);
      },
    ),
  );
});

describe('the weather generator', () => {
  const flat: ClimateTable = Array.from({ length: 12 }, () => ({
    tMinC: 12,
    tMaxC: 24,
    wetAfterDry: 0.2,
    wetAfterWet: 0.5,
    rainPerWetDayMm: 6,
    rhMeanPct: 65,
    windMs: 2,
  }));
  const place = { latitude: 45.6, elevationM: 180 };

  test('the same seed gives the same weather, another seed another', () => {
    const draw = (seed: number) => generateWeather(flat, place, '2026-01-01', 60, seeded(seed));
    expect(draw(1)).toEqual(draw(1));
    expect(draw(1)).not.toEqual(draw(2));
  });
  test('over 60 years it matches the table: share of wet days 0.2/(0.2+0.5), rain per wet day, mean warmth', () => {
    const days = generateWeather(flat, place, '1960-01-01', 365 * 60, seeded(7));
    const wet = days.filter((d) => d.rainMm > 0);
    expect(wet.length / days.length).toBeCloseTo(0.2 / 0.7, 1);
    expect(wet.reduce((s, d) => s + d.rainMm, 0) / wet.length).toBeGreaterThan(5.4);
    expect(wet.reduce((s, d) => s + d.rainMm, 0) / wet.length).toBeLessThan(6.8);
    expect(Math.abs(days.reduce((s, d) => s + (d.tMinC + d.tMaxC) / 2, 0) / days.length - 18)).toBeLessThan(0.5);
    expect(days.every((d) => d.tMinC < d.tMaxC && d.solarMj > 0)).toBe(true);
  });
  test('a forecast is less certain further ahead', () => {
    const miss = [0, 0];
    for (let seed = 0; seed < 300; seed++) {
      const truth = generateWeather(flat, place, '2026-06-01', 7, seeded(seed));
      const said = forecastOf(truth, seeded(seed + 1000));
      miss[0]! += Math.abs(said[0]!.tMaxC - truth[0]!.tMaxC);
      miss[1]! += Math.abs(said[6]!.tMaxC - truth[6]!.tMaxC);
    }
    expect(miss[1]! / miss[0]!).toBeGreaterThan(2);
  });
});
