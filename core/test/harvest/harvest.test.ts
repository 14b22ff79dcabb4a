import { addDays } from '@candid-leaf/core/units';
import {
  blushFirst,
  blushInWords,
  greenInOn,
  heavyFaults,
  onShelf,
  ripeFromSet,
  ripenessInWords,
  SALVAGE,
  salvageRow,
  sauceLitres,
  useFaults,
} from '../../src/harvest/index.js';
import { METRIC_FORMAT } from '../../src/units/index.js';
import { PICK_STATES, PICK_USES } from '../../src/records/index.js';

test('salvage (handbook): only sound fruit is canned; soft and gnawed fruit is thrown away, whatever it was meant for', () => {
  expect(SALVAGE.map((r) => r.state)).toEqual([...PICK_STATES]);
  expect(SALVAGE.filter((r) => r.canning).map((r) => r.state)).toEqual(['sound']);
  expect(SALVAGE.filter((r) => !r.edible).map((r) => r.state)).toEqual(['gnawed', 'soft']);
  expect(PICK_USES.filter((use) => useFaults({ state: 'soft', use }, '').length === 0)).toEqual(['binned']);
  for (const r of SALVAGE)
    expect([r.state, useFaults({ state: r.state, use: 'kept' }, '').length]).toEqual([r.state, r.keeps ? 0 : 1]);
  expect(useFaults({ state: 'dark-end', use: 'eaten' }, '')).toEqual([]);
  expect(salvageRow('blighted').advice).toMatch(/Do not can or store/);
});

describe('from set to ripe by warmth', () => {
  const SET = '2026-06-01';
  const w = (n: number, mean: number) =>
    Array.from({ length: n }, (_, i) => ({ date: addDays(SET, i + 1), tMinC: mean - 5, tMaxC: mean + 5, rainMm: 0 }));
  test('a tomato in usual warmth: 45 to 55 days, from the warmth so far or all forecast', () => {
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

test('hot peppers come with their caution, and no pepper plant is pulled', () => {
  expect(ripenessInWords('pepper', 'hot', 'red')).toMatch(/Cut it, do not pull\. Wear gloves/);
  expect(ripenessInWords('pepper', 'sweet', null)).not.toMatch(/gloves/i);
  expect(ripenessInWords('tomato', 'cherry', 'orange')).toMatch(/first blush.*orange colour/);
});

test('a harvest heavier than a plant can bear is refused unless it is explained', () => {
  const faults = (p: object, gramsBefore = 0) => heavyFaults({ ...p }, { crop: 'pepper', gramsBefore }, 'data.').length;
  expect(faults({ grams: 900, count: 4 })).toBe(0);
  expect(faults({ grams: 900, count: 1 })).toBe(1);
  expect(faults({ grams: 900 }, 7100)).toBe(0);
  expect(faults({ grams: 901 }, 7100)).toBe(1);
  expect(faults({ grams: 901, because: 'weighed twice' }, 7100)).toBe(0);
});

test('sauce: a paste variety gives half as much again as a juicy one', () => {
  expect(sauceLitres(6, true)).toBeCloseTo(2.7, 9);
  expect(sauceLitres(6, false)).toBeCloseTo(1.8, 9);
});

describe('from first blush (handbook: saves fruit from heat, splitting and birds)', () => {
  const day = (n: number, more: object = {}) => ({
    date: addDays('2026-08-01', n),
    tMinC: 16,
    tMaxC: 27,
    rainMm: 0,
    ...more,
  });
  const ask = (more: object = {}) =>
    blushFirst({
      crop: 'tomato',
      splits: null,
      today: '2026-08-01',
      ahead: [day(1), day(2), day(3)],
      pecked: false,
      ...more,
    });
  test('within two days of likely heavy rain; earlier for a variety that splits easily, later for one that seldom does', () => {
    expect(ask()).toBeNull();
    const rain = (n: number, rainMm: number, rainChancePct = 80) => ({ ahead: [day(n, { rainMm, rainChancePct })] });
    expect(ask(rain(2, 12))).toEqual({ because: 'rain', on: '2026-08-03', much: 12 });
    expect(ask(rain(3, 12))).toBeNull();
    expect(ask(rain(2, 12, 40))).toBeNull();
    expect(ask(rain(2, 11))).toBeNull();
    expect(ask({ ...rain(2, 11), splits: 'more' })).not.toBeNull();
    expect(ask({ ...rain(2, 13), splits: 'less' })).toBeNull();
  });
  test('before heat of 32 °C, and after bird damage; peppers stay on the plant', () => {
    expect(ask({ ahead: [day(1, { tMaxC: 32 })] })).toEqual({ because: 'heat', on: '2026-08-02', much: 32 });
    expect(ask({ ahead: [day(1, { tMaxC: 31.9 })] })).toBeNull();
    expect(ask({ pecked: true })).toEqual({ because: 'birds' });
    expect(ask({ crop: 'pepper', pecked: true })).toBeNull();
    for (const b of [ask({ pecked: true })!, ask({ ahead: [day(1, { tMaxC: 34 })] })!])
      expect(blushInWords(b, METRIC_FORMAT)).toMatch(/Pick everything at first blush: it ripens indoors\.$/);
  });
});

test('before the first frost: flowers that cannot ripen, then green fruit a week before', () => {
  // 850 °C·d at 17 a day: 50 days; 1020: 60
  expect(greenInOn('2026-10-28')).toBe('2026-10-21');
});
