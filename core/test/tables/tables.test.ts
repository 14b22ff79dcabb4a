import fc from 'fast-check';
import {
  guessDateOrder,
  guessDecimal,
  guessReading,
  inOurs,
  plainCell,
  QUANTITIES,
  readDay,
  readingFaults,
  readNumber,
  readRow,
  type QuantityName,
  type Reading,
} from '../../src/tables/index.js';

describe('units', () => {
  // NIST SP 811 (2008), appendix B: inch 2.54 E-02 m, gallon (U.S.) 3.785 412 E-03 m3, mile per hour 4.4704 E-01 m/s,
  // knot 5.144 444 E-01 m/s, ounce (avoirdupois) 2.834 952 E-02 kg, kilowatt hour 3.6 E+06 J, °C = (°F - 32)/1.8
  test.each([
    ['rain', 'in', 1, 25.4],
    ['water', 'gal-us', 1, 3.785412],
    ['wind', 'mph', 1, 0.44704],
    ['wind', 'kn', 1, 0.5144444],
    ['wind', 'km/h', 36, 10],
    ['mass', 'oz', 1, 28.34952],
    ['mass', 'lb', 1, 453.5924],
    ['sun', 'kWh/m2', 5, 18],
    ['warmth', 'F', 212, 100],
    ['warmth', 'F', -40, -40],
    ['warmth', 'K', 273.15, 0],
    ['warmth', 'C/10', 217, 21.7],
  ] as [QuantityName, string, number, number][])('%s: %s', (quantity, unit, value, ours) => {
    expect(inOurs(quantity, unit, value)).toBeCloseTo(ours, 4);
  });

  test('the first unit of each is ours; an unknown one is refused', () => {
    for (const [name, units] of Object.entries(QUANTITIES))
      expect([name, Object.values(units)[0]]).toEqual([name, [1, 0]]);
    expect(() => inOurs('rain', 'F', 1)).toThrow(RangeError);
  });
});

describe('cells', () => {
  test.each([
    ['2026-07-18', 'ymd', '2026-07-18'],
    ['2026-07-18T06:00:00Z', 'mdy', '2026-07-18'],
    ['20260718', 'dmy', '2026-07-18'],
    ['18.7.2026', 'dmy', '2026-07-18'],
    ['7/18/2026', 'mdy', '2026-07-18'],
    ['7/18/26 6:00 AM', 'mdy', '2026-07-18'],
    ['18/7/69', 'dmy', '1969-07-18'],
    ['18.7.2026', 'mdy', null],
    ['2026-02-30', 'ymd', null],
    ['yesterday', 'ymd', null],
  ] as const)('a day: %s read as %s', (text, order, day) => expect(readDay(text, order)).toBe(day));

  test.each([
    ['1.5', '.', 1.5],
    ['1,5', ',', 1.5],
    ['1,500', '.', 1500],
    ['1.500,25', ',', 1500.25],
    ['1 500', '.', 1500],
    ['-3', '.', -3],
    ['\u22123', '.', -3],
    ['.5', '.', 0.5],
    ['2e-3', '.', 0.002],
    ['1,5', '.', null],
    ['1.5.2', '.', null],
    ['15 mm', '.', null],
    ['', '.', null],
    ['NaN', '.', null],
    ['1e999', '.', null],
  ] as const)('a number: %s with %s', (text, decimal, value) => expect(readNumber(text, decimal)).toBe(value));

  test('every number written with a point or a comma is read back', () => {
    fc.assert(
      fc.property(fc.double({ noNaN: true, noDefaultInfinity: true, min: -1e9, max: 1e9 }), (x) => {
        // text knows no nought below nought
        const [text, number] = [String(x), x === 0 ? 0 : x];
        expect(readNumber(text, '.')).toBe(number);
        expect(readNumber(text.replace('.', ','), ',')).toBe(number);
      }),
    );
  });

  test('units and date form are guessed from samples', () => {
    expect(guessDateOrder(['03/04/2026', '18/04/2026'])).toBe('dmy');
    expect(guessDateOrder(['03/04/2026', '04/18/2026'])).toBe('mdy');
    expect(guessDecimal(['1,5', '2', '0,25'])).toBe(',');
    expect(guessDecimal(['1.5', '1,200'])).toBe('.');
  });

  test('a sign that kept a cell from being a formula is removed', () => {
    expect(plainCell("'=1+2")).toBe('=1+2');
    expect(plainCell("'-3")).toBe('-3');
    expect(plainCell("'twas")).toBe("'twas");
  });
});

