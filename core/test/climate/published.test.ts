import {
  clearSkySolar,
  daylightHours,
  extraterrestrialRadiation,
  netRadiation,
  penmanMonteith,
  psychrometric,
  saturationVapourPressure,
  slopeOfSaturation,
  solarFromSunshine,
  windAt2m,
} from '@candid-leaf/core/climate';

/**
 * Values printed in FAO Irrigation and Drainage Paper 56 (Allen et al. 1998), from memory; agreement to the last digit printed
 * unless a tolerance stands beside it.
 */

test('Table 2.3 and example 3: saturation vapour pressure at 15, 20, 24.5 and 35 °C', () => {
  expect([15, 20, 24.5, 35].map((t) => Number(saturationVapourPressure(t).toFixed(3)))).toEqual([
    1.705, 2.338, 3.075, 5.623,
  ]);
});

test('Table 2.4: slope of the vapour pressure curve at 5, 20 and 30 °C', () => {
  expect([5, 20, 30].map((t) => Number(slopeOfSaturation(t).toFixed(3)))).toEqual([0.061, 0.145, 0.243]);
});

test('example 2 and Table 2.2: psychrometric constant 0.054 at 1,800 m, 0.067 at the sea', () => {
  expect(psychrometric(1800)).toBeCloseTo(0.054, 3);
  expect(psychrometric(0)).toBeCloseTo(0.0674, 3);
});

test('example 14: 3.2 m/s at 10 m are 2.4 m/s at 2 m', () => {
  expect(windAt2m(3.2, 10)).toBeCloseTo(2.4, 1);
  // at 2 m itself nothing changes
  expect(windAt2m(3, 2)).toBeCloseTo(3, 2);
});

test('example 8: Ra of 32.2 at 20° south on 3 September; example 9: 11.7 hours of daylight there', () => {
  expect(extraterrestrialRadiation(-20, 246)).toBeCloseTo(32.2, 1);
  expect(daylightHours(-20, 246)).toBeCloseTo(11.7, 1);
});

test('the south has the north’s sun half a year later, and a little more in summer (eq. 23: the earth is nearer then)', () => {
  for (const latitude of [10, 35, 50])
    for (const day of [15, 172, 300]) {
      const north = extraterrestrialRadiation(latitude, day);
      const south = extraterrestrialRadiation(-latitude, ((day + 182) % 365) + 1);
      expect(Math.abs(south / north - 1)).toBeLessThan(0.08);
    }
  expect(extraterrestrialRadiation(-35, 355) / extraterrestrialRadiation(35, 172)).toBeCloseTo(1.033 / 0.967, 2);
});

test('example 18 step by step (Uccle, 6 July): every part of the equation, so that no constant can drift', () => {
  const ra = extraterrestrialRadiation(50.8, 187);
  const rs = solarFromSunshine(ra, 9.25, daylightHours(50.8, 187));
  const rso = clearSkySolar(ra, 100);
  expect(ra).toBeCloseTo(41.09, 1);
  expect(rs).toBeCloseTo(22.07, 1);
  expect(rso).toBeCloseTo(30.9, 1);
  expect(slopeOfSaturation(16.9)).toBeCloseTo(0.122, 3);
  expect(psychrometric(100)).toBeCloseTo(0.0666, 3);
  expect(windAt2m(2.78, 10)).toBeCloseTo(2.078, 2);
  expect(netRadiation(rs, rso, 1.409, 12.3, 21.5)).toBeCloseTo(13.28, 1);
  const eto = penmanMonteith({ tMinC: 12.3, tMaxC: 21.5, ea: 1.409, u2: 2.078, rs, ra, elevationM: 100 });
  expect(Math.abs(eto - 3.88)).toBeLessThan(0.02);
});

test('eq. 6 by its parts: with no wind only the radiation term is left, 0.408 Δ Rn / (Δ + γ) of example 18', () => {
  const still = penmanMonteith({ tMinC: 12.3, tMaxC: 21.5, ea: 1.409, u2: 0, rs: 22.07, ra: 41.09, elevationM: 100 });
  expect(still).toBeCloseTo((0.408 * 0.122 * 13.28) / (0.122 + 0.0666), 1);
  // what wind adds: γ · 900 / (T + 273) · u2 · (es − ea), with the same denominator's (1 + 0.34 u2), by hand 0.2526 / 0.2357
  const windy = penmanMonteith({
    tMinC: 12.3,
    tMaxC: 21.5,
    ea: 1.409,
    u2: 2.078,
    rs: 22.07,
    ra: 41.09,
    elevationM: 100,
  });
  const radiation = (0.408 * 0.122 * 13.28) / (0.122 + 0.0666 * (1 + 0.34 * 2.078));
  expect(windy - radiation).toBeCloseTo(1.07, 1);
});
