import fc from 'fast-check';
import { cellsOf, guessReading, headingsOf, readRow } from '@candid-leaf/core/tables';

/** What goes out comes back, read as any file is: by its headings. */
const back = (table: Parameters<typeof headingsOf>[0], values: Record<string, unknown>) => {
  const [heads, cells] = [headingsOf(table), cellsOf(table, values).map(String)];
  const reading = guessReading(heads, [cells]);
  return { table: reading.table, ...readRow(table, reading, cells) };
};
const day = fc
  .date({ min: new Date('2000-01-01'), max: new Date('2099-12-31'), noInvalidDate: true })
  .map((d) => d.toISOString().slice(0, 10));
const tenths = (min: number, max: number) => fc.integer({ min: min * 10, max: max * 10 }).map((n) => n / 10);

test('headings name the unit; numbers are as exact as they are measured', () => {
  expect(headingsOf('watering')).toEqual(['day', 'plant', 'bed', 'litres (L)', 'minutes', 'method', 'until']);
  expect(headingsOf('weather')).toEqual([
    'day',
    'tmin (C)',
    'tmax (C)',
    'rain (mm)',
    'humidity (%)',
    'wind (m/s)',
    'solar (MJ/m2)',
  ]);
  const measured = {
    date: '2026-07-18',
    tMinC: 12.04999,
    tMaxC: 25,
    rainMm: 0,
    rhMeanPct: 61.7,
    windMs: 0.37397553758397206,
  };
  expect(cellsOf('weather', measured)).toEqual(['2026-07-18', 12, 25, 0, 62, 0.4, '']);
});

test('a watering of unknown amount says so, and stays one; none is still none', () => {
  const of = { date: '2026-07-18', plant: 'Red one', place: 'Wall bed' };
  expect(cellsOf('watering', of)).toEqual(['2026-07-18', 'Red one', 'Wall bed', 'unknown', '', '', '']);
  expect(back('watering', of)).toEqual({ table: 'watering', values: of, faults: [] });
  expect(back('watering', { ...of, litres: 0 }).values).toEqual({ ...of, litres: 0 });
  // a plant may have that name
  expect(back('watering', { ...of, plant: 'Unknown', litres: 1 }).values).toEqual({
    ...of,
    plant: 'Unknown',
    litres: 1,
  });
  // an empty cell is no watering of unknown amount
  const reading = guessReading(['day', 'plant', 'litres'], []);
  expect(readRow('watering', reading, ['2026-07-18', 'Red one', '']).faults).toEqual([
    { field: 'litres', reason: 'is missing' },
  ]);
});

test('every row comes back as it went out', () => {
  const name = fc.constantFrom('Red one', 'Sleeper Paste', '12', 'a, "b"');
  const rows = fc.oneof(
    fc.record({
      table: fc.constant('watering' as const),
      values: fc.record(
        {
          date: day,
          plant: name,
          litres: tenths(0, 90),
          minutes: tenths(1, 900),
          how: fc.constantFrom('drip', 'base'),
        },
        { requiredKeys: ['date', 'plant', 'litres'] },
      ),
    }),
    fc.record({
      table: fc.constant('feeding' as const),
      values: fc.record(
        {
          date: day,
          plant: name,
          grams: tenths(0, 200),
          n: tenths(0, 20),
          p2o5: tenths(0, 20),
          k2o: tenths(0, 20),
          unknown: fc.constant(true),
          because: fc.constant('pale'),
        },
        { requiredKeys: ['date', 'plant', 'grams', 'n', 'p2o5', 'k2o'] },
      ),
    }),
    fc.record({
      table: fc.constant('harvest' as const),
      values: fc.record(
        {
          date: day,
          plant: name,
          count: fc.integer({ min: 1, max: 90 }),
          grams: fc.integer({ min: 1, max: 9000 }),
          state: fc.constantFrom('sound', 'split'),
          use: fc.constant('eaten'),
        },
        { requiredKeys: ['date', 'plant', 'state', 'use'] },
      ),
    }),
    fc.record({
      table: fc.constant('weather' as const),
      values: fc.record(
        {
          date: day,
          tMinC: tenths(-20, 20),
          tMaxC: tenths(20, 40),
          rainMm: tenths(0, 90),
          windMs: tenths(0, 20),
          solarMj: tenths(0, 35),
        },
        { requiredKeys: ['date', 'tMinC', 'tMaxC', 'rainMm'] },
      ),
    }),
  );
  fc.assert(
    fc.property(rows, ({ table, values }) => {
      expect(back(table, values)).toEqual({ table, values, faults: [] });
    }),
  );
});
