import { addDays } from '@candid-leaf/core/units';
import { expectedWeather } from '@candid-leaf/core/water';
import { aCase, ASOF } from '../helpers.js';

const day = (n: number, tMaxC: number) => ({ date: addDays(ASOF, n), tMinC: 15, tMaxC, rainMm: 0, rainChancePct: 0 });

test('only days ahead use the forecast; after it days are dry and repeat the last seven', () => {
  // long cool, the last seven days warm
  const weather = aCase().records.weather.map((w, i, all) => ({
    ...w,
    rainMm: 4,
    tMaxC: i < all.length - 7 ? 20 : 30,
  }));
  const c = aCase({ records: { weather } });
  const days = expectedWeather(c, [day(-1, 40), day(0, 40), day(1, 25), day(2, 26)], 5);
  expect(days.map((d) => d.date)).toEqual([1, 2, 3, 4, 5].map((n) => addDays(ASOF, n)));
  expect(days.map((d) => d.tMaxC)).toEqual([25, 26, 30, 30, 30]);
  expect(days.slice(2).map((d) => d.rainMm)).toEqual([0, 0, 0]);
});

test('without a forecast all days repeat the last; without any weather nothing is invented', () => {
  expect(expectedWeather(aCase(), [], 3).map((d) => d.date)).toEqual([1, 2, 3].map((n) => addDays(ASOF, n)));
  const none = aCase({ records: { weather: [] } });
  expect(expectedWeather(none, [], 3)).toEqual([]);
  expect(expectedWeather(none, [day(1, 25)], 3)).toHaveLength(1);
});
