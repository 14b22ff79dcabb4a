import fc from 'fast-check';
import { addDays, dayNumber, dayOf, dayOfYear, daysBetween, isDay } from '@candid-leaf/core/units';

const number = fc.integer({ min: dayNumber('1900-01-01'), max: dayNumber('2199-12-31') });

test('days and their numbers convert both ways, like the platform’s own calendar', () => {
  fc.assert(
    fc.property(number, (n) => {
      const day = dayOf(n);
      expect(dayNumber(day)).toBe(n);
      expect(day).toBe(new Date(n * 86_400_000).toISOString().slice(0, 10));
      expect(isDay(day)).toBe(true);
    }),
  );
});

test('adding days and taking them off returns to the same day; the difference is what was added', () => {
  fc.assert(
    fc.property(number, fc.integer({ min: -800, max: 800 }), (n, step) => {
      const day = dayOf(n);
      expect(addDays(addDays(day, step), -step)).toBe(day);
      expect(daysBetween(day, addDays(day, step))).toBe(step);
    }),
  );
});

test('the day of the year counts a leap day', () => {
  expect(['2026-01-01', '2026-12-31', '2028-03-01', '2028-12-31', '2100-12-31'].map(dayOfYear)).toEqual([
    1, 365, 61, 366, 365,
  ]);
});

test('an invalid day is refused, not rounded', () => {
  for (const odd of ['2026-02-29', '2026-13-01', '2026-00-10', '2026-04-31', '26-04-01', '2026-4-1', ' 2026-04-01', ''])
    expect([odd, isDay(odd)]).toEqual([odd, false]);
  for (const odd of [null, undefined, 20260401, {}, ['2026-04-01']]) expect(isDay(odd)).toBe(false);
  expect(() => dayNumber('2026-02-30')).toThrow(RangeError);
});
