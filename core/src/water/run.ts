import type { WeatherDay } from '../climate/gaps.js';
import type { PlaceFacts } from '../records/facts.js';
import type { Crop } from '../records/plant.js';
import type { Day } from '../units/day.js';
import { type CorrectedBy, type Estimate, grown, type Measured, MOST_ERROR } from './corrections.js';
import { stepDay } from './day-step.js';
import type { Learned } from './learned.js';
import { evaporated } from './evaporation.js';
import { depletionFraction } from './root-zone.js';
import type { Demand } from './season.js';
import { slopeHolds, SOILS } from './soils.js';
import { correctedStore, topAfter, topShare } from './top-layer.js';

/** One day of one plant's root zone. Millimetres are over the plant's own soil; litres are per plant. */
export interface BalanceDay {
  date: Day;
  etoMm: number;
  /** Kcb + Ke */
  kc: number;
  /** share of ETo used by the leaves and by the bare soil (FAO-56 eq. 69) */
  kcb: number;
  ke: number;
  /** (Kcb + Ke) ETo, mm */
  etcMm: number;
  effectiveRainMm: number;
  interceptedMm: number;
  runoffMm: number;
  irrigationMm: number;
  irrigationL: number;
  /** use without water shortage, litres */
  demandL: number;
  /** transpired and evaporated */
  usedMm: number;
  evaporatedMm: number;
  usedL: number;
  /** root-zone depletion Dr at the day's end, mm; below 0 is water above field capacity */
  depletionMm: number;
  /** 1 at field capacity or above, 0 at wilting point */
  fractionAvailable: number;
  /** standard error of that fraction */
  uncertainty: number;
  ks: number;
  drainedMm: number;
  drainedL: number;
  /** depletion change by a measurement, mm, and which measurement */
  correctionMm: number;
  correctedBy: CorrectedBy | null;
  /** water above field capacity at the day's end */
  waterlogged: boolean;
  /** the day's weather was missing and was filled in */
  filled: boolean;
  /** the water given is recorded, or any unrecorded water would have changed nothing */
  known: boolean;
  tawMm: number;
  rawMm: number;
  /** ground with its roots, and all ground of the plant */
  soilM2: number;
  groundM2: number;
}

/** State of a run at a day's end: everything a further day needs from the days before. */
export interface RunState {
  /** null before the first day: it follows from the fraction and that day's store */
  depletionMm: number | null;
  fraction: number;
  sd: number;
  /** depletion of the top that a finger feels, mm; null before the first day, and if it is the whole store */
  topMm: number | null;
  /** depletion De of the evaporating top layer, and the share of the surface wetted last */
  surfaceMm: number;
  lastWettedShare: number;
  /** what the top was before today's check corrected it, mm; read by what the checks teach */
  topBeforeCheckMm?: number | null;
  /** what the checks have taught; the tables alone if there is nothing */
  learned?: Learned | null;
}

/** Returns the state of a water balance that starts at an estimate. */
export const startOf = ({ fraction, sd }: Estimate): RunState => ({
  depletionMm: null,
  fraction,
  sd,
  topMm: null,
  surfaceMm: 0,
  lastWettedShare: 1,
});

/** Water given on a day, litres per plant. */
export interface Given {
  /** per plant */
  litres: number;
  /** share of the surface it wets */
  wettedShare: number;
  /** share of the missing water that came on top, for a watering of unknown amount */
  fills?: number;
}
/** No watering. */
export const NOTHING_GIVEN: Given = { litres: 0, wettedShare: 1 };

/** Returns rain caught by leaves and rain that runs off, mm. */
function rainLosses(place: PlaceFacts, rainMm: number, etoMm: number): { interceptedMm: number; runoffMm: number } {
  const threshold = Math.min(2, Math.max(0.2 * etoMm, 0.5));
  const interceptedMm = Math.min(rainMm, threshold);
  return {
    interceptedMm,
    runoffMm: Math.max(0, rainMm - interceptedMm - SOILS[place.texture].soaksInMm * slopeHolds(place)),
  };
}

/** Error of a store from which water ran out below. */
const FULL_SD = 0.08;
/** Error of an unknown amount, as a share of what it is taken to be (judgement). */
const UNKNOWN_SHARE_SD = 0.5;

/** What a day brings: weather where the plant grows, its demand, water given, and what was measured. */
export interface DayIn {
  w: WeatherDay;
  etoMm: number;
  demand: Demand;
  given: Given;
  seen?: Measured | null;
}

/**
 * Runs one more day in the weather where the plant grows: what comes in, what is used, what drains, and what a
 * measurement says. Changes the state in place: a season is two hundred of these, and the comparison runs many
 * thousand seasons.
 */
