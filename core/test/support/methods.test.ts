import {
  costPerSeason,
  fullLoadKg,
  methodsToHold,
  outgrewCage,
  SUPPORT_METHODS,
  supportPlan,
} from '../../src/support/index.js';
import { SUPPORTS } from '../../src/records/index.js';
import { ASOF } from '../helpers.js';

test('each support that can be recorded has its method, and each plant some that suit it', () => {
  expect(SUPPORT_METHODS.map((m) => m.code).sort()).toEqual([...SUPPORTS].sort());
  const codes = (...of: Parameters<typeof methodsToHold>) => methodsToHold(...of).map((m) => m.code);
  expect(codes('tomato', 'indeterminate')).toEqual(['string', 'stake', 'weave', 'panel', 'cylinder']);
  expect(codes('tomato', 'determinate')).toEqual(['stake', 'weave', 'cylinder', 'cage']);
  expect(codes('pepper', null)).not.toContain('string');
  expect([fullLoadKg('tomato', null), fullLoadKg('pepper', null)]).toEqual([
    [5, 10],
    [1, 3],
  ]);
});

test('a plant above the rim of its cage needs a stake beside it; a cylinder is high enough', () => {
  expect([outgrewCage('cage', 1.3), outgrewCage('cage', 1.2), outgrewCage('cage', null)]).toEqual([true, false, false]);
  const plan = (standing: 'cage' | 'cylinder') =>
    supportPlan({
      today: ASOF,
      crop: 'tomato',
      habit: 'indeterminate',
      stage: 'fruiting',
      heightM: 1.5,
      isPot: false,
      tiedOn: null,
      tieCuts: false,
      windOn: null,
      stock: {},
      standing,
    });
  expect(plan('cage')).toMatchObject({ kind: 'cage', extraStake: true, tieOn: null });
  expect(plan('cylinder')).toMatchObject({ kind: 'cage', extraStake: false, tieOn: null });
});

test('what each way costs a plant and season by its parts and their years; unknown while one price is missing', () => {
  const prices = { priceCage: 12, priceStake: 2, priceMesh: 6, priceString: 10, rollM: 100 };
  const cost = (code: string, of = prices as object) =>
    costPerSeason(
      SUPPORT_METHODS.find((m) => m.code === code)!,
      of,
    );
  // a roll of 100 m for 10: 2.34 m of string, new each season
  expect(cost('string')).toBeCloseTo(0.234, 9);
  expect(cost('stake')).toBeCloseTo(2 / 5, 9);
  expect(cost('weave')).toBeCloseTo(1 / 5 + 0.6, 9);
  expect(cost('panel')).toBeCloseTo((2 + 1) / 15, 9);
  expect(cost('cylinder')).toBeCloseTo((6 + 4) / 15, 9);
  expect(cost('cage')).toBeCloseTo(12 / 8, 9);
  expect([cost('string', { priceString: 10 }), cost('weave', { priceStake: 2 }), cost('cage', {})]).toEqual([
    null,
    null,
    null,
  ]);
});
