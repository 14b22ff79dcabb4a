import { METRIC_FORMAT } from '@candid-leaf/core/units';
import { setByTruss, shareSet, tapInWords, tapPlan, type TapQuestion } from '../../src/pollination/index.js';
import { ASOF } from '../helpers.js';

const mild = { date: ASOF, tMinC: 16, tMaxC: 26, rainMm: 0, windMs: 2 };
const q = (more: Partial<TapQuestion> = {}): TapQuestion => ({
  today: ASOF,
  crop: 'tomato',
  stage: 'flowering',
  enclosed: true,
  still: false,
  weather: mild,
  tappedOn: null,
  ...more,
});

test('under cover daily, in the hours when pollen is loose; outside only in still air', () => {
  expect(tapPlan(q())).toEqual({ kind: 'tap', because: 'cover' });
  expect(tapInWords(tapPlan(q()), METRIC_FORMAT)).toMatch(/from 10 to 15 o’clock on a dry day/);
  expect(tapPlan(q({ tappedOn: ASOF }))).toMatchObject({ because: 'done' });
  expect(tapPlan(q({ enclosed: false }))).toMatchObject({ because: 'wind-does-it' });
  expect(tapPlan(q({ enclosed: false, weather: { ...mild, windMs: 0.5 } }))).toEqual({ kind: 'tap', because: 'still' });
  expect(tapPlan(q({ enclosed: false, still: true }))).toEqual({ kind: 'tap', because: 'still' });
  expect(tapPlan(q({ enclosed: false, still: true, weather: { ...mild, rainMm: 4 } }))).toMatchObject({
    because: 'damp',
  });
  expect(tapPlan(q({ stage: 'vegetative' }))).toMatchObject({ because: 'no-flowers' });
  expect(tapPlan(q({ weather: null }))).toMatchObject({ because: 'not-known' });
});

test('heat or cold: tapping hardly helps, and it says so', () => {
  expect(tapPlan(q({ weather: { ...mild, tMaxC: 34 } }))).toEqual({ kind: 'useless', because: 'heat', celsius: 34 });
  expect(tapPlan(q({ weather: { ...mild, tMinC: 22 } }))).toMatchObject({ kind: 'useless', because: 'warm-nights' });
  // a pepper bears warmer nights, and no colder ones
  expect(tapPlan(q({ crop: 'pepper', weather: { ...mild, tMinC: 22 } }))).toMatchObject({ kind: 'tap' });
  expect(tapPlan(q({ crop: 'pepper', weather: { ...mild, tMinC: 14 } }))).toMatchObject({
    kind: 'useless',
    because: 'cold',
  });
  expect(tapInWords(tapPlan(q({ weather: { ...mild, tMaxC: 34 } })), METRIC_FORMAT)).toMatch(
    /hardly helps now: at 34.°C much of the pollen fails/,
  );
});

test('the share that set, truss by truss, from the newest count', () => {
  expect(shareSet({ flowers: 2, fruit: 6 })).toBe(0.75);
  expect(shareSet({ flowers: 0, fruit: 0 })).toBeNull();
  const { trusses, share } = setByTruss([
    { date: '2026-07-10', truss: 2, flowers: 6, fruit: 0 },
    { date: '2026-07-01', truss: 1, flowers: 3, fruit: 1 },
    { date: '2026-07-12', truss: 1, flowers: 1, fruit: 5 },
  ]);
  expect(trusses.map((t) => [t.truss, t.fruit])).toEqual([
    [1, 5],
    [2, 0],
  ]);
  expect(share).toBeCloseTo(5 / 12, 12);
});
