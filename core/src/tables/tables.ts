import {
  CROPS,
  FEED_FORMS,
  GROWTH_HABITS,
  PICK_RIPENESS,
  PICK_STATES,
  PICK_USES,
  P_METHODS,
  PLANT_TYPES,
  SOIL_UNITS,
  STAGES,
  WATERING_ENDS,
  WATERING_WAYS,
} from '../records/index.js';
import type { QuantityName } from './quantities.js';

/** What a column holds. */
interface Column {
  field: string;
  /** shown when choosing it */
  label: string;
  holds: 'day' | 'number' | 'whole' | 'word' | 'text' | 'flag' | 'plant' | 'place';
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

const date: Column = {
  field: 'date',
  label: 'Day',
  holds: 'day',
  needed: true,
  head: 'day',
  names: ['date', 'day', 'datum', 'dato', 'fecha', 'data', 'dt', 'time', 'timestamp'],
};
const plant: Column = { field: 'plant', label: 'Plant', holds: 'plant', names: ['plant', 'plantname', 'variety'] };
const place: Column = {
  field: 'place',
  head: 'bed',
  label: 'Bed or pots',
  holds: 'place',
  names: ['place', 'bed', 'pot', 'pots', 'container', 'location'],
};
const because: Column = {
  field: 'because',
  label: 'Why',
  holds: 'text',
  head: 'why',
  names: ['because', 'why', 'reason'],
};
const element = (field: string, label: string, ...names: string[]): Column => ({
  field,
  label,
  holds: 'number',
  keptUnits: SOIL_UNITS,
  names: [field.toLowerCase(), ...names],
});

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
  watering: {
    label: 'Waterings',
    columns: [
      date,
      plant,
      place,
      {
        field: 'litres',
        label: 'Water per plant',
        holds: 'number',
        needed: true,
        quantity: 'water',
        mayBeUnknown: true,
        digits: 2,
        names: ['litres', 'liters', 'water', 'amount', 'volume', 'l', 'gallons', 'gal', 'ml'],
      },
      {
        field: 'minutes',
        label: 'Minutes it ran',
        holds: 'number',
        digits: 1,
        names: ['minutes', 'min', 'mins', 'duration', 'ran'],
      },
      {
        field: 'how',
        label: 'How',
        holds: 'word',
        words: WATERING_WAYS,
        head: 'method',
        names: ['how', 'method', 'way'],
      },
      { field: 'end', label: 'Until', holds: 'word', words: WATERING_ENDS, head: 'until', names: ['end', 'until'] },
    ],
  },
  feeding: {
    label: 'Feeds',
    columns: [
      date,
      plant,
      place,
      {
        field: 'product',
        label: 'Product',
        holds: 'text',
        names: ['product', 'feed', 'fertilizer', 'fertiliser', 'what'],
      },
      {
        field: 'grams',
        label: 'Amount per plant',
        holds: 'number',
        needed: true,
        quantity: 'mass',
        digits: 1,
        names: ['grams', 'g', 'amount', 'weight', 'dose', 'oz'],
      },
      { field: 'n', label: 'N, %', holds: 'number', needed: true, names: ['n', 'nitrogen', 'npct'] },
      { field: 'p2o5', label: 'P₂O₅, %', holds: 'number', needed: true, names: ['p2o5', 'p', 'phosphate', 'p2o5pct'] },
      { field: 'k2o', label: 'K₂O, %', holds: 'number', needed: true, names: ['k2o', 'k', 'potash', 'k2opct'] },
      { field: 'form', label: 'Form', holds: 'word', words: FEED_FORMS, names: ['form'] },
      {
        field: 'unknown',
        label: 'The amount is the usual one, as it is not known',
        holds: 'flag',
        head: 'usual amount',
        names: ['usualamount', 'unknown'],
      },
      because,
    ],
  },
  harvest: {
    label: 'Harvest',
    columns: [
      date,
      { ...plant, needed: true },
      place,
      { field: 'count', label: 'Fruit', holds: 'whole', names: ['count', 'fruit', 'fruits', 'number', 'pieces'] },
      {
        field: 'grams',
        label: 'Weight',
        holds: 'number',
        quantity: 'mass',
        digits: 0,
        names: ['grams', 'g', 'weight', 'kg', 'mass', 'lb', 'oz', 'yield'],
      },
      {
        field: 'state',
        label: 'State',
        holds: 'word',
        words: PICK_STATES,
        otherwise: 'sound',
        names: ['state', 'condition'],
      },
      { field: 'use', label: 'For', holds: 'word', words: PICK_USES, otherwise: 'eaten', names: ['use', 'for'] },
      {
        field: 'ripeness',
        label: 'Ripeness',
        holds: 'word',
        words: PICK_RIPENESS,
        names: ['ripeness', 'colour', 'color'],
      },
      because,
    ],
  },
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
} as const satisfies Record<string, { label: string; columns: readonly Column[] }>;

/** Name of a table that can be imported. */
export type TableName = keyof typeof TABLES;
/** Names of all tables that can be imported. */
export const TABLE_NAMES = Object.keys(TABLES) as TableName[];
/** Returns the columns of a table. */
export const columnsOf = (table: TableName): readonly TableColumn[] => TABLES[table].columns;
/** Returns whether a name is that of a table. */
export const isTable = (name: string): name is TableName => name in TABLES;
