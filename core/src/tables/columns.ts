import type { RecordType } from '../records/index.js';
import { SOIL_UNITS } from '../records/index.js';
import type { QuantityName } from './quantities.js';

/** What a column holds. */
export interface Column {
  field: string;
  /** shown when choosing it */
  label: string;
  holds: 'day' | 'number' | 'whole' | 'word' | 'words' | 'text' | 'flag' | 'plant' | 'place';
  needed?: true;
  /** its cell may say that it is not known, though the column is needed */
  mayBeUnknown?: true;
  /** its heading in our own files; without it the first of its names */
  head?: string;
  /** digits behind the point, as it is measured */
  digits?: number;
  /** for a number with a unit */
  quantity?: QuantityName;
  /** units kept as they are, beside the number */
  keptUnits?: readonly string[];
  words?: readonly string[];
  /** value for an empty cell */
  otherwise?: string;
  /** names such a column goes by, lower case without spaces and symbols */
  names: readonly string[];
}
/** A column of a table that can be imported. */
export type TableColumn = Readonly<Column>;

/** A table that can be imported. */
export interface Table {
  label: string;
  /** the type of record its rows are; without it they are something else */
  type?: RecordType;
  columns: readonly Column[];
}

/** The day. */
export const date: Column = {
  field: 'date',
  label: 'Day',
  holds: 'day',
  needed: true,
  head: 'day',
  names: ['date', 'day', 'datum', 'dato', 'fecha', 'data', 'dt', 'time', 'timestamp'],
};
/** The plant, by its name. */
export const plant: Column = {
  field: 'plant',
  label: 'Plant',
  holds: 'plant',
  names: ['plant', 'plantname', 'variety'],
};
/** The bed or pot, by its name. */
export const place: Column = {
  field: 'place',
  head: 'bed',
  label: 'Bed or pots',
  holds: 'place',
  names: ['place', 'bed', 'pot', 'pots', 'container', 'location'],
};
/** Why it was done. */
export const because: Column = {
  field: 'because',
  label: 'Why',
  holds: 'text',
  head: 'why',
  names: ['because', 'why', 'reason'],
};
/** A nutrient of a soil test. */
export const element = (field: string, label: string, ...names: string[]): Column => ({
  field,
  label,
  holds: 'number',
  keptUnits: SOIL_UNITS,
  names: [field.toLowerCase(), ...names],
});
