import type { Spraying } from '../../src/records/index.js';
import { sprayRemark, strengthOf, weakInWords } from '../../src/spray/index.js';
import { formatterFor, METRIC } from '../../src/units/index.js';

const f = formatterFor(METRIC);
const soap = (date: string, perLitre: number | undefined, more: Partial<Spraying> = {}): Spraying => ({
  date,
  product: 'soap',
  ...(perLitre === undefined ? {} : { perLitre }),
  labelPerLitre: 20,
  ...more,
});

test('a share of the label is known only if both are', () => {
  expect(strengthOf({ perLitre: 5, labelPerLitre: 20 })).toBe(0.25);
  expect([strengthOf({ perLitre: 5 }), strengthOf({ labelPerLitre: 20 })]).toEqual([null, null]);
});

test('weak sprays are a reason why it did not help, unless one was at the label’s strength', () => {
  expect(weakInWords([soap('2026-07-03', 10), soap('2026-07-10', 14)], f)).toBe(
    'Sprayed on 3 and 10 July at half the label’s strength: if it did not help, that may be why. Try the label’s strength before anything stronger.',
  );
  expect(weakInWords([soap('2026-07-03', 10), soap('2026-07-10', 20)], f)).toBeNull();
  // rough measuring, an unknown strength, a test on one leaf
  expect(weakInWords([soap('2026-07-03', 17), soap('2026-07-10', undefined)], f)).toBeNull();
  expect(weakInWords([soap('2026-07-03', 10, { trial: true })], f)).toBeNull();
});

test('more than the label is said after it is saved; the label’s strength is not', () => {
  const remark = (perLitre: number): string =>
    sprayRemark(soap('2026-07-03', perLitre), { ahead: [], enclosed: true, flowersOpen: false, others: null }, f);
  expect(remark(40)).toBe(
    '2 times the label’s strength burns leaves more easily, and in most places the label is the law',
  );
  expect([remark(20), remark(22), remark(5)]).toEqual(['', '', '']);
});
