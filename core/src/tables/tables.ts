import { CROPS, GROWTH_HABITS, P_METHODS, PLANT_TYPES, STAGES, type RecordType } from '../records/index.js';
import { CARE_TABLES } from './care-tables.js';
import { date, element, place, type Table, type TableColumn } from './columns.js';
import { SEEN_TABLES } from './seen-tables.js';
import { WATER_TABLES } from './water-tables.js';

export type { TableColumn } from './columns.js';

/** Tables that can be imported, each with its columns. Names of weather columns: those of public daily records. */
export const TABLES = {
  weather: {
    label: 'Daily weather',
    columns: [
      date,
      {
        field: 'tMinC',
        label: 'Coldest',
        holds: 'number',
        needed: true,
        quantity: 'warmth',
        digits: 1,
        names: ['tmin', 'tempmin', 'mintemp', 'tminc', 'tn', 'low', 'temperaturemin', 'temperature2mmin'],
      },
      {
        field: 'tMaxC',
        label: 'Warmest',
        holds: 'number',
        needed: true,
        quantity: 'warmth',
        digits: 1,
        names: ['tmax', 'tempmax', 'maxtemp', 'tmaxc', 'tx', 'high', 'temperaturemax', 'temperature2mmax'],
      },
      {
        field: 'rainMm',
        label: 'Rain',
        holds: 'number',
        needed: true,
        quantity: 'rain',
        head: 'rain',
        digits: 1,
        names: ['prcp', 'rain', 'rainmm', 'precip', 'precipitation', 'precipitationsum', 'rainfall', 'rr'],
      },
      {
        field: 'rhMeanPct',
        label: 'Humidity, %',
        holds: 'number',
        head: 'humidity (%)',
        digits: 0,
        names: ['rh', 'rhum', 'humidity', 'rhmeanpct', 'relativehumidity', 'rhavg'],
      },
      {
        field: 'windMs',
        label: 'Wind',
        holds: 'number',
        quantity: 'wind',
        head: 'wind',
        digits: 1,
        names: ['wspd', 'wind', 'windspeed', 'awnd', 'windms', 'ff'],
      },
      {
        field: 'solarMj',
        label: 'Sun',
        holds: 'number',
        quantity: 'sun',
        head: 'solar',
        digits: 1,
        names: ['srad', 'solar', 'solarmj', 'radiation', 'shortwaveradiationsum', 'rs'],
      },
    ],
  },
  ...WATER_TABLES,
  ...CARE_TABLES,
  ...SEEN_TABLES,
  plants: {
    label: 'Plants',
    columns: [
      { field: 'name', label: 'Name', holds: 'text', needed: true, names: ['name', 'plant', 'plantname', 'variety'] },
      { ...place, needed: true },
      {
        field: 'crop',
        label: 'Tomato or pepper',
        holds: 'word',
        needed: true,
        words: CROPS,
        names: ['crop', 'species', 'what'],
      },
      { field: 'type', label: 'Type', holds: 'word', words: PLANT_TYPES, names: ['type'] },
      { field: 'habit', label: 'Growth', holds: 'word', words: GROWTH_HABITS, names: ['habit', 'growth'] },
      { field: 'stage', label: 'Stage', holds: 'word', words: STAGES, names: ['stage'] },
      {
        field: 'transplantedOn',
        label: 'Planted out',
        holds: 'day',
        names: ['transplantedon', 'plantedout', 'planted', 'transplanted', 'date'],
      },
      { field: 'heightM', label: 'Height', holds: 'number', quantity: 'length', names: ['height', 'heightm', 'tall'] },
      {
        field: 'spacingM',
        label: 'Distance',
        holds: 'number',
        quantity: 'length',
        names: ['spacing', 'spacingm', 'distance'],
      },
    ],
  },
  soil: {
    label: 'Soil tests',
    columns: [
      date,
      { ...place, needed: true },
      { field: 'pH', label: 'pH', holds: 'number', names: ['ph', 'acidity'] },
      { field: 'saltsDsPerM', label: 'Salts, dS/m', holds: 'number', names: ['ec', 'salts', 'saltsdsperm'] },
      element('nitrate', 'Nitrate', 'no3', 'no3n', 'n'),
      element('phosphorus', 'Phosphorus', 'p'),
      {
        field: 'phosphorusBy',
        label: 'Phosphorus by',
        holds: 'word',
        words: P_METHODS,
        names: ['phosphorusby', 'method', 'pmethod'],
      },
      element('potassium', 'Potassium', 'k'),
      element('calcium', 'Calcium', 'ca'),
      element('magnesium', 'Magnesium', 'mg'),
      {
        field: 'organicMatterPct',
        label: 'Organic matter, %',
        holds: 'number',
        names: ['om', 'organicmatter', 'organicmatterpct', 'humus'],
      },
    ],
  },
} as const satisfies Record<string, Table>;

/** Name of a table that can be imported. */
export type TableName = keyof typeof TABLES;
/** Names of all tables that can be imported. */
export const TABLE_NAMES = Object.keys(TABLES) as TableName[];
/** Returns the columns of a table. */
export const columnsOf = (table: TableName): readonly TableColumn[] => TABLES[table].columns;
/** Returns whether a name is that of a table. */
export const isTable = (name: string): name is TableName => name in TABLES;

/** Tables whose rows are records. */
export type RecordTableName = {
  [T in TableName]: (typeof TABLES)[T] extends { type: RecordType } ? T : never;
}[TableName];
type TypeIn<T extends RecordTableName> = (typeof TABLES)[T]['type'];
/** The compiler asks for a table for each type of record. */
type Missing = Exclude<RecordType, TypeIn<RecordTableName>>;
const whole: Missing extends never ? true : Missing = true;
void whole;

/**
 * Returns the type of record a table's rows are, if they are records.
 * @example typeOfTable('harvest') // 'picking'
 */
export const typeOfTable = (table: TableName): RecordType | undefined => (TABLES[table] as Table).type;
