import type { Crop } from '../records/plant.js';
import { depletionFraction, type RootZone, stressCoefficient } from './root-zone.js';

/**
 * One day of the balance, mm over the plant's own soil (FAO-56 eq. 85 with the drainage of eq. 88 spread by texture).
 * Depletion below zero is water above field capacity; it drains over days.
 *
 * In the ground the order is: Ks from the depletion before, then rain and watering, then use, then overflow. A pot
 * holds only a day or two of use, while the equations are meant for stores that hold many. There the water comes
 * first (in the morning) and Ks is followed through the day, solved exactly. Either way a wetter start ends at least
 * as wet, and a bigger pot never dries sooner.
 */
interface DayFlows {
  rainMm: number;
  irrigationMm: number;
  /** transpiration without water shortage, over its soil, mm */
  demandMm: number;
  /** evaporation from the surface, mm */
  evaporationMm: number;
  /** (Kcb + Ke) ETo, for the depletion fraction, mm */
  etcMm: number;
  interceptedMm: number;
  runoffMm: number;
}

/** One day of the water balance: mm over the root zone. */
export interface DayResult {
  depletionMm: number;
  ks: number;
  /** transpired and evaporated, mm */
  usedMm: number;
  evaporatedMm: number;
  drainedMm: number;
}

/** Returns the root zone after one day (FAO-56 eq. 85). All in mm. */
export function stepDay(depletionBeforeMm: number, zone: RootZone, crop: Crop, f: DayFlows): DayResult {
  const p = depletionFraction(crop, f.etcMm);
  const inMm = f.rainMm - f.interceptedMm - f.runoffMm + f.irrigationMm;
  const watered = depletionBeforeMm - inMm;
  const transpiredMm = zone.isPot
    ? usedThroughTheDay(watered, zone.tawMm, p, f.demandMm)
    : stressCoefficient(depletionBeforeMm, zone.tawMm, p) * Math.min(f.demandMm, (1 - p) * zone.tawMm);
  // the surface can take no more than is left above the wilting point
  const evaporatedMm = Math.min(f.evaporationMm, Math.max(0, zone.tawMm - watered - transpiredMm));
  const usedMm = transpiredMm + evaporatedMm;
  const { depletionMm, drainedMm } = overflow(watered + usedMm, zone);
  return { depletionMm, ks: f.demandMm > 0 ? transpiredMm / f.demandMm : 1, usedMm, evaporatedMm, drainedMm };
}

/** Returns the use over one day while Ks falls with the store: full demand down to RAW, then exponential decay. */
function usedThroughTheDay(depletionMm: number, tawMm: number, p: number, demandMm: number): number {
  if (demandMm <= 0) return 0;
  const rawMm = p * tawMm;
  const easy = Math.min(1, Math.max(0, (rawMm - depletionMm) / demandMm)); // share of the day at full use
  const left = tawMm - (depletionMm + easy * demandMm);
  const stressed = left * (1 - Math.exp((-demandMm * (1 - easy)) / ((1 - p) * tawMm)));
  return easy * demandMm + Math.max(0, stressed);
}

/** Drains the water above field capacity: beyond the room it runs out at once; the rest by the soil's rate. */
function overflow(depletionMm: number, zone: RootZone): { depletionMm: number; drainedMm: number } {
  if (depletionMm >= 0) return { depletionMm, drainedMm: 0 };
  const overRoom = Math.max(0, -depletionMm - zone.roomAboveMm);
  const drainedMm = overRoom + zone.drainsPerDay * (-depletionMm - overRoom);
  return { depletionMm: depletionMm + drainedMm, drainedMm };
}
