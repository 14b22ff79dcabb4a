import { at, first, last } from '../units/lists.js';
/** A day of the year, MM-DD. */
type MonthDay = string;

/** The usual last frost of spring and first frost of autumn; null: frost is not usual here. */
interface UsualFrosts {
  lastFrost: MonthDay;
  firstFrost: MonthDay;
}

/**
 * Frost days of lowland by latitude in the north, as days of a common year. Judgement after the usual maps of frost
 * dates (from memory): they vary by two or three weeks inland and by the sea, so the result is a suggestion and is
 * called "about".
 */
const LOW_LAND: readonly (readonly [latitude: number, last: number, first: number])[] = [
  [28, 32, 355],
  [30, 56, 335],
  [35, 82, 316],
  [40, 103, 299],
  [45, 116, 290],
  [50, 126, 284],
  [55, 136, 274],
  [60, 147, 262],
  [66, 160, 244],
];
/** Closer to the equator than this, frost depends on height alone. */
const FROST_FROM = first(LOW_LAND)[0];
/** No frost below this height near the equator, m (judgement). */
const TROPIC_FROST_M = 2000;
/**
 * Days that spring comes later and autumn earlier per 100 m of height. Hopkins's law gives 4 days per 400 feet, 3.3
 * per 100 m (Hopkins 1918, "Periodical events and natural law as guides to agricultural research and practice"); high
 * plains lag less (1 to 1.5). Most high gardens lie on plains or in valleys, so this is between the two.
 */
const DAYS_PER_100_M = 2;
/** Shortest summer that is suggested, days. */
const LEAST_SUMMER_DAYS = 30;
const YEAR = 365;
/** Offset for the southern hemisphere: half a year, days. */
const SOUTH = 182;

const monthDay = (dayOfYear: number): MonthDay => {
  const at = new Date(Date.UTC(2025, 0, 1 + ((((dayOfYear - 1) % YEAR) + YEAR) % YEAR)));
  return at.toISOString().slice(5, 10);
};

/**
 * Suggests frost days for a place without records.
 * @param latitude degrees, south is negative
 * @param elevationM metres above the sea
 * @returns null if frost is not usual; never for a place that is too cold
 * @example usualFrosts(48, 200) // { lastFrost: '05-06', firstFrost: '10-09' }
 */
export function usualFrosts(latitude: number, elevationM: number): UsualFrosts | null {
  const lat = Math.abs(latitude);
  if (lat < FROST_FROM && elevationM < TROPIC_FROST_M) return null;
  const above = LOW_LAND.findIndex(([l]) => l >= lat);
  const [b, a] =
    above < 0 ? [last(LOW_LAND), last(LOW_LAND)] : [at(LOW_LAND, above), at(LOW_LAND, Math.max(0, above - 1))];
  const share = b[0] === a[0] ? 0 : (lat - a[0]) / (b[0] - a[0]);
  const up = (DAYS_PER_100_M * elevationM) / 100;
  const spring = a[1] + share * (b[1] - a[1]) + up;
  const autumn = a[2] + share * (b[2] - a[2]) - up;
  // a place with hardly any summer still has frost: suggest a month without it, around midsummer
  const short = Math.max(0, LEAST_SUMMER_DAYS - (autumn - spring)) / 2;
  const lastDay = Math.round(spring - short);
  const firstDay = Math.round(autumn + short);
  const shift = latitude < 0 ? SOUTH : 0;
  return { lastFrost: monthDay(lastDay + shift), firstFrost: monthDay(firstDay + shift) };
}
