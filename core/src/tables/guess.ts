import { guessDateOrder, guessDecimal, unclearDay, type DateOrder, type Decimal } from './cells.js';
import { unitsOf } from './quantities.js';
import { columnsOf, TABLE_NAMES, type TableColumn, type TableName } from './tables.js';
import { at, must } from '../units/lists.js';

/** One column of a file, and what it is. */
interface MappedColumn {
  field: string;
  /** column of the file, from 0 */
  at: number;
  /** its unit, if it has one */
  unit?: string | undefined;
}

/** How to read a file. */
export interface Reading {
  columns: MappedColumn[];
  dateOrder: DateOrder;
  decimal: Decimal;
}

/** Words for units in column headings. */
const UNIT_WORDS: readonly (readonly [RegExp, string])[] = [
  [/°?f(ahrenheit)?$/, 'F'],
  [/°?c(elsius)?$/, 'C'],
  [/(in|inch|inches)$/, 'in'],
  [/mm$/, 'mm'],
  [/cm$/, 'cm'],
  [/(ft|feet)$/, 'ft'],
  [/(kmh|km\/h|kph)$/, 'km/h'],
  [/mph$/, 'mph'],
  [/(m\/s|ms)$/, 'm/s'],
  [/(kn|knots)$/, 'kn'],
  [/(us ?gal|gal(lons?)?)$/, 'gal-us'],
  [/ml$/, 'mL'],
  [/(l|litres?|liters?)$/, 'L'],
  [/kg$/, 'kg'],
  [/(lbs?|pounds?)$/, 'lb'],
  [/(oz|ounces?)$/, 'oz'],
  [/(g|grams?)$/, 'g'],
  [/m$/, 'm'],
];

const bare = (head: string): string =>
  head
    .toLowerCase()
    .replace(/[([].*?[)\]]/g, '')
    .replace(/[^a-z0-9]/g, '');

/**
 * Returns the unit a heading names: in brackets or after the last space or symbol. If none: wind in km/h under the
 * name of public records, else ours.
 */
function unitIn(head: string, column: TableColumn): string | undefined {
  if (column.keptUnits) return column.keptUnits.find((u) => head.toLowerCase().includes(u)) ?? column.keptUnits[0];
  if (!column.quantity) return undefined;
  const known = unitsOf(column.quantity);
  const given = /[([](.+?)[)\]]\s*$/.exec(head)?.[1] ?? /[_\s-]([^_\s-]+)$/.exec(head)?.[1] ?? head;
  const found = UNIT_WORDS.find(([words, unit]) => words.test(given.toLowerCase().trim()) && known.includes(unit))?.[1];
  const named = given !== head || bare(head).length <= 7;
  if (found && named && bare(given) !== 'wspd') return found;
  return bare(head) === 'wspd' ? 'km/h' : known[0];
}

/** Matches a table's columns to the headings of a file: each once, the first that fits. */
function fit(table: TableName, heads: readonly string[]): MappedColumn[] {
  const taken = new Set<number>();
  return columnsOf(table).flatMap((column): MappedColumn[] => {
    const names = column.names;
    const is = (head: string): boolean => {
      const b = bare(head);
      return (
        names.includes(b) || names.some((n) => n.length > 2 && b.replace(/(mm|cm|in|f|c|l|g|kg|kmh|mph|ms)$/, '') === n)
      );
    };
    const found = heads.findIndex((h, i) => !taken.has(i) && is(h));
    if (found < 0) return [];
    taken.add(found);
    const unit = unitIn(at(heads, found), column);
    return [{ field: column.field, at: found, ...(unit ? { unit } : {}) }];
  });
}

const isWhole = (table: TableName, found: readonly MappedColumn[]): boolean =>
  columnsOf(table).every((c) => !c.needed || found.some((f) => f.field === c.field));

/**
 * Guesses what a file is: the table whose required columns are there, with the most columns; and how its dates and
 * numbers are written.
 * @param heads of its columns
 * @param rows some of its rows
 */
export function guessReading(
  heads: readonly string[],
  rows: readonly (readonly string[])[],
  table?: TableName,
): Reading & { table: TableName; unclearDay: string | null } {
  const score = (t: TableName): number => {
    const found = fit(t, heads);
    return found.length + (isWhole(t, found) ? 100 : 0);
  };
  const best = table ?? TABLE_NAMES.reduce((a, b) => (score(b) > score(a) ? b : a));
  const columns = fit(best, heads);
  const samples = (holds: readonly string[]): string[] =>
    columns
      .filter((c) => holds.includes(must(columnsOf(best).find((x) => x.field === c.field)).holds))
      .flatMap((c) => rows.map((r) => (r[c.at] ?? '').trim()));
  return {
    table: best,
    columns,
    dateOrder: guessDateOrder(samples(['day'])),
    unclearDay: unclearDay(samples(['day'])),
    decimal: guessDecimal(samples(['number'])),
  };
}
