import type { WeatherDay } from '../climate/gaps.js';
import type { Day } from '../units/day.js';
import { leafWetness } from './humid-hours.js';

/**
 * Disease severity values of a day for early blight, septoria and anthracnose of tomato, 0 to 4, by hours of leaf
 * wetness and the mean temperature of those hours: TOM-CAST (Pitblado 1992), after FAST (Madden, Pennypacker & MacNab
 * 1978). Each row: up to this temperature, and the hours from which a day counts 1, 2, 3 and 4. From memory.
 */
const SEVERITY: readonly (readonly [belowC: number, hours: readonly number[]])[] = [
  [18, [7, 16, 21]],
  [21, [4, 9, 16, 23]],
  [26, [3, 6, 13, 21]],
  [30, [4, 9, 16, 23]],
];
const COLDEST_C = 13;

/**
 * Returns the severity value of a day.
 * @param hours of wet leaves, 0 to 24
 * @param meanC mean temperature of those hours
 * @example severityValue(10, 22) // 2
 */
export function severityValue(hours: number, meanC: number): number {
  if (meanC < COLDEST_C) return 0;
  const row = SEVERITY.find(([belowC]) => meanC < belowC);
  return row ? row[1].filter((from) => hours >= from).length : 0;
}

/**
 * Severity values from planting on at which leaf disease is due first, and after which it is due again: growers that
 * follow the forecast act at 35, then every 20 (Pitblado 1992, from memory; the cautious begin at 25).
 */
export const SEVERITY_DUE = { first: 35, then: 20 } as const;

/** A day on which the sum of severity values passes the next threshold. */
export interface SeverityDue {
  on: Day;
  /** sum since planting, and what the week itself adds */
  sum: number;
  added: number;
}

/**
 * Returns the first day after `today` on which the sum since planting passes the next threshold; null if none does.
 * @param days weather where the leaves are, from planting on, with the days ahead; oldest first
 */
export function severityDue(days: readonly WeatherDay[], today: Day): SeverityDue | null {
  let sum = 0;
  let before = 0;
  for (const w of days) {
    const { hours, meanC } = leafWetness(w);
    const was = sum;
    sum += meanC === null ? 0 : severityValue(hours, meanC);
    if (w.date <= today) before = sum;
    else if (passes(was, sum)) return { on: w.date, sum, added: sum - before };
  }
  return null;
}

/** True if a sum passes 35, or 35 and a multiple of 20 more. */
function passes(was: number, now: number): boolean {
  const reached = (sum: number): number =>
    sum < SEVERITY_DUE.first ? 0 : 1 + Math.floor((sum - SEVERITY_DUE.first) / SEVERITY_DUE.then);
  return reached(now) > reached(was);
}
