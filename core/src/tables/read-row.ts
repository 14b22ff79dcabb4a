import { plainCell, readDay, readNumber } from './cells.js';
import type { Reading } from './guess.js';
import { inOurs } from './quantities.js';
import { columnsOf, type TableColumn, type TableName } from './tables.js';
import { first } from '../units/lists.js';

/** One fault in a cell: which field, and why. */
export interface CellFault {
  field: string;
  reason: string;
}

/** Values of one imported row. */
export type Values = Record<string, string | number | boolean | string[] | { amount: number; unit: string }>;

/** How a cell says that an amount is not known. */
export const UNKNOWN = 'unknown';

const MOST_SHOWN = 40;
const shown = (text: string): string => (text.length > MOST_SHOWN ? `${text.slice(0, MOST_SHOWN)}…` : text);

/**
 * Reads one row of a file as fields in our units. An empty cell is unknown, never zero. Never throws: faults are
 * returned cell by cell
 */
export function readRow(
  table: TableName,
  reading: Reading,
  cells: readonly string[],
): { values: Values; faults: CellFault[] } {
  const values: Values = {};
  const faults: CellFault[] = [];
  for (const column of columnsOf(table)) {
    const mapped = reading.columns.find((c) => c.field === column.field);
    const text = mapped ? plainCell(cells[mapped.at] ?? '') : '';
    if (text === '') {
      if (column.otherwise !== undefined) values[column.field] = column.otherwise;
      else if (column.needed) faults.push({ field: column.field, reason: 'is missing' });
      continue;
    }
    if (column.mayBeUnknown && text.toLowerCase() === UNKNOWN) continue;
    const read = readCell(column, text, reading, mapped?.unit);
    if ('reason' in read) faults.push({ field: column.field, reason: read.reason });
    else values[column.field] = read.value;
  }
  return { values, faults };
}

const MOST_NAMED = 30;
/** Names the words that are possible, unless there are too many to read. */
const unsupported = (text: string, { words = [] }: TableColumn): string =>
  `"${shown(text)}" is not supported: ${words.length > MOST_NAMED ? 'write it as an exported file does' : words.join(', ')}`;

function readCell(
  column: TableColumn,
  text: string,
  reading: Reading,
  unit: string | undefined,
): { value: Values[string] } | { reason: string } {
  switch (column.holds) {
    case 'day': {
      const value = readDay(text, reading.dateOrder);
      return value === null ? { reason: `"${shown(text)}" is not a date that exists in the chosen order` } : { value };
    }
    case 'number':
    case 'whole': {
      const value = readNumber(text, reading.decimal);
      if (value === null) return { reason: `"${shown(text)}" is not a number` };
      if (column.holds === 'whole' && !Number.isInteger(value))
        return { reason: `"${shown(text)}" is not a whole number` };
      if (column.keptUnits) return { value: { amount: value, unit: unit ?? first(column.keptUnits) } };
      return { value: column.quantity ? inOurs(column.quantity, unit ?? '', value) : value };
    }
    case 'word': {
      const value = text.toLowerCase().replaceAll(/[\s_]+/g, '-');
      return column.words?.includes(value) ? { value } : { reason: unsupported(text, column) };
    }
    case 'words': {
      const values = text
        .toLowerCase()
        .split(/[+;,]/)
        .map((w) => w.trim().replaceAll(/[\s_]+/g, '-'))
        .filter(Boolean);
      const strange = values.find((v) => !column.words?.includes(v));
      return strange === undefined ? { value: [...new Set(values)] } : { reason: unsupported(strange, column) };
    }
    case 'flag':
      return text.toLowerCase() === 'yes'
        ? { value: true }
        : { reason: `"${shown(text)}" is not supported: yes, or leave it empty` };
    default:
      return { value: text };
  }
}

/** Returns what is wrong with how a file is to be read, before any row is read. */
export function readingFaults(table: TableName, reading: Reading): CellFault[] {
  const columns = columnsOf(table);
  const faults: CellFault[] = [];
  const seen = new Set<string>();
  for (const { field, unit } of reading.columns) {
    const column = columns.find((c) => c.field === field);
    if (!column) faults.push({ field, reason: 'is not a column of this table' });
    else if (seen.has(field)) faults.push({ field, reason: 'is there twice' });
    else if (column.quantity && !isUnit(column, unit)) faults.push({ field, reason: 'needs a supported unit' });
    else if (column.keptUnits && unit !== undefined && !column.keptUnits.includes(unit))
      faults.push({ field, reason: 'needs a supported unit' });
    seen.add(field);
  }
  for (const c of columns)
    if (c.needed && !seen.has(c.field)) faults.push({ field: c.field, reason: 'is needed: which column is it?' });
  return faults;
}

function isUnit(column: TableColumn, unit: string | undefined): boolean {
  try {
    return unit !== undefined && Number.isFinite(inOurs(column.quantity!, unit, 1));
  } catch {
    return false;
  }
}
