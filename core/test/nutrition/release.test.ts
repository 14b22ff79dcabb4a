import { addDays } from '@candid-leaf/core/units';
import { isSlow, nitrogenFreedG } from '../../src/nutrition/release.js';
import { ASOF } from '../helpers.js';

type Fed = Parameters<typeof nitrogenFreedG>[0];
const fed = (product: string | undefined, form: Fed['form'], n: number, grams: number, back = 60): Fed => ({
  date: addDays(ASOF, -back),
  ...(product ? { product } : {}),
  form,
  n,
  grams,
});
const freed = (f: Fed, days = 1000): number => nitrogenFreedG(f, addDays(ASOF, -400), addDays(f.date, days));

/** Gale et al. 2006, J. Environ. Qual. 35: composts 0 to 15 % of their nitrogen in a season, meals 60 to 75 %, manures 20 to 40 %. */
test.each([
  ['garden compost', 'amendment', 0, 15],
  ['leaf mould', 'amendment', 0, 15],
  [undefined, 'amendment', 0, 15],
  ['horse manure', 'amendment', 20, 40],
  ['feather meal', 'granular', 60, 75],
  ['blood meal', 'amendment', 60, 75],
] as const)('%s releases its published share in a season', (product, form, least, most) => {
  const share = freed(fed(product, form, 2, 1000)) / 20;
  expect(share * 100).toBeGreaterThan(least);
  expect(share * 100).toBeLessThanOrEqual(most);
  expect(isSlow(fed(product, form, 2, 1000))).toBe(true);
});

test('5 kg of compost with 1.5 % nitrogen release about 9 g, half in the first 60 days', () => {
  const compost = fed('compost', 'amendment', 1.5, 5000);
  expect(freed(compost)).toBeCloseTo(9, 6);
  expect(freed(compost, 60)).toBeCloseTo(4.5, 6);
});

test('anything poured or dissolved is available at once, whatever its name', () => {
  for (const f of [fed('compost tea', 'liquid', 2, 50), fed('tomato food', 'granular', 4, 25)]) {
    expect(isSlow(f)).toBe(false);
    expect(freed(f, 0)).toBeCloseTo(1, 6);
  }
});

test('property: it only grows, never exceeds what was given, and windows add up', () => {
  for (const form of ['amendment', 'granular', 'liquid'] as const)
    for (const product of ['compost', 'manure', 'wool pellets', 'coated grains', 'feed']) {
      const f = fed(product, form, 5, 200);
      const [start, middle, end] = [addDays(f.date, -5), addDays(f.date, 33), addDays(f.date, 90)];
      const parts = [nitrogenFreedG(f, start, middle), nitrogenFreedG(f, middle, end)];
      expect(Math.min(...parts)).toBeGreaterThanOrEqual(0);
      expect(parts[0]! + parts[1]!).toBeCloseTo(nitrogenFreedG(f, start, end), 9);
      expect(nitrogenFreedG(f, start, addDays(f.date, 500))).toBeLessThanOrEqual(10);
    }
});
