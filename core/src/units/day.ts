/** A calendar day, `YYYY-MM-DD`, without a time zone; the caller decides which day it is there. */
export type Day = string;

const MS_PER_DAY = 86_400_000;
const SHAPE = /^\d{4}-\d{2}-\d{2}$/;
const MONTH_DAYS = [31, 29, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31] as const;
const isLeap = (year: number): boolean => (year % 4 === 0 && year % 100 !== 0) || year % 400 === 0;

/** Cache: a balance and its drivers ask for the same few hundred days a million times. */
const NUMBERS = new Map<Day, number>();
const DAYS = new Map<number, Day>();
const MOST_REMEMBERED = 20_000;

/**
 * Returns days since 1970-01-01, computed and cached (days from a civil date, H. Hinnant, public domain). Throws a
 * RangeError for a date that does not exist.
 * @example dayNumber('2000-01-01') // 10957
 */
export function dayNumber(day: Day): number {
  let n = NUMBERS.get(day);
  if (n === undefined) {
    n = compute(day);
    if (NUMBERS.size >= MOST_REMEMBERED) NUMBERS.clear();
    NUMBERS.set(day, n);
  }
  return n;
}

/** Computes it, without the cache. */
function compute(day: Day): number {
  const year = Number(day.slice(0, 4));
  const month = Number(day.slice(5, 7));
  const date = Number(day.slice(8));
  const most = month === 2 && !isLeap(year) ? 28 : (MONTH_DAYS[month - 1] ?? 0);
  if (!SHAPE.test(day) || date < 1 || date > most) throw new RangeError(`not a date: ${day}`);
  const y = month <= 2 ? year - 1 : year;
  const era = Math.floor(y / 400);
  const inYear = Math.floor((153 * (month + (month > 2 ? -3 : 9)) + 2) / 5) + date - 1;
  const yearOfEra = y - era * 400;
  return era * 146_097 + yearOfEra * 365 + Math.floor(yearOfEra / 4) - Math.floor(yearOfEra / 100) + inYear - 719_468;
}

/**
 * Returns the calendar day of a day number.
 * @example dayOf(10_957) // '2000-01-01'
 */
export function dayOf(n: number): Day {
  let day = DAYS.get(n);
  if (day === undefined) {
    day = new Date(n * MS_PER_DAY).toISOString().slice(0, 10);
    if (DAYS.size >= MOST_REMEMBERED) DAYS.clear();
    DAYS.set(n, day);
  }
  return day;
}

/**
 * Returns the day `n` days after (or, if negative, before) `day`.
 * @example addDays('2026-02-27', 2) // '2026-03-01'
 */
export const addDays = (day: Day, n: number): Day => dayOf(dayNumber(day) + n);

/**
 * Returns whole days from `from` to `to`; negative if `to` is earlier.
 * @example daysBetween('2026-03-01', '2026-04-01') // 31
 */
export const daysBetween = (from: Day, to: Day): number => dayNumber(to) - dayNumber(from);

/**
 * Returns true for an existing date written `YYYY-MM-DD` (31 April is not one).
 * @example isDay('2026-02-30') // false
 */
export function isDay(text: unknown): text is Day {
  if (typeof text !== 'string') return false;
  try {
    dayNumber(text);
    return true;
  } catch {
    return false;
  }
}

const DAYS_BEFORE = [0, 31, 59, 90, 120, 151, 181, 212, 243, 273, 304, 334] as const;

/**
 * Returns the day of the year, 1 to 366 (J in FAO-56).
 * @example dayOfYear('2026-12-31') // 365
 */
export function dayOfYear(day: Day): number {
  const month = Number(day.slice(5, 7));
  const before = DAYS_BEFORE[month - 1];
  if (before === undefined) throw new RangeError(`not a date: ${day}`);
  return before + Number(day.slice(8)) + (month > 2 && isLeap(Number(day.slice(0, 4))) ? 1 : 0);
}
