import { barrelLevel, runOffL } from '../../src/water/index.js';

const barrel = { volumeL: 300, roofM2: 20, seenL: 100, seenOn: '2026-07-10' };
const level = (rain: [string, number][], taken: [string, number][] = [], ahead: number[] = [], more = {}) =>
  barrelLevel(
    { ...barrel, ...more },
    rain.map(([date, rainMm]) => ({ date, rainMm })),
    new Map(taken),
    ahead.map((rainMm) => ({ rainMm })),
  );

test('11 mm on 20 m² of roof are 170 L: the first millimetre wets it, and a seventh is lost', () => {
  expect(runOffL(20, 11)).toBeCloseTo(170, 6);
  expect(runOffL(20, 0.5)).toBe(0);
});

test('since it was looked into: rain fills it to its brim, cans empty it, and never below nothing', () => {
  expect(level([['2026-07-10', 50]]).litres).toBe(100);
  expect(level([['2026-07-11', 6]]).litres).toBe(185);
  expect(level([['2026-07-11', 60]]).litres).toBe(300);
  // the can in the morning comes before the rain of its day
  expect(level([['2026-07-11', 60]], [['2026-07-11', 40]]).litres).toBe(300);
  expect(
    level(
      [
        ['2026-07-11', 0],
        ['2026-07-12', 6],
      ],
      [
        ['2026-07-11', 150],
        ['2026-07-12', 20],
      ],
    ).litres,
  ).toBe(85);
});

test('of the rain to come only what fits counts', () => {
  expect(level([], [], [6, 0.5]).comingL).toBe(85);
  expect(level([], [], [60]).comingL).toBe(200);
});
