import { isDay, type Day } from '../units/day.js';
import { first } from '../units/lists.js';

/** The order of day, month and year in dates not written as YYYY-MM-DD. */
export const DATE_ORDERS = ['ymd', 'dmy', 'mdy'] as const;
/** Order of day, month and year in a file. */
export type DateOrder = (typeof DATE_ORDERS)[number];

const padded = (n: string): string => n.padStart(2, '0');
/** Two-digit years: this century up to 69, as common programs read them (POSIX strptime, %y). */
const fullYear = (y: string): string => (y.length === 2 ? `${Number(y) < 69 ? '20' : '19'}${y}` : y);

/** Reads a date from a cell, with or without a time; null if it is none. */
export function readDay(text: string, order: DateOrder): Day | null {
  const parts =
    /^(\d{1,4})[-./ ](\d{1,2})[-./ ](\d{1,4})(?:[T ,].*)?$/.exec(text) ?? /^(\d{4})(\d{2})(\d{2})$/.exec(text);
  if (!parts) return null;
  const [, a = '', b = '', c = ''] = parts;
  const [y, m, d] = a.length === 4 ? [a, b, c] : order === 'mdy' ? [c, a, b] : order === 'dmy' ? [c, b, a] : [a, b, c];
  const day = `${fullYear(y)}-${padded(m)}-${padded(d)}`;
  return isDay(day) ? day : null;
}

/** Returns the order that fits all samples; if several do, the first of: year, day, month first. */
export function guessDateOrder(samples: readonly string[]): DateOrder {
  const given = samples.filter((s) => s !== '');
  return DATE_ORDERS.find((order) => given.every((s) => readDay(s, order) !== null)) ?? 'ymd';
}

/**
 * Returns a date that can be read two ways, if nothing in the samples tells which is meant: "03/04/2026" is a day in April
 * or in March. Null if it is clear.
 * @example unclearDay(['03/04/2026', '25/04/2026']) // null
 */
export function unclearDay(samples: readonly string[]): string | null {
  const given = samples.filter((s) => s !== '');
  if (!(['dmy', 'mdy'] as const).every((order) => given.every((s) => readDay(s, order) !== null))) return null;
  return given.find((s) => readDay(s, 'dmy') !== readDay(s, 'mdy')) ?? null;
}

/** Decimal sign of a file. */
export type Decimal = '.' | ',';

/**
 * Reads a number from a cell; null if it is none. Thousands may be separated by the other mark, a space or an
 * apostrophe.
 */
export function readNumber(text: string, decimal: Decimal): number | null {
  const [, sign = '', digits = '', power = '0'] =
    /^([-+\u2212]?)([\d.,'\u00a0\u202f ]*\d[.,]?|[.,]\d+)(?:e([-+]?\d+))?$/i.exec(text) ?? [];
  const [before = '', after = '', ...more] = digits.split(decimal);
  if (digits === '' || more.length > 0 || /\D/.test(after)) return null;
  const groups = before.split(decimal === '.' ? /[,'\u00a0\u202f ]/ : /[.'\u00a0\u202f ]/);
  const grouped = groups.length > 1;
  if (grouped && !(/^\d{1,3}$/.test(first(groups)) && groups.slice(1).every((g) => /^\d{3}$/.test(g)))) return null;
  if (!grouped && /\D/.test(before)) return null;
  const value = Number(`${groups.join('') || '0'}.${after || '0'}e${power}`);
  return Number.isFinite(value) ? (sign === '-' || sign === '\u2212' ? -value : value) : null;
}

/** Returns the decimal mark that fits more samples; a point if both do. */
export function guessDecimal(samples: readonly string[]): Decimal {
  const bears = (d: Decimal): number => samples.filter((s) => readNumber(s, d) !== null).length;
  // "1,5" is never fifteen hundred: a comma before one or two final digits is a decimal comma
  const commas = samples.filter((s) => /^[-+\u2212]?\d+,\d{1,2}$/.test(s)).length;
  const points = samples.filter((s) => /^[-+\u2212]?\d+\.\d+$/.test(s)).length;
  if (commas !== points) return commas > points ? ',' : '.';
  return bears(',') > bears('.') ? ',' : '.';
}

/** Removes a mark that was put before a cell so that no program reads it as a formula. */
export const plainCell = (text: string): string => text.trim().replace(/^'(?=[=+\-@\t\r\uff1d\uff0b\uff0d\uff20])/, '');
