import type { BalanceDay } from './run.js';

/**
 * Readings of a balance by which more than one part goes: drivers, bench, facts, marks on the garden and the timeline.
 * Limits: handbook judgement.
 */

/** Under this Ks a plant is short of water. */
export const SHORT_OF_WATER_KS = 0.8;
export const isShortOfWater = (d: Pick<BalanceDay, 'ks'>): boolean => d.ks < SHORT_OF_WATER_KS;
/** So many days short of water are a dry spell. */
export const DRY_SPELL_DAYS = 3;

/** Under this share of the available water left a place is dry, over the other it is ample. */
export const DRY_LEFT = 0.25;
export const AMPLE_LEFT = 0.5;
/** Under this share a plant hangs (judgement: what a drooping plant over dry soil tells, 0.1, with half of its error). */
export const HANGS_LEFT = 0.13;
/** From here on the store is full. */
export const FULL_LEFT = 0.97;

/** A rise of this share of the store is a swing; so many of them are uneven watering. */
export const SWING_SIZE = 0.5;
export const UNEVEN_SWINGS = 2;
/** Over-full on so many days, roots take up as little as dry ones. */
export const OVERFULL_DAYS = 5;

/** A rise from a dry low to a wet high: where the water went from one end of the store to the other. */
export interface Swing<D> {
  low: D;
  high: D;
}

/** Every rise of at least `size` (a share of the available water) from a low to the next high, in order. */
export function swings<D extends { fractionAvailable: number }>(days: readonly D[], size = SWING_SIZE): Swing<D>[] {
  const found: Swing<D>[] = [];
  let low = days[0];
  for (let i = 1; i < days.length; i++) {
    const day = days[i]!;
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

/** Does the day at `i` end a dry time with a jump that splits fruit? */
export function isDryThenWet(days: readonly { fractionAvailable: number }[], i: number): boolean {
  if (i < DRY_THEN_WET.dryDays) return false;
  for (let back = 1; back <= DRY_THEN_WET.dryDays; back++)
    if (days[i - back]!.fractionAvailable >= DRY_THEN_WET.left) return false;
  return days[i]!.fractionAvailable - days[i - 1]!.fractionAvailable >= DRY_THEN_WET.jump;
}
