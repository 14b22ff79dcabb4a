import { reportOn } from '@candid-leaf/core/assessment';
import { contextOf } from '@candid-leaf/core/diagnosis';
import { addDays } from '@candid-leaf/core/units';
import { isWetByHand, wetnessByHand, wetnessOf } from '../../src/diagnosis/wetness.js';
import { aCase, ASOF, everyNDays, seen } from '../helpers.js';

/** One reading of wetness: a hand, a sign or a weight first, then the balance. */
const soaked = { records: { watering: everyNDays(1, 12) } };
const ctxOf = (change: Parameters<typeof aCase>[0]) => contextOf(aCase(change));

test.each([
  ['pot-heavy', 'wet'],
  ['soil-pooling', 'wet'],
  ['soil-wet-deep', 'wet'],
  ['soil-damp-deep', 'damp'],
  ['soil-dry-deep', 'dry'],
  ['pot-light', 'dry'],
] as const)('%s says %s, whatever the balance says', (sign, feel) => {
  const ctx = ctxOf({ ...soaked, observations: [seen(sign)] });
  expect(wetnessByHand(ctx)?.feel).toBe(feel);
  expect(wetnessOf(ctx)).toMatchObject({ feel, by: 'hand' });
  expect(isWetByHand(ctx)).toBe(feel === 'wet');
});

test('without a hand the balance says it, and nobody is stopped by it', () => {
  const ctx = ctxOf(soaked);
  expect(wetnessByHand(ctx)).toBeNull();
  expect(wetnessOf(ctx)).toMatchObject({ by: 'balance' });
  expect(isWetByHand(ctx)).toBe(false);
  // and where the watering is not known, neither does
  expect(wetnessOf(ctxOf({ records: { watering: [] } }))).toBeNull();
});

test('a sign that only one problem shows outweighs where that problem lives', () => {
  const weather = Array.from({ length: 40 }, (_, i) => ({
    date: addDays(ASOF, i - 39),
    tMinC: 22,
    tMaxC: 35,
    rainMm: 0,
  }));
  const at = (latitude: number) =>
    reportOn(
      aCase({
        garden: { latitude, longitude: -76.6 },
        records: { weather, watering: everyNDays(3, 8) },
        observations: [seen('stem-collar-threads'), seen('leaf-wilt')],
      }),
    ).diagnosis.find((d) => d.disorder === 'southern-blight')!.probability;
  // Maryland lies north of its usual range
  expect(at(39)).toBeGreaterThan(0.95);
  expect(at(39)).toBeCloseTo(at(35), 2);
});
