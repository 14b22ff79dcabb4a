import { field, heightOf, line, runs } from '../src/frame/charts/paths';

test('values rise from the bottom of their scale, each in the middle of its day', () => {
  expect(heightOf(32, 8, 32)).toBe(0);
  expect(heightOf(8, 8, 32)).toBe(100);
  expect(heightOf(20, 8, 32)).toBe(50);
  expect(
    line([
      { i: 0, y: 25 },
      { i: 1, y: 50 },
    ]),
  ).toBe('M0.5 25.00L1.5 50.00');
});

test('a day without a value breaks the line: nothing is drawn across unknown days', () => {
  const days = [3, 4, null, 6, null, null, 7].map((of, i) => ({ i, of }));
  expect(runs(days).map((run) => run.map((p) => p.i))).toEqual([[0, 1], [3], [6]]);
  expect(runs([])).toEqual([]);
});

test('an area closes at the floor, or between two lines', () => {
  const above = [
    { i: 0, y: 20 },
    { i: 1, y: 30 },
  ];
  expect(field(above)).toBe('M0.5 20.00L1.5 30.00L1.5 100.00L0.5 100.00Z');
  expect(
    field(above, [
      { i: 0, y: 60 },
      { i: 1, y: 70 },
    ]),
  ).toBe('M0.5 20.00L1.5 30.00L1.5 70.00L0.5 60.00Z');
  expect(field([])).toBe('');
});
