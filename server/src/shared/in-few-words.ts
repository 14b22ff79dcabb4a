import { codeOf } from './database-faults.js';

/** Returns type and place of an internal error, without its content. */
export function inFewWords(error: unknown): string {
  if (!(error instanceof Error)) return `something that is not an error was thrown (${typeof error})`;
  const where = (error.stack ?? '').split('\n').filter((line) => /^\s+at /.test(line));
  const code = codeOf(error);
  const ofStatement = 'sql' in error || 'query' in error || 'driverError' in error;
  return [
    `${error.name}${code ? ` ${code}` : ''}${ofStatement ? '' : `: ${error.message.split('\n')[0] ?? ''}`}`,
    ...where,
  ].join('\n');
}
