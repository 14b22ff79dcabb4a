import type { ExportName } from '@candid-leaf/contract';
import type { RecordType } from '@candid-leaf/core/records';
import type { TableName } from '@candid-leaf/core/tables';
import type { Row } from './garden-tables.js';

/** An export with the columns of an import: real columns, units in the headings, values as exact as they are measured. */
export interface RecordTable {
  /** the table of the import */
  table: TableName;
  /** where its rows are */
  from: 'records' | 'weather';
  holds: (row: Row) => boolean;
}

const ofType =
  (type: RecordType) =>
  (row: Row): boolean =>
    row.type === type;

/** Exports that can be imported as they are. */
export const RECORD_TABLES: Readonly<Partial<Record<ExportName, RecordTable>>> = {
  waterings: { table: 'watering', from: 'records', holds: ofType('watering') },
  feeds: { table: 'feeding', from: 'records', holds: ofType('feeding') },
  harvest: { table: 'harvest', from: 'records', holds: ofType('picking') },
  // what was only forecast is no record
  weather: { table: 'weather', from: 'weather', holds: (row) => row.kind === 'observed' },
};

/** Returns the fields of a row by the names of the import. */
export function fieldsOf(
  row: Row,
  { places, plants }: { places: ReadonlyMap<string, string>; plants: ReadonlyMap<string, string> },
): Record<string, unknown> {
  const { data, placeId, plantId, day, ...rest } = row;
  return {
    ...rest,
    ...(data as object | undefined),
    date: day,
    plant: plants.get(String(plantId)),
    place: places.get(String(placeId)),
  };
}
