import type { TimerSet } from '../../src/records/index.js';
import { emittersFor, startsInHeat, timerGives } from '../../src/water/index.js';

test('what each setting gives a day, newest first; switched off it gives nothing, unknown stays unknown', () => {
  const settings: TimerSet[] = [
    { date: '2026-07-01', everyDays: 2, minutes: 20 },
    { date: '2026-07-05', everyDays: 3, litres: 6, startHour: 6 },
    { date: '2026-07-07', since: '2026-07-05', everyDays: 3, litres: 6 },
    { date: '2026-07-09', off: true },
  ];
  expect(timerGives(settings, (set) => set.litres ?? null)).toEqual([
    { since: '2026-07-09', litresPerDay: 0, startHour: null },
    { since: '2026-07-05', litresPerDay: 2, startHour: 6 },
    { since: '2026-07-01', litresPerDay: null, startHour: null },
  ]);
});

test('emitters by what a plant uses, one to four; noon is a bad hour to start', () => {
  expect([0.4, 2, 2.1, 5, 20].map((l) => emittersFor(l).count)).toEqual([1, 1, 2, 3, 4]);
  // four are the most: what is more takes longer
  expect([2, 3, 20].map((l) => emittersFor(l).minutes)).toEqual([60, 45, 150]);
  expect([9, 10, 16, 17, null].map(startsInHeat)).toEqual([false, true, true, false, false]);
});