describe('recognising a file', () => {
  // heads that public daily records go by
  test.each([
    [
      'date,tavg,tmin,tmax,prcp,snow,wdir,wspd,wpgt,pres,tsun',
      { tMinC: 'C', tMaxC: 'C', rainMm: 'mm', windMs: 'km/h' },
    ],
    ['date,precipitation,temp_max,temp_min,wind,weather', { tMinC: 'C', tMaxC: 'C', rainMm: 'mm', windMs: 'm/s' }],
    ['Date;TMIN_F;TMAX_F;Rain (in);Wind (mph)', { tMinC: 'F', tMaxC: 'F', rainMm: 'in', windMs: 'mph' }],
  ])('%s', (head, units) => {
    const guess = guessReading(head.split(/[,;]/), [['2026-07-18']]);
    expect(guess.table).toBe('weather');
    expect(Object.fromEntries(guess.columns.filter((c) => c.unit).map((c) => [c.field, c.unit]))).toEqual(units);
    expect(readingFaults('weather', guess)).toEqual([]);
  });

  test('tables are told apart by the columns they need', () => {
    const of = (head: string) => guessReading(head.split(','), []).table;
    expect(of('Date,Plant,Water (L)')).toBe('watering');
    expect(of('Date,Plant,Product,N,P,K,Grams')).toBe('feeding');
    expect(of('date,plant,count,weight (g),use')).toBe('harvest');
    expect(of('Name,Bed,Crop,Type,Planted out')).toBe('plants');
    expect(of('date,bed,pH,P (ppm),K (ppm)')).toBe('soil');
  });

  test('a date that can be read two ways is asked about, unless another tells', () => {
    const of = (...days: string[]) =>
      guessReading(
        ['Date', 'Plant', 'Water (L)'],
        days.map((d) => [d, 'Red', '1']),
      );
    expect(of('03/04/2026', '05/06/2026')).toMatchObject({ unclearDay: '03/04/2026', dateOrder: 'dmy' });
    expect(of('03/04/2026', '25/06/2026')).toMatchObject({ unclearDay: null, dateOrder: 'dmy' });
    expect(of('03/04/2026', '05/26/2026')).toMatchObject({ unclearDay: null, dateOrder: 'mdy' });
    // year first, or the same day both ways: nothing to ask
    expect(of('2026-04-03').unclearDay).toBeNull();
    expect(of('04/04/2026').unclearDay).toBeNull();
    expect(of('').unclearDay).toBeNull();
  });

  test('missing, doubled and unitless columns are reported', () => {
    const reading: Reading = {
      columns: [
        { field: 'date', at: 0 },
        { field: 'litres', at: 1, unit: 'barrels' },
        { field: 'date', at: 2 },
        { field: 'colour', at: 3 },
      ],
      dateOrder: 'ymd',
      decimal: '.',
    };
    expect(readingFaults('watering', reading).map((f) => f.field)).toEqual(['litres', 'date', 'colour']);
    expect(readingFaults('watering', { ...reading, columns: [] }).map((f) => f.field)).toEqual(['date', 'litres']);
  });
});

describe('a row', () => {
  const reading = guessReading(['Date', 'Plant', 'Water (gal)', 'How'], [['7/18/2026', 'Red', '0.5', '']], 'watering');
  test('is converted to our units, cell by cell; an empty cell is unknown', () => {
    expect(readRow('watering', reading, ['7/18/2026', ' Red one ', '0.5', ''])).toEqual({
      values: { date: '2026-07-18', plant: 'Red one', litres: 1.892705892 },
      faults: [],
    });
    expect(readRow('watering', reading, ['7/18/2026', 'Red', '', 'Drip']).faults).toEqual([
      { field: 'litres', reason: 'is missing' },
    ]);
    const { faults } = readRow('watering', reading, ['31/31/2026', 'Red', 'much', 'by hose']);
    expect(faults.map((f) => f.field)).toEqual(['date', 'litres', 'how']);
    expect(faults[1]!.reason).toBe('"much" is not a number');
  });

  test('rain that was not recorded is not zero', () => {
    const weather = guessReading(['date', 'tmin', 'tmax', 'prcp'], [], 'weather');
    expect(readRow('weather', weather, ['2026-07-18', '12', '25', '']).faults).toEqual([
      { field: 'rainMm', reason: 'is missing' },
    ]);
    expect(readRow('weather', weather, ['2026-07-18', '12', '25', '0']).values.rainMm).toBe(0);
  });
});

test('a mean of 200 W/m² over a day is 17.28 MJ/m² (200 J/s · 86,400 s); 5 kWh/m² are 18', () => {
  expect(inOurs('sun', 'W/m2', 200)).toBeCloseTo(17.28, 6);
  expect(inOurs('sun', 'kWh/m2', 5)).toBeCloseTo(18, 6);
});
