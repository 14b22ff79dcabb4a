import type { Crop, GrowthHabit, Stage } from '../records/plant.js';
import type { SUPPORTS } from '../records/choices.js';
import { outgrewCage } from './methods.js';
import { addDays, type Day, daysBetween } from '../units/day.js';

/** What the shed has to support and cover plants. */
export interface Stock {
  clothM2?: number | null;
  covers?: number | null;
  cages?: number | null;
  stakes?: number | null;
  canes?: number | null;
  stringM?: number | null;
  ties?: number | null;
  /** what a cage, a stake, the mesh of a cylinder and a roll of string cost, and the string on a roll, m */
  priceCage?: number | null;
  priceStake?: number | null;
  priceMesh?: number | null;
  priceString?: number | null;
  rollM?: number | null;
  /** rain barrel: what it holds, the roof that fills it, and what was in it on a day */
  barrelL?: number | null;
  roofM2?: number | null;
  barrelSeenL?: number | null;
  barrelSeenOn?: Day | null;
}

/**
 * Common practice: cordons on string, stake or mesh of 1.8 m and more; bushes in a cage or on a short stake; peppers
 * in a small cage or on a stake before fruit gets heavy.
 */
export type SupportKind = 'string' | 'stake' | 'cage' | 'small-cage' | 'small-stake';
/** Height of a full cordon, m. */
export const CORDON_M = 1.8;
const BUSH_STAKE_M = 1.2;
const PEPPER_STAKE_M = 0.8;
/** Length in the ground, and extra for loops round the stem (judgement: a spade's depth; half as long again), m. */
const IN_GROUND_M = 0.3;
/** String for a metre of stem, m. */
export const STRING_SHARE = 1.3;
/** Distance between ties: every 20 to 25 cm, or weekly (common practice). */
const TIE_EVERY_M = 0.22;
const TIE_EVERY_DAYS = 7;
/** String per tie for a loop with room to grow, m (judgement). */
const TIE_STRING_M = 0.3;
const LEAST_TIED_M = 0.35;
const WIND_AHEAD_DAYS = 3;

/** What support depends on. Heights in m. */
export interface SupportQuestion {
  today: Day;
  crop: Crop;
  habit: GrowthHabit | null;
  stage: Stage | null;
  heightM: number | null;
  isPot: boolean;
  /** day it was last staked or tied; null if not recorded */
  tiedOn: Day | null;
  /** nothing recorded means not tied yet, not unknown */
  untied?: boolean;
  /** a tie cuts in, as seen */
  tieCuts: boolean;
  /** next forecast day of strong wind */
  windOn: Day | null;
  stock: Stock;
  /** what holds it up, if that is recorded */
  standing?: (typeof SUPPORTS)[number];
}

/** The support a plant needs, and what is due. */
export interface SupportPlan {
  kind: SupportKind;
  /** why this one: it fits best, or it is in stock */
  because: 'fits' | 'in-stock' | 'stands';
  /** of the stake or cane, or of the string, m */
  lengthM: number;
  /** ties it needs at its height */
  ties: number;
  tieStringM: number;
  /** when to tie next; null for a bush in its cage, and for small plants */
  tieOn: Day | null;
  reTie: boolean;
  /** it has outgrown its cage: a stake beside it */
  extraStake: boolean;
  /** it has outgrown its string: lower it and lean the stem, so the top stays in reach */
  lower: boolean;
  /** check it before this windy day, whatever holds it; anchor a pot */
  checkBefore: Day | null;
  anchor: boolean;
}

/** Returns the support that fits a plant, from what is in stock first, and whether a tie is due. */
export function supportPlan(q: SupportQuestion): SupportPlan {
  const { kind, because } = kindFor(q);
  const cordon = kind === 'string' || (kind === 'stake' && q.habit !== 'determinate');
  const lengthM =
    kind === 'string'
      ? CORDON_M * STRING_SHARE
      : kind === 'stake'
        ? (cordon ? CORDON_M : BUSH_STAKE_M) + IN_GROUND_M
        : kind === 'small-stake'
          ? PEPPER_STAKE_M + IN_GROUND_M
          : 0;
  const height = q.heightM ?? 0;
  const ties = lengthM > 0 && height >= LEAST_TIED_M ? Math.max(1, Math.floor(height / TIE_EVERY_M)) : 0;
  // wind takes hold of whatever stands above the ground, caged and bush plants too
  const checks =
    q.windOn !== null && daysBetween(q.today, q.windOn) <= WIND_AHEAD_DAYS && (q.isPot || height >= LEAST_TIED_M);
  return {
    kind,
    because,
    lengthM,
    ties,
    tieStringM: ties * TIE_STRING_M,
    // a cordon bends as it grows: weekly. If nobody knows whether it was tied, nothing is ordered: Today asks
    tieOn: q.tieCuts
      ? q.today
      : cordon && ties > 0 && q.stage !== 'late'
        ? q.tiedOn === null
          ? q.untied
            ? q.today
            : null
          : addDays(q.tiedOn, TIE_EVERY_DAYS)
        : null,
    reTie: q.tieCuts,
    extraStake: outgrewCage(q.standing, q.heightM),
    lower: kind === 'string' && height >= CORDON_M,
    checkBefore: checks ? q.windOn : null,
    anchor: checks && q.isPot,
  };
}

/** Returns the support to plan for what stands there: a panel is tied to like a string, a weave holds like stakes. */
function standingAs(standing: (typeof SUPPORTS)[number], crop: Crop): SupportKind {
  if (standing === 'cage' || standing === 'cylinder') return crop === 'pepper' ? 'small-cage' : 'cage';
  if (standing === 'stake' || standing === 'weave') return crop === 'pepper' ? 'small-stake' : 'stake';
  return 'string';
}

/** Returns what fits its habit, unless the shed has none and something as good is there. */
function kindFor({ crop, habit, stock, standing }: SupportQuestion): {
  kind: SupportKind;
  because: SupportPlan['because'];
} {
  if (standing) return { kind: standingAs(standing, crop), because: 'stands' };
  const has = (x: number | null | undefined): boolean => (x ?? 0) > 0;
  const none = (x: number | null | undefined): boolean => x === 0;
  if (crop === 'pepper')
    return none(stock.cages) && has(stock.canes)
      ? { kind: 'small-stake', because: 'in-stock' }
      : { kind: 'small-cage', because: 'fits' };
  if (habit === 'determinate')
    return none(stock.cages) && has(stock.stakes)
      ? { kind: 'stake', because: 'in-stock' }
      : { kind: 'cage', because: 'fits' };
  return none(stock.stringM) && has(stock.stakes)
    ? { kind: 'stake', because: 'in-stock' }
    : { kind: 'string', because: 'fits' };
}

/** Supports as shown on screen. */
export const SUPPORT_WORDS: Record<SupportKind, string> = {
  string: 'a string from above, looped loosely at the base',
  stake: 'a stake',
  cage: 'a cage',
  'small-cage': 'a small cage, before the fruit gets heavy',
  'small-stake': 'a short cane',
};
