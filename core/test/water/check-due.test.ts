import { addDays } from '../../src/units/day.js';
import type { Balance } from '../../src/water/balance.js';
import { checkDue } from '../../src/water/check-due.js';
import type { BalanceDay } from '../../src/water/run.js';
import { ASOF } from '../helpers.js';

const POT = { kind: 'container', texture: 'potting-mix', volumeL: 20 } as const;
const BED = { kind: 'ground', texture: 'loam' } as const;

/** Twenty days of a known balance. `back` is how many days ago a check was, `moved` the share of the store it changed. */
function balance(checks: { back: number; moved?: number }[], more: Partial<BalanceDay> = {}): Balance {
  const days = Array.from({ length: 20 }, (_, i) => {
    const back = 19 - i;
    const check = checks.find((c) => c.back === back);
    return {
      date: addDays(ASOF, -back),
      known: true,
      etoMm: 5,
      tawMm: 100,
      uncertainty: 0.2,
      correctedBy: check ? 'finger' : null,
      correctionMm: 100 * (check?.moved ?? 0),
      ...more,
    } as BalanceDay;
  });
  return { days, etoMethod: null, end: null, before: null };
}
const due = (place: typeof POT | typeof BED, checks: { back: number; moved?: number }[], more?: Partial<BalanceDay>) =>
  checkDue(balance(checks, more), place)?.since;

test('in warm weather a pot is felt once a week, a bed every two weeks', () => {
  expect(due(POT, [{ back: 7 }])).toBe(addDays(ASOF, -7));
  expect(due(POT, [{ back: 6 }])).toBeUndefined();
  expect(due(BED, [{ back: 14 }])).toBe(addDays(ASOF, -14));
  expect(due(BED, [{ back: 13 }])).toBeUndefined();
  expect(due(POT, [])).toBeNull(); // due, and never measured
});

test('nobody is asked in cool weather, about a bed that a soaking rain filled, or where nothing is known', () => {
  expect(due(POT, [], { etoMm: 2 })).toBeUndefined();
  expect(due(BED, [], { uncertainty: 0.1 })).toBeUndefined();
  expect(due(POT, [], { uncertainty: 0.1 })).toBeNull();
  expect(due(POT, [], { known: false })).toBeUndefined();
});

test('after a check that was far from the estimate it is felt again soon', () => {
  expect(due(POT, [{ back: 3, moved: 0.3 }])).toBe(addDays(ASOF, -3));
  expect(due(POT, [{ back: 3, moved: -0.3 }])).toBe(addDays(ASOF, -3));
  expect(due(POT, [{ back: 2, moved: 0.3 }])).toBeUndefined();
  expect(due(POT, [{ back: 3, moved: 0.1 }])).toBeUndefined();
  expect(due(BED, [{ back: 5, moved: 0.3 }])).toBe(addDays(ASOF, -5));
  expect(due(BED, [{ back: 4, moved: 0.3 }])).toBeUndefined();
});
