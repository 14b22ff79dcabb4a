import type { Pruning } from '../records/record-classes.js';

/** So much of the leaf cut within a fortnight lays fruit bare to the sun, percent (handbook). */
export const LEAF_LOSS_PCT = 25;
export const LEAF_LOSS_WITHIN_DAYS = 14;
/** More cuts than this in a fortnight, or this share at once, are a setback (judgement). */
export const MOST_CUTS = 8;
export const MOST_SHARE_PCT = 30;

/** Share of the leaf that several cuts took together, percent: each takes its share of what the one before left. */
export const leafLostPct = (cuts: readonly Pick<Pruning, 'leafSharePct'>[]): number =>
  100 * (1 - cuts.reduce((left, cut) => left * (1 - (cut.leafSharePct ?? 0) / 100), 1));
