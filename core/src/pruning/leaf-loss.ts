import type { Pruning } from '../records/record-classes.js';

/** Share of leaves cut within two weeks that exposes fruit to the sun, % (common practice). */
export const LEAF_LOSS_PCT = 25;
/** Days over which cut leaves add up. */
export const LEAF_LOSS_WITHIN_DAYS = 14;
/** More cuts than this in two weeks, or this share at once, are a setback (judgement). */
export const MOST_CUTS = 8;
/** Largest share of leaves to remove within those days, %. */
export const MOST_SHARE_PCT = 30;

/**
 * Returns the share of leaves that several cuts removed together, %: each takes its share of what was left.
 * @example leafLostPct([{ leafSharePct: 20 }, { leafSharePct: 20 }]) // 36
 */
export const leafLostPct = (cuts: readonly Pick<Pruning, 'leafSharePct'>[]): number =>
  100 * (1 - cuts.reduce((left, cut) => left * (1 - (cut.leafSharePct ?? 0) / 100), 1));
