import { usualFrosts } from '@candid-leaf/core/climate';
import { addDays, daysBetween } from '@candid-leaf/core/units';
import fc from 'fast-check';

const apart = (a: string, b: string): number => Math.abs(daysBetween(`2025-${a}`, `2025-${b}`));

/** Means of 1981 to 2010 (NOAA normals, 32 °F at 50 %, from memory): a proposal within three weeks of them is good enough to begin with. */
test.each([
  ['Atlanta', 33.7, 315, '03-24', '11-16'],
  ['Minneapolis', 45.0, 260, '04-30', '10-08'],
  ['Denver', 39.7, 1609, '05-04', '10-05'],
  ['Fairbanks', 64.8, 135, '05-20', '09-05'],
] as const)('%s', (_town, latitude, elevation, last, first) => {
  const frosts = usualFrosts(latitude, elevation)!;
  expect(apart(frosts.lastFrost, last)).toBeLessThanOrEqual(21);
  expect(apart(frosts.firstFrost, first)).toBeLessThanOrEqual(21);
});

test('on a mild coast it errs on the safe side: it suggests more frost than there is', () => {
  const seattle = usualFrosts(47.5, 130)!;
  expect(seattle.lastFrost > '03-24' && seattle.firstFrost < '11-11').toBe(true);
  expect(apart(seattle.lastFrost, '03-24')).toBeLessThanOrEqual(42);
});

test('no frost near the equator except at altitude; a place with hardly any summer still has frost', () => {
  expect(usualFrosts(5, 20)).toBeNull();
  expect(usualFrosts(-20, 400)).toBeNull();
  expect(usualFrosts(-15, 3600)).not.toBeNull();
  const cold = usualFrosts(60, 3000)!;
  expect(apart(cold.lastFrost, cold.firstFrost)).toBe(30);
  expect(cold.lastFrost > '06-01' && cold.firstFrost < '09-01').toBe(true);
});

test('at altitude spring is later and autumn earlier; the south is half a year later', () => {
  fc.assert(
    fc.property(fc.double({ min: 30, max: 60, noNaN: true }), fc.integer({ min: 0, max: 1000 }), (latitude, m) => {
      const low = usualFrosts(latitude, m)!;
      const high = usualFrosts(latitude, m + 500)!;
      expect(high.lastFrost > low.lastFrost).toBe(true);
      expect(high.firstFrost < low.firstFrost).toBe(true);
      const south = usualFrosts(-latitude, m)!;
      expect(addDays(`2025-${low.lastFrost}`, 182).slice(5)).toBe(south.lastFrost);
    }),
  );
});
