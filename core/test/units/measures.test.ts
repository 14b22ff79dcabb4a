import fc from 'fast-check';
import {
  DATE_FORMS,
  formatterFor,
  measureOf,
  MEASURES,
  parseDecimal,
  toPourable,
  type Quantity,
  type Units,
} from '@candid-leaf/core/units';

const units = fc.record<Units>({
  temperature: fc.constantFrom('C', 'F'),
  volume: fc.constantFrom('L', 'gal-us', 'gal-imp'),
  length: fc.constantFrom('cm', 'in'),
  mass: fc.constantFrom('g', 'oz'),
  area: fc.constantFrom('m2', 'ft2'),
});
const US: Units = { temperature: 'F', volume: 'gal-us', length: 'in', mass: 'oz', area: 'ft2' };
const plain = (s: string) => s.replaceAll('\u00a0', ' ');

test('every unit converts back, in every choice of units', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...(Object.keys(MEASURES) as Quantity[])),
      units,
      fc.double({ min: -100, max: 5000, noNaN: true }),
      (quantity, u, metric) => {
        const m = measureOf(quantity, u);
        expect(m.toMetric(m.fromMetric(metric))).toBeCloseTo(metric, 6);
      },
    ),
  );
});

test('one of the gardener’s units in ours (NIST SP 811): gallon, foot, inch, ounce, pound, square foot, mile an hour', () => {
  const one = (quantity: Quantity) => measureOf(quantity, US).toMetric(1);
  expect(one('litres')).toBeCloseTo(3.785411784, 9);
  expect(one('metres')).toBeCloseTo(0.3048, 9);
  expect(one('heightMetres')).toBeCloseTo(0.0254, 9);
  expect(one('depthMillimetres')).toBeCloseTo(25.4, 9);
  expect(one('rainMillimetres')).toBeCloseTo(25.4, 9);
  expect(one('grams')).toBeCloseTo(28.349523125, 9);
  expect(one('kilograms')).toBeCloseTo(0.45359237, 9);
  expect(one('squareMetres')).toBeCloseTo(0.09290304, 9);
  expect(one('windSpeed')).toBeCloseTo(0.44704, 5);
  expect(measureOf('celsius', US).toMetric(212)).toBeCloseTo(100, 9);
});

test('a number may have a comma or a point; an ambiguous one is not a number', () => {
  expect(['2.5', '2,5', ' 2.5 ', '.5', '-3', '+4', '10'].map(parseDecimal)).toEqual([2.5, 2.5, 2.5, 0.5, -3, 4, 10]);
  expect(['', '   '].map(parseDecimal)).toEqual([null, null]);
  for (const odd of ['1,000.5', '1.000,5', '2..5', 'two', '5 L', '1e3', '--2', '.', '-'])
    expect([odd, parseDecimal(odd)]).toEqual([odd, NaN]);
  fc.assert(
    fc.property(fc.double({ min: -9999, max: 9999, noNaN: true }), (x) => {
      const text = x.toFixed(3);
      expect(parseDecimal(text)).toBe(Number(text));
      expect(parseDecimal(text.replace('.', ','))).toBe(Number(text));
    }),
  );
});

test('amounts are rounded as people pour: decilitres, below a litre centilitres', () => {
  expect([0.044, 0.68, 0.996, 1.04, 3.46].map(toPourable)).toEqual([0.04, 0.68, 1, 1, 3.5]);
});

describe('the formatter', () => {
  const us = formatterFor(US, 'MMMM d');
  test('each date form writes a day, several days, a weekday and an axis in its own way', () => {
    const day = '2026-07-09';
    const written = DATE_FORMS.map((form) => {
      const f = formatterFor(US, form);
      return [f.day(day), f.days([day, '2026-07-03']), f.weekdayAndDay(day), f.dayShort(day)];
    });
    expect(written).toEqual([
      ['9 July', '3 and 9 July', 'Thursday 9 July', '9 Jul'],
      ['July 9', 'July 3 and 9', 'Thursday, July 9', 'Jul 9'],
      ['2026-07-09', '2026-07-03 and 2026-07-09', 'Thursday 2026-07-09', '07-09'],
    ]);
    expect(us.days([])).toBe('');
  });
  test('amounts carry their unit, rounded as a gardener would', () => {
    expect([0.347, 2.24, 14.4].map((l) => plain(formatterFor().litres(l)))).toEqual(['0.35 L', '2.2 L', '14 L']);
    expect(plain(us.temperatures(18, 33))).toBe('64 to 91 °F');
    expect(plain(us.temperature(0))).toBe('32 °F');
    expect(plain(formatterFor().temperature(-0.2))).toBe('0 °C');
    expect(plain(us.rain(5))).toBe('0.2 in');
    expect(plain(us.metres(2.4))).toBe('7.9 ft');
    expect(plain(us.elevation(180))).toBe('591 ft');
    expect(plain(us.kilograms(10))).toBe('22 lb');
    expect(plain(us.windSpeed(10))).toBe('22 mph');
    expect(plain(formatterFor().windSpeed(10))).toBe('10 m/s');
  });
});
