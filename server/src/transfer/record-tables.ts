import { tableOfExport, type ExportName } from '@candid-leaf/contract';
import type { Inspection } from '@candid-leaf/core/records';
import { typeOfTable, type TableName } from '@candid-leaf/core/tables';
import type { Row } from './garden-tables.js';

/** An export with the columns of an import: real columns, units in the headings, values as exact as they are measured. */
export interface RecordTable {
  /** the table of the import */
  table: TableName;
  /** where its rows are */
  from: 'records' | 'weather';
  holds: (row: Row) => boolean;
}

/** Returns the table of an export that can be imported as it is, if it can. */
export function recordTable(name: ExportName): RecordTable | undefined {
  const table = tableOfExport(name);
  // what was only forecast is no record
  if (table === 'weather') return { table, from: 'weather', holds: (row) => row.kind === 'observed' };
  return table && { table, from: 'records', holds: (row) => row.type === typeOfTable(table) };
}

/** Returns the lines of a row, each by the names of the import: one, but for a look, which has one for each sign. */
export function linesOf(
  row: Row,
  { places, plants }: { places: ReadonlyMap<string, string>; plants: ReadonlyMap<string, string> },
): Record<string, unknown>[] {
  const { data, placeId, plantId, day, ...rest } = row;
  const fields = {
    ...rest,
    ...(data as object | undefined),
    date: day,
    plant: plants.get(String(plantId)),
    place: places.get(String(placeId)),
  };
  return row.type === 'inspection' ? looksOf(fields, data as Inspection) : [fields];
}

const looksOf = (fields: Record<string, unknown>, { allClear, signs }: Inspection): Record<string, unknown>[] => [
  ...(allClear ? [fields] : []),
  ...signs.map(({ present, ...sign }) => ({ ...fields, allClear: false, ...sign, seen: present ? 'yes' : 'no' })),
];
