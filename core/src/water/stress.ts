import type { BalanceDay } from './run.js';
import { at } from '../units/lists.js';

/**
 * Readings of a balance shared by drivers, bench, facts, and the marks on the garden and the timeline. Limits:
 * judgement.
 */

/** Below this Ks a plant is short of water. */
export const SHORT_OF_WATER_KS = 0.8;
/**
 * Returns whether a plant was short of water on a day: Ks below 0.8.
 * @example isShortOfWater({ ks: 0.7 }) // true
 */
export const isShortOfWater = (d: Pick<BalanceDay, 'ks'>): boolean => d.ks < SHORT_OF_WATER_KS;
/** Days short of water in a row that make a dry spell. */
export const DRY_SPELL_DAYS = 3;

/** Below the first share of its available water a bed or pot is dry, above the second it has plenty. */
export const DRY_LEFT = 0.25;
/** Share of available water from which it is ample. */
export const AMPLE_LEFT = 0.5;
/** Below this share a plant droops (judgement: what drooping over dry soil means, 0.1, plus half of its error). */
export const HANGS_LEFT = 0.13;
/** From this share on the store is full. */
export const FULL_LEFT = 0.97;

/** A rise of this share of the store is a swing; this many are uneven watering. */
export const SWING_SIZE = 0.5;
/** Swings between dry and wet from which watering counts as uneven. */
export const UNEVEN_SWINGS = 2;
/** Days waterlogged after which roots take up as little as dry ones. */
export const OVERFULL_DAYS = 5;

/** A rise from a dry low to a wet high. */
interface Swing<D> {
  low: D;
  high: D;
}

/** Returns every rise of at least `size` (a share of the available water) from a low to the next high, in order. */
export function swings<D extends { fractionAvailable: number }>(days: readonly D[], size = SWING_SIZE): Swing<D>[] {
  const found: Swing<D>[] = [];
  let low = days[0];
  for (let i = 1; i < days.length; i++) {
    const day = at(days, i);
    if (!low || day.fractionAvailable < low.fractionAvailable) {
      low = day;
      continue;
    }
    const next = days[i + 1];
    const peak = !next || next.fractionAvailable < day.fractionAvailable;
    if (peak && day.fractionAvailable - low.fractionAvailable >= size) found.push({ low, high: day });
    if (peak) low = next;
  }
  return found;
}

/** Fruit splits when a dry root zone fills at once: under half full for three days, then up by 0.35 or more in a day. */
export const DRY_THEN_WET = { dryDays: 3, left: 0.5, jump: 0.35 } as const;

/** Returns whether the day at `i` ends a dry time with a jump that splits fruit. */
export function isDryThenWet(days: readonly { fractionAvailable: number }[], i: number): boolean {
  if (i < DRY_THEN_WET.dryDays) return false;
  for (let back = 1; back <= DRY_THEN_WET.dryDays; back++)
    if (at(days, i - back).fractionAvailable >= DRY_THEN_WET.left) return false;
  return at(days, i).fractionAvailable - at(days, i - 1).fractionAvailable >= DRY_THEN_WET.jump;
}
