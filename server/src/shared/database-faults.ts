/** The type of database trouble, from the driver's codes, never its words. */
export type DatabaseTrouble = 'away' | 'full' | 'duplicate' | 'collision' | 'refused';

const AWAY = new Set([
  'ECONNREFUSED',
  'ECONNRESET',
  'EPIPE',
  'ETIMEDOUT',
  'ENOENT',
  'PROTOCOL_CONNECTION_LOST',
  'PROTOCOL_ENQUEUE_AFTER_FATAL_ERROR',
  'PROTOCOL_ENQUEUE_AFTER_QUIT',
  'PROTOCOL_SEQUENCE_TIMEOUT',
  'POOL_CLOSED',
  'ER_SERVER_SHUTDOWN',
  'ER_CON_COUNT_ERROR',
  'ER_QUERY_INTERRUPTED',
  'ER_CONNECTION_KILLED',
  'ER_OPTION_PREVENTS_STATEMENT', // read-only during maintenance
]);
const FULL = new Set(['ER_DISK_FULL', 'ER_RECORD_FILE_FULL', 'ER_ERROR_ON_WRITE', 'ER_OUT_OF_RESOURCES', 'ENOSPC']);
const COLLISION = new Set(['ER_LOCK_DEADLOCK', 'ER_LOCK_WAIT_TIMEOUT', 'ER_CHECKREAD']);
/** The value itself can't be stored: a fault of the sender that no class found. */
const REFUSED = new Set([
  'ER_DATA_TOO_LONG',
  'ER_TRUNCATED_WRONG_VALUE',
  'ER_TRUNCATED_WRONG_VALUE_FOR_FIELD',
  'ER_WARN_DATA_OUT_OF_RANGE',
  'WARN_DATA_TRUNCATED',
  'ER_BAD_NULL_ERROR',
  'ER_CONSTRAINT_FAILED',
  'ER_NO_REFERENCED_ROW_2',
]);

interface Coded {
  code?: unknown;
  message?: unknown;
  driverError?: Coded;
  cause?: unknown;
  errors?: Coded[];
}

/** Returns the trouble of an error; null if it is not from the database. */
export function databaseTrouble(error: unknown): DatabaseTrouble | null {
  const e = error as Coded | null | undefined;
  if (e === null || typeof e !== 'object') return null;
  const code = codeOf(e);
  if (AWAY.has(code) || isClosed(e)) return 'away';
  if (FULL.has(code)) return 'full';
  if (code === 'ER_DUP_ENTRY') return 'duplicate';
  if (COLLISION.has(code)) return 'collision';
  if (REFUSED.has(code)) return 'refused';
  return null;
}

/** Returns the driver's error code, however deep it is wrapped; empty if there is none. */
export const codeOf = (e: Coded): string =>
  [e.code, e.driverError?.code, (e.cause as Coded | undefined)?.code, e.errors?.[0]?.code].find(
    (c) => typeof c === 'string',
  ) ?? '';

/** The driver has no code for these. */
const isClosed = (e: Coded): boolean =>
  /^(Pool is closed\.?|Can't add new command when connection is in closed state|Connection lost)/.test(
    [e.driverError?.message, e.message].find((text) => typeof text === 'string') ?? '',
  );
