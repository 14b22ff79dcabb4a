import { unitsOf } from './quantities.js';
import { UNKNOWN } from './read-row.js';
import { columnsOf, type TableName } from './tables.js';
import { first } from '../units/lists.js';

/**
 * Returns the headings of a table in our own files, with units. The import recognises each of them.
 * @example headingsOf('weather').slice(0, 4) // ['day', 'tmin (C)', 'tmax (C)', 'rain (mm)']
 */
export const headingsOf = (table: TableName): string[] =>
  columnsOf(table).map(({ head, names, quantity }) => {
    const words = head ?? first(names);
    return quantity ? `${words} (${first(unitsOf(quantity))})` : words;
  });

/**
 * Returns the cells of one row, in the order of the headings: numbers as exact as they are measured, an amount that is
 * not known as such, and nothing where there is nothing.
 * @param values by field, in our units
 */
export function cellsOf(table: TableName, values: Readonly<Record<string, unknown>>): (string | number)[] {
  return columnsOf(table).map(({ field, holds, digits, mayBeUnknown }) => {
    const value = values[field];
    if (value === undefined || value === null || value === '') return mayBeUnknown ? UNKNOWN : '';
    if (holds === 'flag') return value === true ? 'yes' : '';
    if (typeof value === 'number') return digits === undefined ? value : Number(value.toFixed(digits));
    if (holds === 'words') return (value as string[]).join(' + ');
    return typeof value === 'string' ? value : JSON.stringify(value);
  });
}
