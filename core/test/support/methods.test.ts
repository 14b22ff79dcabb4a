import { fullLoadKg, methodsToHold, outgrewCage, SUPPORT_METHODS, supportPlan } from '../../src/support/index.js';
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
