import { TOO_HOT_FOR_CARE_C } from '../climate/limits.js';
import type { Spraying } from '../records/record-classes.js';

/** Code of a spray. */
export type SprayCode = Spraying['product'];

/** Products that burn leaves in heat, and from which temperature on (judgement). */
const BURNING: ReadonlySet<SprayCode> = new Set(['neem', 'soap', 'bicarbonate', 'copper', 'sulfur', 'other']);
/** Temperature from which sprays burn leaves, °C. */
export const BURNS_FROM_C = TOO_HOT_FOR_CARE_C;
/**
 * Returns whether a spray burns leaves in heat.
 * @example burnsInHeat('sulfur') // true
 */
export const burnsInHeat = (product: SprayCode): boolean => BURNING.has(product);

/** Sprays go on when the sun has left the leaves: nearly halfway from the day's warmest to its coldest (judgement). */
const EVENING_SHARE = 0.45;
/** From here on oils, soaps and the like burn even in the evening, °C (judgement; labels say about 27 to 32 °C). */
export const EVENING_LIMIT_C = 27;
/**
 * Returns the temperature in the evening, °C, from the day's extremes.
 * @example eveningC({ tMinC: 15, tMaxC: 30 }) // 23.25
 */
export const eveningC = (day: { tMinC: number; tMaxC: number }): number =>
  day.tMaxC - EVENING_SHARE * (day.tMaxC - day.tMinC);

/** Wind that carries a spray away, m/s (common practice). A daily mean; mornings and evenings are calmer still. */
export const MOST_WIND_MS = 4;
/** Rain within a day that washes a spray off, mm (judgement). */
export const WASHED_OFF_MM = 2;
/** Days until a leaf test is checked: 24 hours (common practice). */
export const TRIAL_DAYS = 1;
/** Days a leaf test of this season stays valid; new leaves are softer (judgement). */
export const TRIAL_LASTS_DAYS = 30;

/**
 * Pairs that burn together, in either order, and the days between them (common practice: oil within 14 to 30 days of
 * sulfur; the longer).
 */
const SPRAY_CONFLICTS: readonly { pair: readonly [SprayCode, SprayCode]; days: number; because: string }[] = [
  { pair: ['neem', 'sulfur'], days: 30, because: 'oil and sulfur together burn leaves' },
  { pair: ['neem', 'soap'], days: 3, because: 'oil and soap together burn leaves' },
  { pair: ['copper', 'bicarbonate'], days: 7, because: 'copper and bicarbonate do not mix' },
];

/**
 * Returns the conflict of two sprays, or undefined if they may follow each other.
 * @example conflictOf('neem', 'sulfur')?.days // 30
 */
export const conflictOf = (a: SprayCode, b: SprayCode): (typeof SPRAY_CONFLICTS)[number] | undefined =>
  SPRAY_CONFLICTS.find(({ pair }) => pair.includes(a) && pair.includes(b) && a !== b);
