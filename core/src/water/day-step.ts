import { depletionFraction, stressCoefficient, type RootZone } from './root-zone.js';
import type { Crop } from '../plant.js';

/**
 * One day of the balance, mm over the plant's own soil.
 * The order is kept everywhere: Ks from the depletion before, then rain and water in, then use, then overflow.
 * Depletion below zero is water above field capacity; it drains over days (FAO-56 eq. 85 with the drainage of
 * eq. 88 spread by texture).
 */
export interface DayFlows {
  rainMm: number;
  irrigationMm: number;
  /** demand of the unstressed plant over its soil, mm */
  demandMm: number;
  /** Kc ETo, for the depletion fraction, mm */
  etcMm: number;
  interceptedMm: number;
  runoffMm: number;
}

export interface DayResult {
  depletionMm: number;
  ks: number;
  usedMm: number;
  drainedMm: number;
}

/**
 * Where a small pot would be emptied within the day, the day is cut into equal steps so that use can never
 * outrun what Ks leaves; in a bed it is one step, exactly the equations. The number of steps depends on demand
 * and store only, so that a wetter start always ends at least as wet.
 */
export function stepDay(depletionBeforeMm: number, zone: RootZone, crop: Crop, f: DayFlows): DayResult {
  const p = depletionFraction(crop, f.etcMm);
  const steps = Math.max(1, Math.ceil(f.demandMm / ((1 - p) * zone.tawMm)));
  const inMm = f.rainMm - f.interceptedMm - f.runoffMm + f.irrigationMm;
  let depletion = depletionBeforeMm;
  let usedMm = 0;
  let ksSum = 0;
  for (let i = 0; i < steps; i++) {
    const ks = stressCoefficient(depletion, zone.tawMm, p);
    const used = (ks * f.demandMm) / steps;
    if (i === 0) depletion -= inMm;
    depletion += used;
    usedMm += used;
    ksSum += ks;
  }
  let drainedMm = 0;
  if (depletion < 0) {
    const above = -depletion;
    const overRoom = Math.max(0, above - zone.roomAboveMm);
    drainedMm = overRoom + zone.drainsPerDay * (above - overRoom);
    depletion += drainedMm;
  }
  return { depletionMm: depletion, ks: ksSum / steps, usedMm, drainedMm };
}
