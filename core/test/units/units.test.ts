import { doseInWords } from '@candid-leaf/core/diagnosis';
import { ledger } from '@candid-leaf/core/nutrition';
import { observationsOf } from '@candid-leaf/core/records';
import {
  addDays,
  daysBetween,
  formatterFor,
  isDay,
  measureOf,
  METRIC,
  METRIC_FORMAT,
  type Units,
} from '@candid-leaf/core/units';
import { litresFromMinutes, minutesForLitres } from '@candid-leaf/core/water';

const US: Units = { temperature: 'F', volume: 'gal-us', length: 'in', mass: 'oz', area: 'ft2' };
const us = formatterFor(US);
const plain = (s: string) => s.replaceAll('\u00a0', ' ');

test('units: 20 °C is 68 °F, a US gallon is 3.785 L, an imperial one 4.546 L, an inch is 25.4 mm (NIST SP 811)', () => {
  expect(plain(us.temperature(20))).toBe('68 °F');
  const fahrenheit = measureOf('celsius', US);
  expect(fahrenheit.toMetric(fahrenheit.fromMetric(-12.5))).toBeCloseTo(-12.5);
  expect(plain(us.litres(3.785411784))).toBe('1 US gal');
  expect(plain(formatterFor({ ...US, volume: 'gal-imp' }).litres(4.54609))).toBe('1 imp gal');
  expect(plain(us.rain(25.4))).toBe('1 in');
  expect(plain(METRIC_FORMAT.rain(25.4))).toBe('25 mm');
});

test('a dose reads in the gardener’s own units', () => {
  expect(plain(doseInWords({ litres: 2.2, everyDays: 2 }, METRIC_FORMAT))).toBe('2.2 L every 2 days');
  expect(plain(doseInWords({ depthMm: 60, litres: 3, areaM2: 0.0929 }, us))).toBe('2.4 in deep: 0.79 US gal for 1 ft²');
  expect(doseInWords(null, METRIC_FORMAT)).toBe('');
});

test('days: real ones only, over month ends and leap days, and listed together', () => {
  expect([isDay('2026-02-29'), isDay('2028-02-29'), isDay('2026-7-1'), isDay(3)]).toEqual([false, true, false, false]);
  expect(addDays('2028-02-28', 2)).toBe('2028-03-01');
  expect(daysBetween('2026-03-28', '2026-03-30')).toBe(2); // over the change of the clocks
  const days = ['2026-07-09', '2026-07-03', '2026-08-01', '2026-07-09'];
  expect(METRIC_FORMAT.days(days)).toBe('3, 9 July and 1 August');
  expect(formatterFor(US, 'MMMM d').days(days)).toBe('July 3, 9 and August 1');
  expect(formatterFor(US, 'yyyy-MM-dd').days(days.slice(0, 2))).toBe('2026-07-03 and 2026-07-09');
  // three in a row have two ends; a run stops at the end of a month, and two days are no run
  const run = ['2026-07-29', '2026-07-30', '2026-07-31', '2026-08-01', '2026-08-02', '2026-08-09'];
  expect(METRIC_FORMAT.days(run)).toBe('29 to 31 July, 1, 2 and 9 August');
  expect(METRIC_FORMAT.days([...run.slice(0, 3), '2026-07-02'])).toBe('2 and 29 to 31 July');
  expect(formatterFor(US, 'MMMM d').days(run.slice(0, 3))).toBe('July 29 to 31');
  expect(formatterFor(US, 'yyyy-MM-dd').days(run.slice(0, 3))).toBe('2026-07-29 to 2026-07-31');
});

test('minutes and litres convert; feed labels convert to elements', () => {
  expect(litresFromMinutes(30, 120, 2)).toBe(30);
  expect(minutesForLitres(30, 120, 2)).toBe(30);
  expect(ledger([{ n: 4, p2o5: 3, k2o: 8, grams: 100 }])).toEqual({
    nG: 4,
    pG: expect.closeTo(1.309, 3),
    kG: expect.closeTo(6.641, 3),
  });
});

test('an all-clear clears what was seen before it, and nothing seen after it', () => {
  const seen = observationsOf([
    { date: '2026-07-10', allClear: false, signs: [{ sign: 'pest-aphids', present: true }] },
    { date: '2026-07-14', allClear: true, signs: [] },
    { date: '2026-07-15', allClear: false, signs: [{ sign: 'fruit-burst', present: true }] },
  ]);
  expect(seen.map((o) => [o.date, o.sign, o.present])).toEqual([
    ['2026-07-10', 'pest-aphids', true],
    ['2026-07-14', 'pest-aphids', false],
    ['2026-07-15', 'fruit-burst', true],
  ]);
});

test('a difference of temperatures scales without the 32 of the scale: 2.5 K is 4.5 °F, 0 K is 0 °F (NIST SP 811)', () => {
  const us = formatterFor({ ...METRIC, temperature: 'F' }, 'MMMM d');
  expect([us.warmthBy(2.5), us.warmthBy(0), us.warmthBy(-1)].map((t) => t.replaceAll('\u00a0', ' '))).toEqual([
    '4.5 °F',
    '0 °F',
    '-1.8 °F',
  ]);
  expect(us.temperature(0).replaceAll('\u00a0', ' ')).toBe('32 °F');
});
