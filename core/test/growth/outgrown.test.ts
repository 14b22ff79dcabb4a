import { outgrewHabit } from '../../src/growth/index.js';

const bush = { crop: 'tomato', habit: 'determinate' } as const;
const on = (heightM: number, more: object = {}) => [{ date: '2026-07-01', heightM, ...more }];

test('a bush half as tall again as bushes end does not fit; what was only guessed, and other plants, do', () => {
  expect(outgrewHabit(bush, on(1.43))).toEqual({ heightM: 1.43, usualM: 0.95 });
  expect(outgrewHabit(bush, on(1.42))).toBeNull();
  expect(outgrewHabit(bush, on(1.8, { rough: true }))).toBeNull();
  expect(outgrewHabit(bush, [])).toBeNull();
  // the tallest counts: plants don't shrink, but tapes are read wrongly
  expect(outgrewHabit(bush, [...on(1.6), ...on(0.9)])).toMatchObject({ heightM: 1.6 });
  expect(outgrewHabit({ ...bush, habit: 'semi-determinate' }, on(1.8))).toBeNull();
  expect(outgrewHabit({ ...bush, habit: 'semi-determinate' }, on(2.1))).toMatchObject({ usualM: 1.35 });
  expect(outgrewHabit({ ...bush, habit: 'indeterminate' }, on(2.5))).toBeNull();
  expect(outgrewHabit({ crop: 'pepper', habit: 'determinate' }, on(2))).toBeNull();
});
