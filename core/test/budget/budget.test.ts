import { addDays } from '@candid-leaf/core/units';
import fc from 'fast-check';
import {
  type Doable,
  fillTime,
  learn,
  minutesAtPace,
  NO_PACE,
  paceFactor,
  usefulness,
} from '../../src/budget/index.js';
import { ASOF } from '../helpers.js';

const task = (source: string, minutes: number, more: Partial<Doable> = {}): Doable => ({
  key: `${source} ${minutes} ${more.order ?? ''}`,
  source,
  minutes,
  dueOn: ASOF,
  order: null,
  ...more,
});
const worth = (list: readonly Doable[]) => list.reduce((t, x) => t + usefulness(x, ASOF), 0);
const time = (list: readonly Doable[]) => list.reduce((t, x) => t + x.minutes, 0);

test('twenty minutes: the most useful tasks that fit, in walking order; heat before ties', () => {
  const all = [
    task('tie', 10, { order: 0 }),
    task('water', 8, { order: 2 }),
    task('protect', 10, { order: 1 }),
    task('cut', 20, { order: 0 }),
  ];
  expect(fillTime(all, 20, ASOF).map((t) => t.source)).toEqual(['protect', 'water']);
  expect(fillTime(all, 30, ASOF).map((t) => t.source)).toEqual(['tie', 'protect', 'water']);
  // two small things may be worth more than one large one
  expect(fillTime([task('water', 20), task('feed', 10), task('remedy', 10)], 20, ASOF).map((t) => t.source)).toEqual([
    'feed',
    'remedy',
  ]);
  expect(fillTime([task('spray', 0), task('cut', 20)], 5, ASOF).map((t) => t.source)).toEqual(['spray']);
});

test('overdue tasks count more, up to a week', () => {
  const late = (days: number) => usefulness(task('cut', 5, { dueOn: addDays(ASOF, -days) }), ASOF);
  expect([late(0) < late(3), late(7) === late(30), late(-2) === late(0)]).toEqual([true, true, true]);
});

test('never over the time, and never less useful than any other choice (all tried)', () => {
  const source = fc.constantFrom('protect', 'water', 'feed', 'cut', 'trial');
  fc.assert(
    fc.property(
      fc.array(fc.tuple(source, fc.integer({ min: 1, max: 25 }), fc.integer({ min: 0, max: 9 })), { maxLength: 9 }),
      fc.integer({ min: 0, max: 60 }),
      (list, minutes) => {
        const all = list.map(([s, m, back], i) => task(s, m, { dueOn: addDays(ASOF, -back), order: i % 3 }));
        const chosen = fillTime(all, minutes, ASOF);
        expect(time(chosen)).toBeLessThanOrEqual(minutes);
        let best = 0;
        for (let mask = 0; mask < 2 ** all.length; mask++) {
          const some = all.filter((_, i) => mask & (1 << i));
          if (time(some) <= minutes) best = Math.max(best, worth(some));
        }
        expect(worth(chosen)).toBeCloseTo(best, 6);
        const orders = chosen.map((t) => t.order!);
        expect(orders).toEqual([...orders].sort((a, b) => a - b));
      },
    ),
  );
});

describe('minutes are learned from use', () => {
  test('someone who takes twice as long is trusted more with every tick, and never fully', () => {
    let p = NO_PACE;
    const factors = [paceFactor(p)];
    for (let i = 0; i < 12; i++) factors.push(paceFactor((p = learn(p, 5, 10))));
    expect(factors[0]).toBe(1);
    // (10 + 4 × 5) / (5 + 4 × 5), the estimated time weighing as four ticks
    expect(factors[1]).toBeCloseTo(1.2, 9);
    expect(factors).toEqual([...factors].sort((a, b) => a - b));
    expect(factors.at(-1)).toBeLessThan(2);
    expect(minutesAtPace(5, p)).toBe(9);
  });
  test('pauses, accidental taps and tasks that take no time teach nothing', () => {
    expect(learn(NO_PACE, 5, 41)).toBe(NO_PACE);
    expect(learn(NO_PACE, 5, 0.2)).toBe(NO_PACE);
    expect(learn(NO_PACE, 5, null)).toBe(NO_PACE);
    expect(learn(NO_PACE, 0, 4)).toBe(NO_PACE);
    expect(minutesAtPace(0, NO_PACE)).toBe(0);
    expect(minutesAtPace(1, { ticks: 50, took: 20, estimatedMinutes: 100 })).toBe(1);
  });
});
