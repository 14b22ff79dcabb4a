import { isDay, type Day } from '../units/day.js';

/** In which order day, month and year stand where a date is not written as YYYY-MM-DD. */
export const DATE_ORDERS = ['ymd', 'dmy', 'mdy'] as const;
export type DateOrder = (typeof DATE_ORDERS)[number];

const padded = (n: string): string => n.padStart(2, '0');
/** Two figures of a year: of this century up to 69, as common programs read them (POSIX strptime, %y). */
const fullYear = (y: string): string => (y.length === 2 ? `${Number(y) < 69 ? '20' : '19'}${y}` : y);

/** A day as it stands in a cell, with or without a time after it; null: it is none. */
export function readDay(text: string, order: DateOrder): Day | null {
  const parts =
    /^(\d{1,4})[-./ ](\d{1,2})[-./ ](\d{1,4})(?:[T ,].*)?$/.exec(text) ?? /^(\d{4})(\d{2})(\d{2})$/.exec(text);
  if (!parts) return null;
  const [, a = '', b = '', c = ''] = parts;
  const [y, m, d] = a.length === 4 ? [a, b, c] : order === 'mdy' ? [c, a, b] : order === 'dmy' ? [c, b, a] : [a, b, c];
  const day = `${fullYear(y)}-${padded(m)}-${padded(d)}`;
  return isDay(day) ? day : null;
}

/** The order that all samples bear; where several do, the first of: year, day, month first. */
export function guessDateOrder(samples: readonly string[]): DateOrder {
  const given = samples.filter((s) => s !== '');
  return DATE_ORDERS.find((order) => given.every((s) => readDay(s, order) !== null)) ?? 'ymd';
}

export type Decimal = '.' | ',';

/** A number as it stands in a cell; null: it is none. Thousands may be kept apart by the other mark, a blank or an apostrophe. */
export function readNumber(text: string, decimal: Decimal): number | null {
  const [, sign = '', digits = '', power = '0'] =
    /^([-+\u2212]?)([\d.,'\u00a0\u202f ]*\d[.,]?|[.,]\d+)(?:e([-+]?\d+))?$/i.exec(text) ?? [];
  const [before = '', after = '', ...more] = digits.split(decimal);
  if (digits === '' || more.length > 0 || /\D/.test(after)) return null;
  const groups = before.split(decimal === '.' ? /[,'\u00a0\u202f ]/ : /[.'\u00a0\u202f ]/);
  const grouped = groups.length > 1;
  if (grouped && !(/^\d{1,3}$/.test(groups[0]!) && groups.slice(1).every((g) => /^\d{3}$/.test(g)))) return null;
  if (!grouped && /\D/.test(before)) return null;
  const value = Number(`${groups.join('') || '0'}.${after || '0'}e${power}`);
  return Number.isFinite(value) ? (sign === '-' || sign === '\u2212' ? -value : value) : null;
}

/** The mark of decimals that more samples bear; a point where both do. */
export function guessDecimal(samples: readonly string[]): Decimal {
  const bears = (d: Decimal): number => samples.filter((s) => readNumber(s, d) !== null).length;
  // "1,5" is fifteen hundred to nobody: a comma before one or two figures at the end is a decimal one
  const commas = samples.filter((s) => /^[-+\u2212]?\d+,\d{1,2}$/.test(s)).length;
  const points = samples.filter((s) => /^[-+\u2212]?\d+\.\d+$/.test(s)).length;
  if (commas !== points) return commas > points ? ',' : '.';
  return bears(',') > bears('.') ? ',' : '.';
}

/** A cell as somebody meant it: a sign that was put before it so that no program takes it for a formula is taken off. */
export const plainCell = (text: string): string => text.trim().replace(/^'(?=[=+\-@\t\r\uff1d\uff0b\uff0d\uff20])/, '');
