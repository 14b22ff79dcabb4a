/**
 * A soil check corrects the modelled fraction of available water: one scalar Kalman step (Kalman 1960). Values and
 * errors: judgement.
 */
export interface Estimate {
  fraction: number;
  sd: number;
}

/** Fraction of available water that a finger stands for, with its standard error (judgement). */
export const FEEL: Record<'dry' | 'damp' | 'wet', Estimate> = {
  dry: { fraction: 0.25, sd: 0.15 },
  damp: { fraction: 0.6, sd: 0.2 },
  wet: { fraction: 0.95, sd: 0.1 },
};

/** A cheap moisture probe counts, but little. */
export const PROBE_SD = 0.35;
/**
 * Error of a calibrated probe when it was calibrated, and its growth in a month: it drifts with salts and temperature, and sits
 * in one spot (judgement).
 */
const CALIBRATED_SD = 0.12;
const DRIFT_PER_MONTH = 0.04;
/** From these shares on, soil counts as damp and as wet: halfway between what a finger calls dry, damp and wet. */
const DAMP_FROM = 0.425;
const WET_FROM = 0.775;

/**
 * Returns the standard error of a calibrated probe.
 * @param days since it was calibrated
 * @example calibratedSd(0) // 0.12
 */
export const calibratedSd = (days: number): number => Math.min(PROBE_SD, CALIBRATED_SD + (DRIFT_PER_MONTH * days) / 30);

/**
 * Returns the share of available water by a probe's two points; the raw numbers may rise or fall with water. Null if both
 * points are the same.
 * @example probeShare(30, { dry: 10, drained: 50 }) // 0.5
 */
export function probeShare(raw: number, { dry, drained }: { dry: number; drained: number }): number | null {
  if (dry === drained) return null;
  return Math.min(1.3, Math.max(0, (raw - dry) / (drained - dry)));
}

/**
 * Returns what a finger would call a share of available water.
 * @example feelOf(0.3) // 'dry'
 */
export const feelOf = (share: number): 'dry' | 'damp' | 'wet' =>
  share < DAMP_FROM ? 'dry' : share < WET_FROM ? 'damp' : 'wet';
/** Drooping over dry soil, and water running out below, fix the store at either end. */
export const DROOPED: Estimate = { fraction: 0.1, sd: 0.07 };
/** After water ran out below, the pot is full. */
export const RAN_THROUGH: Estimate = { fraction: 1, sd: 0.05 };

/** What corrected the model. */
export type CorrectedBy = 'weight' | 'drained' | 'droop' | 'finger' | 'probe';
/** A measured fraction of available water, and how. */
export interface Measured extends Estimate {
  by: CorrectedBy;
  /** for a finger or probe: depth in cm; it covers the soil down to about twice that */
  depthCm?: number;
  /** taken before that day's watering */
  beforeWater?: boolean;
  /** a dry finger only lowers the estimate, a wet one only raises it */
  only?: 'lowers' | 'raises';
  /** false: it says nothing about how fast the bed or pot dries */
  teaches?: false;
}

/** Daily growth of the model's error. */
const ERROR_PER_DAY = 0.05;
/** Largest standard error of the balance. */
export const MOST_ERROR = 0.3;

/**
 * Returns the estimate after a measurement: a Kalman update of two normal errors, fractions 0 to 1.
 * @example corrected({ fraction: 0.5, sd: 0.1 }, { fraction: 0.7, sd: 0.1 }) // { fraction: 0.6, sd: 0.07071 }
 */
export function corrected(model: Estimate, seen: Estimate): Estimate {
  const gain = model.sd ** 2 / (model.sd ** 2 + seen.sd ** 2);
  return { fraction: model.fraction + gain * (seen.fraction - model.fraction), sd: Math.sqrt(1 - gain) * model.sd };
}

/**
 * Returns the standard error one day later without a measurement.
 * @example grown(0.1) // 0.1118
 */
export const grown = (sd: number): number => Math.min(MOST_ERROR, Math.hypot(sd, ERROR_PER_DAY));

/**
 * Returns the fraction available from a pot's weight by two anchor weights: drained after a soaking is 1, dry is 0.
 * A weight at or above the drained one is full, with or without the dry one. Null if an anchor is missing or the
 * anchors make no sense.
 * @example fractionFromWeight(12, { dryKg: 9, drainedKg: 15 }) // { fraction: 0.5, sd: 0.05 }
 */
export function fractionFromWeight(kg: number, anchors: { dryKg?: number; drainedKg?: number }): Estimate | null {
  const { dryKg, drainedKg } = anchors;
  if (drainedKg != null && kg >= drainedKg) return { fraction: 1, sd: 0.05 };
  if (dryKg == null || drainedKg == null || drainedKg <= dryKg) return null;
  return { fraction: Math.min(1, Math.max(0, (kg - dryKg) / (drainedKg - dryKg))), sd: 0.05 };
}
