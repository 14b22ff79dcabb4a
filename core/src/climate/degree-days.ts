import { type Day, daysBetween } from '../units/day.js';

// Degree days: accumulated warmth that drives how fast a warm-climate crop develops.

/**
 * Base temperature of development, °C. Fruit took 95, 65, 46 and 42 days from flower to ripe at 14, 18, 22 and 26 °C
 * (Adams, Cockshull & Cave 2001, Annals of Botany 88: 869–877, from memory): a straight line through these rates ends
 * near 6 °C. The base of 10 °C of many tables makes cool gardens look far too slow.
 */
export const BASE_C = 6;
/** Upper cut-off: more warmth speeds nothing, °C (judgement; flowers fail from 32 °C on, common practice). */
const CEILING_C = 30;

/**
 * Degree days of a usual day in the weeks for which packets count, °C·d: a mean of about 23 °C over the base of 6 °C
 * (judgement).
 */
export const USUAL_DEGREE_DAYS = 17;

interface DegreeDayRule {
  /** °C */
  base: number;
  /** temperatures above it count as this, °C; none: no upper cut-off */
  ceiling?: number;
  /**
   * nights below the base count as the base ("method 2"); otherwise only a whole day below it counts as zero ("method
   * 1")
   */
  raiseNights?: boolean;
}

const CROP_RULE: DegreeDayRule = { base: BASE_C, ceiling: CEILING_C, raiseNights: true };

/**
 * Returns the degree days of one day by the averaging method, °C·d, with and without cut-offs (McMaster & Wilhelm
 * 1997, Agricultural and Forest Meteorology 87: 291–300, methods 1 and 2).
 * @example degreeDays({ tMinC: 12, tMaxC: 26 }) // 13
 */
export function degreeDays(w: { tMinC: number; tMaxC: number }, rule: DegreeDayRule = CROP_RULE): number {
  const cut = (t: number): number => {
    const top = rule.ceiling === undefined ? t : Math.min(t, rule.ceiling);
    return rule.raiseNights ? Math.max(top, rule.base) : top;
  };
  return Math.max(0, (cut(w.tMaxC) + cut(w.tMinC)) / 2 - rule.base);
}

/**
 * Returns the degree-day sum from `from` through `to`, °C·d; days without weather count as the mean of the others.
 * Null if there are none.
 */
export function degreeDaySum(
  weather: readonly { date: Day; tMinC: number; tMaxC: number }[],
  from: Day,
  to: Day,
  rule: DegreeDayRule = CROP_RULE,
): number | null {
  const own = weather.filter((w) => w.date >= from && w.date <= to);
  if (own.length === 0) return null;
  const sum = own.reduce((t, w) => t + degreeDays(w, rule), 0);
  return sum + (sum / own.length) * Math.max(0, daysBetween(from, to) + 1 - own.length);
}
