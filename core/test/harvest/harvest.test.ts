import { addDays } from '@candid-leaf/core/units';
import {
  heavyFaults,
  onShelf,
  ripeFromSet,
  ripenessInWords,
  SALVAGE,
  salvageRow,
  sauceLitres,
  useFaults,
} from '../../src/harvest/index.js';
import { PICK_STATES, PICK_USES } from '../../src/records/index.js';

test('salvage (handbook): only sound fruit is for canning; soft fruit is thrown away, whatever it was meant for', () => {
  expect(SALVAGE.map((r) => r.state)).toEqual([...PICK_STATES]);
  expect(SALVAGE.filter((r) => r.canning).map((r) => r.state)).toEqual(['sound']);
  expect(SALVAGE.filter((r) => !r.edible).map((r) => r.state)).toEqual(['soft']);
  expect(PICK_USES.filter((use) => useFaults({ state: 'soft', use }, '').length === 0)).toEqual(['binned']);
  for (const r of SALVAGE)
    expect([r.state, useFaults({ state: r.state, use: 'kept' }, '').length]).toEqual([r.state, r.keeps ? 0 : 1]);
  expect(useFaults({ state: 'dark-end', use: 'eaten' }, '')).toEqual([]);
  expect(salvageRow('blighted').advice).toMatch(/Neither canned nor stored/);
});

describe('from set to ripe by warmth', () => {
  const SET = '2026-06-01';
  const w = (n: number, mean: number) =>
    Array.from({ length: n }, (_, i) => ({ date: addDays(SET, i + 1), tMinC: mean - 5, tMaxC: mean + 5, rainMm: 0 }));
  test('a tomato in usual warmth: 45 to 55 days, from what it had so far or all of it', () => {
    const early = ripeFromSet('tomato', SET, addDays(SET, 20), w(20, 23))!;
    expect([early.from, early.to]).toEqual([addDays(SET, 45), addDays(SET, 55)]);
    const late = ripeFromSet('tomato', SET, addDays(SET, 60), w(60, 23))!;
    expect([late.from, late.to]).toEqual([early.from, early.to]);
  });
  test('a pepper takes longer, and cool days stretch it', () => {
    const at = (crop: 'tomato' | 'pepper', mean: number) => ripeFromSet(crop, SET, addDays(SET, 20), w(20, mean))!.from;
    expect(at('pepper', 23) > at('tomato', 23)).toBe(true);
    expect(at('tomato', 19) > at('tomato', 23)).toBe(true);
    expect(ripeFromSet('tomato', SET, SET, [])).toBeNull();
  });
});

test('the shelf: a blush in a week, a green one in two and a half, slower in a cool room', () => {
  expect(onShelf('blush', '2026-07-10', '2026-07-12')).toEqual({
    ripeIn: 5,
    ripeOn: '2026-07-17',
    eatBy: '2026-07-22',
  });
  expect(onShelf('green', '2026-10-20', '2026-10-20').ripeIn).toBe(18);
  expect(onShelf('blush', '2026-07-10', '2026-07-10', 15).ripeIn).toBe(14);
  expect(onShelf('ripe', '2026-07-10', '2026-07-14').ripeIn).toBe(0);
});

test('hot peppers are told with their caution, and no pepper is pulled', () => {
  expect(ripenessInWords('pepper', 'hot', 'red')).toMatch(/Cut it, do not pull\. Gloves/);
  expect(ripenessInWords('pepper', 'sweet', null)).not.toMatch(/Gloves/);
  expect(ripenessInWords('tomato', 'cherry', 'orange')).toMatch(/first blush.*orange colour/);
});

test('a harvest heavier than a plant can bear is held up unless it is explained', () => {
  const faults = (p: object, gramsBefore = 0) => heavyFaults({ ...p }, { crop: 'pepper', gramsBefore }, 'data.').length;
  expect(faults({ grams: 900, count: 4 })).toBe(0);
  expect(faults({ grams: 900, count: 1 })).toBe(1);
  expect(faults({ grams: 900 }, 7100)).toBe(0);
  expect(faults({ grams: 901 }, 7100)).toBe(1);
  expect(faults({ grams: 901, because: 'weighed twice' }, 7100)).toBe(0);
});

test('sauce: a paste kind gives half as much again as a juicy one', () => {
  expect(sauceLitres(6, true)).toBeCloseTo(2.7, 9);
  expect(sauceLitres(6, false)).toBeCloseTo(1.8, 9);
});
