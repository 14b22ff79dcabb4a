import type { Spraying } from '../records/record-classes.js';
import { addDays, type Day } from '../units/day.js';
import type { Formatter } from '../units/formatter.js';
import { roundTo } from '../units/rounding.js';

/**
 * Copper metal that a soil may get in twelve months, g/m². It stays in the soil for good and harms earthworms. The EU
 * allows 28 kg/ha in seven years, 4 kg/ha a year on average (Regulation (EU) 2018/1981); many organic rules say the same
 * or less. The label and local rules decide.
 */
export const MOST_COPPER_G_PER_M2 = 0.4;
/** Days that count together. */
const COPPER_YEAR_DAYS = 365;

/**
 * Returns the copper metal of one spray, g: 0 for another spray; null if the batch, its strength or the metal is not
 * recorded.
 * @example copperGrams({ date: '2026-06-01', product: 'copper', perLitre: 4, batchL: 5, copperPct: 30 }) // 6
 */
export function copperGrams(s: Spraying): number | null {
  if (s.product !== 'copper') return 0;
  if (s.perLitre == null || s.batchL == null || s.copperPct == null) return null;
  return (s.perLitre * s.batchL * s.copperPct) / 100;
}

/** Copper metal of the twelve months up to a day. */
export interface CopperTotal {
  /** g in all sprays that name their amount */
  grams: number;
  /** copper sprays that do not */
  unknown: number;
  /** of the ground; null if its size is unknown */
  gPerM2: number | null;
}

/**
 * Returns the copper metal that a bed or pot got in the twelve months up to a day, this day included.
 * @param areaM2 of its ground; null if unknown
 * @example copperTotal([], 2, '2026-07-18') // { grams: 0, unknown: 0, gPerM2: 0 }
 */
export function copperTotal(sprays: readonly Spraying[], areaM2: number | null, on: Day): CopperTotal {
  const counted = sprays.filter((s) => s.date <= on && s.date > addDays(on, -COPPER_YEAR_DAYS)).map(copperGrams);
  const grams = counted.reduce<number>((sum, g) => sum + (g ?? 0), 0);
  return {
    grams,
    unknown: counted.filter((g) => g === null).length,
    gPerM2: areaM2 === null || areaM2 <= 0 ? null : grams / areaM2,
  };
}

/**
 * Returns copper on ground in the gardener's measure.
 */
export const copperOnGround = (gPerM2: number, f: Formatter): string =>
  `${roundTo(gPerM2 * f.per.ground.metric, 3)} g ${f.per.ground.words}`;
