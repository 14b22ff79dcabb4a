import { corrected, type Measured } from './corrections.js';
import type { DayResult } from './day-step.js';
import type { RootZone } from './root-zone.js';

/**
 * The top of the root zone, which a finger feels: it has its own store, dries first and is wetted first. In a pot it is as good
 * as all of it; in a deep bed it says little of the rest.
 */
const TOP_M = 0.1;
/** Roots take most from the top: its share of the transpiration is so many times its share of the depth (FAO-56 ch. 8: 40 % from the upper quarter). */
const TAKEN_FROM_TOP = 1.6;
/** A pot this shallow is felt whole; deeper, its water still evens out within a day (judgement). */
const POT_IS_ONE_M = 0.45;
/** How far the top strays from what the model says of it, for reasons of its own (judgement). */
const TOP_OWN_SD = 0.25;

/** Share of the root zone's water that the top holds. */
export const topShare = (zone: RootZone): number =>
  zone.isPot && zone.depthM <= POT_IS_ONE_M ? 1 : Math.min(1, TOP_M / zone.depthM);

/** Depletion of the top after a day, mm. */
export function topAfter(beforeMm: number, zone: RootZone, step: DayResult, inMm: number): number | null {
  const share = topShare(zone);
  if (share >= 1) return null;
  const transpired = step.usedMm - step.evaporatedMm;
  const dried = Math.max(0, beforeMm - inMm) + step.evaporatedMm + transpired * Math.min(1, TAKEN_FROM_TOP * share);
  // the top holds no more than its share, is full where all is full, and cannot be dry where all the rest could not make up for it
  const most = share * zone.tawMm;
  const rest = (1 - share) * zone.tawMm;
  return step.depletionMm <= 0 ? 0 : Math.min(most, Math.max(dried, step.depletionMm - rest, 0));
}

export interface Store {
  depletionMm: number;
  sd: number;
  /** null where the top is all of it */
  topMm: number | null;
}

/**
 * A measurement corrects the store. A weight, water that ran through and a drooping plant speak of all of it. A finger or a probe
 * speaks of the soil down to twice its depth: what it tells beyond the model's own top is told of the rest only as far as the
 * error of the whole outweighs what the top does by itself (the off-diagonal gain of a Kalman step in two layers).
 */
export function correctedStore(store: Store, zone: RootZone, seen: Measured): Store {
  const taw = zone.tawMm;
  const whole = 1 - store.depletionMm / taw;
  const share = topShare(zone);
  const felt = seen.depthCm === undefined ? 1 : Math.min(1, (2 * seen.depthCm) / 100 / zone.depthM);
  if (seen.depthCm === undefined || store.topMm === null || felt >= 1) {
    const better = corrected({ fraction: whole, sd: store.sd }, seen);
    const moved = (1 - better.fraction) * taw;
    return { depletionMm: moved, sd: better.sd, topMm: store.topMm === null ? null : Math.max(0, moved) * share };
  }
  const top = 1 - store.topMm / (share * taw);
  const rest = (whole - share * top) / (1 - share);
  // what the model says of the soil that was felt: its top, and of the rest as far as the finger went
  const ofTop = Math.min(1, share / Math.max(felt, 1e-6));
  const modelled = Math.min(1, ofTop * top + (1 - ofTop) * rest);
  const own = TOP_OWN_SD * (1 - felt);
  const spread = store.sd ** 2 + own ** 2 + seen.sd ** 2;
  const surprise = seen.fraction - modelled;
  // the less of the root zone was felt, the less does the error of its top tell of the error of the whole
  const gain = (Math.sqrt(felt) * store.sd ** 2) / spread;
  const topGain = (store.sd ** 2 + own ** 2) / spread;
  const betterTop = Math.min(1, Math.max(0, top + topGain * surprise));
  return {
    depletionMm: store.depletionMm - gain * surprise * taw,
    sd: store.sd * Math.sqrt(1 - gain),
    topMm: (1 - betterTop) * share * taw,
  };
}
