import fc from 'fast-check';
import { countGardens, LEAST_GARDENS, middleOf, regionOf } from '../../src/reports/index.js';

test('a region is the same for all its places, holds them, and is about 50 km or more each way', () => {
  fc.assert(
    fc.property(
      fc.double({ min: -75, max: 75, noNaN: true }),
      fc.double({ min: -179, max: 179, noNaN: true }),
      (lat, lon) => {
        const r = regionOf(lat, lon);
        expect(r.south <= lat && lat < r.north && r.west <= lon && lon < r.east).toBe(true);
        expect(regionOf(r.south + 0.25, r.west + (r.east - r.west) / 2)).toEqual(r);
        const km = 111 * (r.east - r.west) * Math.cos((((r.south + r.north) / 2) * Math.PI) / 180);
        expect(Math.min(111 * (r.north - r.south), km)).toBeGreaterThan(50);
      },
    ),
  );
});

test('what fewer than five gardens have is not counted, however often one has it', () => {
  const has = (n: number, what: string) => Array.from({ length: n }, (_, i) => ({ keeper: `k${i}`, what }));
  expect(countGardens([...has(4, 'aphids'), ...has(4, 'aphids'), ...has(5, 'blight'), ...has(7, 'slugs')])).toEqual([
    { what: 'slugs', gardens: 7 },
    { what: 'blight', gardens: 5 },
  ]);
  expect([middleOf([1, 2, 3, 4]), middleOf([1, 2, 3, 4, 10]), LEAST_GARDENS]).toEqual([null, 3, 5]);
});
