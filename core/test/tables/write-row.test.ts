import fc from 'fast-check';
import { RECORD_TYPE_CODES } from '@candid-leaf/core/records';
import {
  cellsOf,
  columnsOf,
  guessReading,
  headingsOf,
  readRow,
  TABLE_NAMES,
  typeOfTable,
  type TableColumn,
  type TableName,
} from '@candid-leaf/core/tables';

/** What goes out comes back, read as any file is: by its headings. */
const back = (table: Parameters<typeof headingsOf>[0], values: Record<string, unknown>) => {
  const [heads, cells] = [headingsOf(table), cellsOf(table, values).map(String)];
  const reading = guessReading(heads, [cells]);
  return { table: reading.table, ...readRow(table, reading, cells) };
};
const day = fc
  .date({ min: new Date('2000-01-01'), max: new Date('2099-12-31'), noInvalidDate: true })
  .map((d) => d.toISOString().slice(0, 10));

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

/** A value as that column holds it. */
const valueOf = ({ holds, words = [], digits = 2 }: TableColumn): fc.Arbitrary<unknown> => {
  switch (holds) {
    case 'day':
      return day;
    case 'whole':
      return fc.integer({ min: 1, max: 40 });
    case 'number':
      return fc.integer({ min: 1, max: 40 * 10 ** digits }).map((n) => n / 10 ** digits);
    case 'word':
      return fc.constantFrom(...words);
    case 'words':
      return fc.uniqueArray(fc.constantFrom(...words), { minLength: 1 });
    case 'flag':
      return fc.constant(true);
    default:
      return fc.constantFrom('Red one', 'Sleeper Paste', '12', 'a, "b"');
  }
};
/** A row of that table: what is needed, and some of the rest. */
const rowOf = (table: TableName): fc.Arbitrary<Record<string, unknown>> => {
  const columns = columnsOf(table);
  return fc.record(Object.fromEntries(columns.map((c) => [c.field, valueOf(c)])), {
    requiredKeys: columns.filter((c) => (c.needed && !c.mayBeUnknown) || c.otherwise !== undefined).map((c) => c.field),
  });
};

test('every type of record has one table, and every row comes back as it went out', () => {
  const tables = TABLE_NAMES.filter((t) => typeOfTable(t) !== undefined);
  expect(tables.map(typeOfTable).sort()).toEqual([...RECORD_TYPE_CODES].sort());
  for (const table of [...tables, 'weather' as const])
    fc.assert(
      fc.property(rowOf(table), (values) => {
        expect(back(table, values)).toEqual({ table, values, faults: [] });
      }),
      { numRuns: 40 },
    );
});

test('a list in a cell takes any of its words, and says which it cannot take', () => {
  const reading = guessReading(['day', 'plant', 'cut off'], []);
  const read = (cell: string) => readRow('cuts', reading, ['2026-07-18', 'Red one', cell]);
  expect(read('Lower leaves; suckers').values).toMatchObject({ what: ['lower-leaves', 'suckers'] });
  expect(read('suckers, roots').faults).toEqual([
    { field: 'what', reason: '"roots" is not supported: lower-leaves, suckers, top, thinning' },
  ]);
  // of many words none is named
  expect(readRow('looks', guessReading(['day', 'plant', 'sign'], []), ['2026-07-18', 'Red one', 'odd']).faults).toEqual(
    [{ field: 'sign', reason: '"odd" is not supported: write it as an exported file does' }],
  );
});

test('depths and weights of pots in other units', () => {
  const soil = guessReading(['day', 'bed', 'soil', 'depth (in)'], []);
  expect(readRow('soil-checks', soil, ['2026-07-18', 'Wall bed', 'dry', '2']).values).toMatchObject({ depthCm: 5.08 });
  const pot = guessReading(['day', 'plant', 'pot weight (lb)'], []);
  expect(readRow('pot-weights', pot, ['2026-07-18', 'Red one', '20']).values).toMatchObject({ kg: 9.0718474 });
});

test('a file is the table whose needed columns it has, not the one that shares most names with it', () => {
  // six names of a feed, but no nutrients: its litres make it a watering
  expect(guessReading(['day', 'plant', 'bed', 'litres', 'product', 'form', 'why'], []).table).toBe('watering');
});
