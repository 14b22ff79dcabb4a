import fc from 'fast-check';
import type { TimerSet } from '@candid-leaf/core/records';
import { addDays, daysBetween } from '@candid-leaf/core/units';
import { timerOn, timerRuns } from '@candid-leaf/core/water';

const MAY = '2026-05-01';
const dry = () => 0;
const days = (timers: TimerSet[], from: string, to: string, rain: (day: string) => number = dry) =>
  timerRuns(timers, from, to, rain).map((r) => r.date);

test('a timer runs every few days from its first one, until it is changed or switched off', () => {
  const timers = [
    { date: MAY, everyDays: 3, minutes: 20 },
    { date: '2026-05-09', everyDays: 1, minutes: 10 },
    { date: '2026-05-11', off: true },
  ];
  expect(timerRuns(timers, '2026-05-02', '2026-05-20', dry)).toEqual([
    { date: '2026-05-04', minutes: 20 },
    { date: '2026-05-07', minutes: 20 },
    { date: '2026-05-09', minutes: 10 },
    { date: '2026-05-10', minutes: 10 },
  ]);
  expect(timerOn(timers, '2026-05-10')).toMatchObject({ minutes: 10 });
  expect(timerOn(timers, '2026-05-11')).toBeNull();
});

test('a cycle that begins later by a slip still waters a whole rhythm apart', () => {
  const timers = [{ date: MAY, everyDays: 3, minutes: 5, since: '2026-05-05' }];
  expect(days(timers, MAY, '2026-05-09')).toEqual(['2026-05-02', '2026-05-05', '2026-05-08']);
});

test('a confirmed setting keeps its rhythm', () => {
  const timers = [
    { date: MAY, everyDays: 2, minutes: 20 },
    { date: '2026-05-08', everyDays: 2, minutes: 20, since: MAY },
  ];
  expect(days(timers, '2026-05-06', '2026-05-12')).toEqual(['2026-05-07', '2026-05-09', '2026-05-11']);
});

test('with a rain sensor it skips the wet day and the next; without one it runs', () => {
  const rain = (day: string) => (day === '2026-05-03' ? 9 : 0);
  const timer = { date: MAY, everyDays: 1, minutes: 20 };
  expect(days([{ ...timer, skipsRain: true }], MAY, '2026-05-05', rain)).toEqual([MAY, '2026-05-02', '2026-05-05']);
  expect(days([timer], MAY, '2026-05-05', rain)).toHaveLength(5);
});

test('runs lie within the days asked for, never twice on one day, a whole rhythm apart', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 14 }),
      fc.integer({ min: -40, max: 40 }),
      fc.integer({ min: 0, max: 40 }),
      (everyDays, start, length) => {
        const [from, to] = [addDays(MAY, start), addDays(MAY, start + length)];
        const runs = days([{ date: MAY, everyDays, minutes: 5 }], from, to);
        for (const [i, day] of runs.entries()) {
          expect(day >= from && day <= to && day >= MAY).toBe(true);
          expect(daysBetween(MAY, day) % everyDays).toBe(0);
          if (i > 0) expect(daysBetween(runs[i - 1]!, day)).toBe(everyDays);
        }
      },
    ),
  );
});
