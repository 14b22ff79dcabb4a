import {
  DATE_ORDERS,
  isTable,
  TABLE_NAMES,
  typeOfTable,
  type DateOrder,
  type Decimal,
  type Reading,
  type TableName,
} from '@candid-leaf/core/tables';
import { OneLine, IsListOf } from '@candid-leaf/core/records';
import { IsBoolean, IsIn, IsInt, IsOptional, IsString, Max, MaxLength, Min, MinLength } from 'class-validator';

/** Cell separators of a file. */
export const DELIMITERS = [',', ';', '\t', '|'] as const;
/** Separator of the columns in a CSV file. */
export type Delimiter = (typeof DELIMITERS)[number];
/** Most columns of a file. */
export const MOST_COLUMNS = 200;

class ColumnChoice {
  @IsString()
  @MaxLength(40)
  field: string;

  @IsInt()
  @Min(0)
  @Max(MOST_COLUMNS - 1)
  at: number;

  @IsOptional()
  @IsString()
  @MaxLength(20)
  unit?: string;
}

/** How to import a file. It is sent in the address, as JSON; the file itself is the body. */
export class ImportPlan implements Reading {
  @IsIn(TABLE_NAMES)
  table: TableName;

  @IsIn(DELIMITERS)
  delimiter: Delimiter;

  @IsListOf(() => ColumnChoice, { most: MOST_COLUMNS })
  columns: ColumnChoice[];

  @IsIn(DATE_ORDERS)
  dateOrder: DateOrder;

  @IsIn(['.', ','])
  decimal: Decimal;

  /** its name, for the list of imports */
  @IsString()
  @OneLine()
  @MinLength(1, { message: 'must not be empty' })
  @MaxLength(120)
  name: string;

  /** checks only, and changes nothing */
  @IsOptional()
  @IsBoolean()
  dry?: boolean;

  /** rows with errors are skipped; otherwise one such row rejects the whole file */
  @IsOptional()
  @IsBoolean()
  skipFaulty?: boolean;
}

/** The start of a file, and what it seems to be. */
export interface FilePreview extends Reading {
  table: TableName;
  delimiter: Delimiter;
  /** a date that can be read two ways: the gardener is asked; null if it is clear */
  unclearDay: string | null;
  heads: string[];
  rows: string[][];
}

interface RowFault {
  /** line of the file, from 1 */
  line: number;
  /** field of the table; empty: the row itself */
  field: string;
  reason: string;
}

/** What an import did, or would do. */
export interface ImportReport {
  /** rows read */
  rows: number;
  /** rows imported, or importable */
  good: number;
  /** days of weather that were known already and stay as they are */
  known: number;
  faulty: number;
  /** the first errors */
  faults: RowFault[];
}

/** State of an import; `stopped`: the server ended while it ran. */
export type ImportState = 'running' | 'done' | 'refused' | 'cancelled' | 'stopped';

/** An import as a job: it goes on when the page that began it is closed. */
export interface ImportJobDto {
  id: string;
  /** the file's name */
  name: string;
  table: TableName;
  /** checks only */
  dry: boolean;
  state: ImportState;
  /** rows read so far */
  rows: number;
  /** once it is done, or refused for its rows */
  report: ImportReport | null;
  /** why nothing was imported */
  message: string | null;
}

/** Why a row stays when its import is undone. */
export type ChangedWhy = 'edited' | 'records' | 'photos' | 'treated';

/** A row changed since its import. */
export interface ChangedRow {
  /** of its plant or bed; null for a record */
  name: string | null;
  day: string | null;
  why: ChangedWhy;
}

/** What undoing an import would do. */
export interface ImportUndoPreview {
  /** rows that were imported */
  rows: number;
  /** rows changed since, the first of them; they stay */
  changed: ChangedRow[];
  /** further changed rows */
  more: number;
}

/** How to undo an import. */
export class UndoOf {
  /** what becomes of rows that were only edited since: kept if left out */
  @IsOptional()
  @IsIn(['keep', 'remove'])
  edited?: 'keep' | 'remove';
}

/** What undoing an import did. */
export interface ImportUndone {
  /** rows changed since, which stayed */
  kept: number;
}

/** An import of the past, which can be undone. */
export interface ImportDto {
  id: string;
  table: TableName;
  name: string;
  made: number;
  at: string;
  by: string;
  undone: boolean;
}

/** Tables that can be exported, each as one CSV file. */
export const EXPORTS = [
  'places',
  'plants',
  'waterings',
  'timers',
  'soil-checks',
  'soil-temperatures',
  'pot-weights',
  'rain-gauge',
  'weather',
  'feeds',
  'cuts',
  'sprays',
  'harvest',
  'looks',
  'truss-counts',
  'growth',
  'events',
  'companions',
  'covers',
  'supports',
  'notes',
  'treatments',
  'plantings',
  'varieties',
  'products',
  'trials',
  'photos',
] as const;
/** Name of a table that can be exported. */
export type ExportName = (typeof EXPORTS)[number];

/** Files named otherwise than the table of the import. */
const TABLE_OF: Partial<Record<ExportName, TableName>> = { waterings: 'watering', feeds: 'feeding' };

/**
 * Returns the table an exported file can be imported as: that of a type of record, or of weather. Other files leave as
 * they are stored.
 * @example tableOfExport('feeds') // 'feeding'
 */
export function tableOfExport(name: ExportName): TableName | undefined {
  const table = TABLE_OF[name] ?? name;
  return isTable(table) && (table === 'weather' || typeOfTable(table)) ? table : undefined;
}

/** Bytes of its start needed to tell what a file is. */
export const BEGINNING_BYTES = 60_000;
/** Largest accepted files, bytes. */
export const IMPORT_BYTES = { table: 64_000_000, garden: 1_000_000_000 } as const;
/** Most rows in one import. */
export const MOST_ROWS = 200_000;
