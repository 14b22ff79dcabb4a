import { corrected, FEEL, type Measured } from './corrections.js';
import type { DayResult } from './day-step.js';
import type { RootZone } from './root-zone.js';

/**
 * The top of the root zone, which a finger feels: it has its own store, dries first and is wetted first. In a pot it
 * is nearly the whole; in a deep bed it says little about the rest.
 */
const TOP_M = 0.1;
/**
 * Roots take most from the top: its share of the transpiration is this multiple of its share of the depth (FAO-56 ch.
 * 8: 40 % from the upper quarter).
 */
const TAKEN_FROM_TOP = 1.6;
/** A finger covers a pot this shallow; in a deeper one water still evens out within a day (judgement), m. */
const POT_IS_ONE_M = 0.45;
/** How far the top can differ from the model by itself, standard deviation (judgement). */
const TOP_OWN_SD = 0.25;

/** Returns the share of the root zone's water in the top. */
export const topShare = (zone: RootZone): number =>
  zone.isPot && zone.depthM <= POT_IS_ONE_M ? 1 : Math.min(1, TOP_M / zone.depthM);

/** Returns the depletion of the top after a day, mm. */
export function topAfter(beforeMm: number, zone: RootZone, step: DayResult, inMm: number): number | null {
  const share = topShare(zone);
  if (share >= 1) return null;
  const transpired = step.usedMm - step.evaporatedMm;
  const dried = Math.max(0, beforeMm - inMm) + step.evaporatedMm + transpired * Math.min(1, TAKEN_FROM_TOP * share);
  // the top holds no more than its share, is full if all is full, and can't be drier than the rest could make up for
  const most = share * zone.tawMm;
  const rest = (1 - share) * zone.tawMm;
  return step.depletionMm <= 0 ? 0 : Math.min(most, Math.max(dried, step.depletionMm - rest, 0));
}

/** The root zone's store with its top layer, mm. */
export interface Store {
  depletionMm: number;
  sd: number;
  /** null if the top is the whole */
  topMm: number | null;
}

/** Returns whether a correction goes against its direction: "dry" never means wetter than estimated. */
const contradicts = ({ only }: Measured, change: number): boolean =>
  (only === 'lowers' && change > 0) || (only === 'raises' && change < 0);

/** What a finger or probe covers: a share of the root zone, and the part of that which is its top. */
export interface FeltPart {
  share: number;
  ofTop: number;
}

/** Returns what a check covers: the soil down to about twice its depth; null if it tells of the whole store. */
export function feltPart(zone: RootZone, seen: Measured, topMm: number | null): FeltPart | null {
  if (seen.depthCm === undefined || topMm === null) return null;
  const share = Math.min(1, (2 * seen.depthCm) / 100 / zone.depthM);
  return share >= 1 ? null : { share, ofTop: Math.min(1, topShare(zone) / Math.max(share, 1e-6)) };
}

/** Returns the share of the water left in the soil that was felt: its top, and the rest as far as the finger went. */
export function leftInPart(part: FeltPart, zone: RootZone, whole: number, topMm: number): number {
  const share = topShare(zone);
  const top = 1 - topMm / (share * zone.tawMm);
  const rest = (whole - share * top) / (1 - share);
  return Math.min(1, part.ofTop * top + (1 - part.ofTop) * rest);
}

/**
 * "Damp" is a range, not a value: a store modelled inside of it stays where it is, and is only more certain (judgement:
 * within its own error). Dry and wet are the ends of the scale.
 */
function measuredAs(seen: Measured, modelled: number): number {
  if (seen.only || (seen.by !== 'finger' && seen.by !== 'probe')) return seen.fraction;
  return Math.min(seen.fraction + FEEL.damp.sd, Math.max(seen.fraction - FEEL.damp.sd, modelled));
}

/**
 * Corrects the store by a measurement. A weight, water that ran through and a drooping plant cover all of it. A
 * finger or a probe covers the soil down to twice its depth: the deeper store is corrected only by the part of the
 * residual the top can't explain (the off-diagonal gain of a Kalman step in two layers).
 */
export function correctedStore(store: Store, zone: RootZone, seen: Measured): Store {
  const taw = zone.tawMm;
  const whole = 1 - store.depletionMm / taw;
  const share = topShare(zone);
  const part = feltPart(zone, seen, store.topMm);
  if (!part || store.topMm === null) {
    const better = corrected({ fraction: whole, sd: store.sd }, { ...seen, fraction: measuredAs(seen, whole) });
    if (contradicts(seen, better.fraction - whole)) return { ...store, sd: better.sd };
    const moved = (1 - better.fraction) * taw;
    return { depletionMm: moved, sd: better.sd, topMm: store.topMm === null ? null : Math.max(0, moved) * share };
  }
  const top = 1 - store.topMm / (share * taw);
  const felt = part.share;
  const modelled = leftInPart(part, zone, whole, store.topMm);
  const own = TOP_OWN_SD * (1 - felt);
  const spread = store.sd ** 2 + own ** 2 + seen.sd ** 2;
  const surprise = measuredAs(seen, modelled) - modelled;
  // the smaller the part felt, the less the error of its top says about the error of the whole
  const gain = (Math.sqrt(felt) * store.sd ** 2) / spread;
  const topGain = (store.sd ** 2 + own ** 2) / spread;
  if (contradicts(seen, surprise)) return { ...store, sd: store.sd * Math.sqrt(1 - gain) };
  const betterTop = Math.min(1, Math.max(0, top + topGain * surprise));
  return {
    depletionMm: store.depletionMm - gain * surprise * taw,
    sd: store.sd * Math.sqrt(1 - gain),
    topMm: (1 - betterTop) * share * taw,
  };
}