export function stepRun(
  state: RunState,
  { place, crop }: { place: PlaceFacts; crop: Crop },
  { w, etoMm, demand, given, seen = null }: DayIn,
): BalanceDay {
  const { kcb, demandMm, surfaceMm, bareShare, zone } = demand;
  let before = state.depletionMm ?? (1 - state.fraction) * zone.tawMm;
  let correctionMm = 0;
  const early = seen?.beforeWater === true;
  if (seen && early) {
    const topMm = state.topMm ?? (topShare(zone) < 1 ? before * topShare(zone) : null);
    state.topBeforeCheckMm = topMm;
    const better = correctedStore({ depletionMm: before, sd: state.sd, topMm }, zone, seen);
    correctionMm = better.depletionMm - before;
    before = better.depletionMm;
    state.topMm = better.topMm;
    state.sd = better.sd;
  }
  const { wettedShare, fills = 0 } = given;
  const { rainMm } = w;
  const thrownMm = rainMm * (1 - demand.rainCaught);
  const losses = rainLosses(place, rainMm - thrownMm, etoMm);
  losses.interceptedMm += thrownMm;
  const soakedMm = rainMm - losses.interceptedMm - losses.runoffMm;
  const filledMm = fills * Math.max(0, before - soakedMm);
  const irrigationMm = given.litres / zone.soilM2 + filledMm;
  const litres = irrigationMm * zone.soilM2;
  // the surface is as the last watering left it; shaded or dry parts do not evaporate
  if (soakedMm > 0) state.lastWettedShare = 1;
  else if (litres > 0) state.lastWettedShare = wettedShare;
  const exposed = Math.min(bareShare, state.lastWettedShare);
  let layer = Math.max(0, state.surfaceMm - soakedMm - irrigationMm / Math.max(wettedShare, exposed));
  const layerMm = evaporated({ texture: place.texture, depletionMm: layer }, surfaceMm);
  layer += layerMm;
  const evaporationMm = exposed * layerMm * zone.wallLoss;
  const ke = etoMm > 0 ? evaporationMm / etoMm : 0;
  const etcMm = (kcb + ke) * etoMm;
  const step = stepDay(before, zone, crop, {
    rainMm,
    irrigationMm,
    demandMm,
    evaporationMm,
    etcMm,
    interceptedMm: losses.interceptedMm,
    runoffMm: losses.runoffMm,
  });
  const top = topAfter(state.topMm ?? before * topShare(zone), zone, step, soakedMm + irrigationMm);
  let after = step.depletionMm;
  // what ran out below shows that the store was full, if it was more than the error
  const older = grown(state.sd);
  let sd = step.drainedMm > 0 ? Math.min(older, Math.max(FULL_SD, older - step.drainedMm / zone.tawMm)) : older;
  // nobody knows how much that was
  if (fills > 0) sd = Math.min(MOST_ERROR, Math.hypot(sd, (UNKNOWN_SHARE_SD * filledMm) / zone.tawMm));
  state.topMm = top;
  if (seen && !early) {
    state.topBeforeCheckMm = top;
    const better = correctedStore({ depletionMm: after, sd, topMm: top }, zone, seen);
    correctionMm = better.depletionMm - after;
    after = better.depletionMm;
    state.topMm = better.topMm;
    sd = better.sd;
  }
  state.depletionMm = after;
  state.fraction = Math.min(1, Math.max(0, 1 - after / zone.tawMm));
  state.sd = sd;
  // the top is part of the whole: if that is full, so is the top
  state.surfaceMm = Math.min(layer, Math.max(0, after) / Math.max(0.05, exposed));
  return {
    date: w.date,
    etoMm,
    kc: kcb + ke,
    kcb,
    ke,
    etcMm,
    effectiveRainMm: soakedMm,
    // named one by one: spreading them into so large an object cost more than all equations of the day
    interceptedMm: losses.interceptedMm,
    runoffMm: losses.runoffMm,
    irrigationMm,
    irrigationL: litres,
    demandL: (demandMm + evaporationMm) * zone.soilM2,
    evaporatedMm: step.evaporatedMm,
    usedMm: step.usedMm,
    usedL: step.usedMm * zone.soilM2,
    depletionMm: after,
    fractionAvailable: state.fraction,
    uncertainty: sd,
    ks: step.ks,
    drainedMm: step.drainedMm,
    drainedL: step.drainedMm * zone.soilM2,
    correctionMm,
    correctedBy: seen?.by ?? null,
    waterlogged: after < -0.1 * zone.tawMm,
    filled: w.filled ?? false,
    known: true,
    tawMm: zone.tawMm,
    rawMm: depletionFraction(crop, etcMm) * zone.tawMm,
    soilM2: zone.soilM2,
    groundM2: zone.groundM2,
  };
}
