import type { SignCode } from '@candid-leaf/core/records';
import { countFell, trendInWords, trendsOf } from '@candid-leaf/core/walks';
import { addDays } from '@candid-leaf/core/units';
import { ASOF } from '../helpers.js';

const counted = (sign: SignCode, ...counts: [back: number, count: number | null][]) =>
  counts.map(([back, count]) => ({
    date: addDays(ASOF, -back),
    sign,
    present: count !== 0,
    ...(count ? { affected: count } : {}),
  }));
const courses = (...counts: [number, number | null][]) =>
  trendsOf(counted('leaf-yellow-slow-few', ...counts), ASOF)[0]?.course;

test('two, three, nine yellow leaves in two weeks: rising, faster than ageing', () => {
  const [trend] = trendsOf(counted('leaf-yellow-slow-few', [14, 2], [7, 3], [0, 9]), ASOF);
  expect(trendInWords(trend!)).toMatch(/: 2, 3, 9 in 14 days: rising, faster than normal ageing$/);
});
test('ageing yellows about two a week: four more in two weeks are normal, five are not', () => {
  expect(trendsOf(counted('leaf-yellow-slow-few', [14, 2], [7, 4], [0, 6]), ASOF)[0]!.fasterThanAgeing).toBeUndefined();
  expect(trendsOf(counted('leaf-yellow-slow-few', [14, 2], [7, 4], [0, 7]), ASOF)[0]!.fasterThanAgeing).toBe(true);
  expect(
    trendsOf(counted('fruit-blossom-end-dark', [14, 2], [7, 4], [0, 9]), ASOF)[0]!.fasterThanAgeing,
  ).toBeUndefined();
});
test('half as many and at least two fewer make a trend; less is steady', () => {
  expect(courses([14, 4], [7, 5], [0, 5])).toBe('steady');
  expect(courses([14, 0], [7, 1], [0, 1])).toBe('steady');
  expect(courses([14, 4], [7, 6], [0, 8])).toBe('rising');
  expect(courses([14, 8], [7, 6], [0, 4])).toBe('falling');
  expect(courses([14, 5], [7, 2], [0, 0])).toBe('falling');
});
test('fewer than three counts in three weeks, or nothing ever found, say nothing', () => {
  expect(trendsOf(counted('pest-aphids', [7, 3], [0, 30]), ASOF)).toEqual([]);
  expect(trendsOf(counted('pest-aphids', [30, 1], [7, 3], [0, 30]), ASOF)).toEqual([]);
  expect(trendsOf(counted('pest-aphids', [14, 0], [7, 0], [0, 0]), ASOF)).toEqual([]);
  expect(trendsOf(counted('pest-aphids', [14, null], [7, null], [0, null]), ASOF)).toEqual([]);
});

test('fewer are there: none, or half as many as when it began; not looked at is not fewer', () => {
  const seen = (date: string, affected: number | null, present = true) => ({
    date,
    sign: 'pest-aphids' as const,
    present,
    affected,
  });
  const fell = (...list: ReturnType<typeof seen>[]) => countFell(['pest-aphids'], '2026-07-10', list);
  const before = seen('2026-07-10', 60);
  expect(fell(before)).toBe(false);
  expect(fell(before, seen('2026-07-12', 31))).toBe(false);
  expect(fell(before, seen('2026-07-12', 30))).toBe(true);
  expect(fell(before, seen('2026-07-12', 10), seen('2026-07-13', 50))).toBe(false);
  expect(fell(before, seen('2026-07-12', null, false))).toBe(true);
  // a count without one before it says nothing
  expect(fell(seen('2026-07-12', 3))).toBe(false);
});
