import type { BalanceDay } from './run.js';

/**
 * Returns the share of dissolved nutrients that leaves with drainage: what drains against what stays, the store at
 * field capacity taken as twice what plants can draw (about half is out of their reach: FAO-56 Table 19; even mixing
 * is judgement).
 * @example washedShare({ drainedMm: 20, tawMm: 80 }) // 0.1111
 */
export const washedShare = (d: { drainedMm: number; tawMm: number }): number =>
  d.drainedMm <= 0 ? 0 : d.drainedMm / (d.drainedMm + 2 * d.tawMm);

type WateredDay = Pick<
  BalanceDay,
  'drainedMm' | 'depletionMm' | 'usedMm' | 'irrigationMm' | 'effectiveRainMm' | 'uncertainty' | 'tawMm'
>;

/** Scale of a logistic distribution with a standard deviation of 1. */
const LOGISTIC_SCALE = Math.sqrt(3) / Math.PI;

/**
 * Returns the water that probably ran out below a pot on a day, mm. A pot that is filled to the brim is overfilled in half
 * of all cases, by as much as the estimate is wrong; a balance that ends exactly at full would count none of it. The
 * mean overflow of an amount whose error is known, the error taken as logistic.
 * @example likelyDrainedMm({ drainedMm: 0, depletionMm: 5, usedMm: 5, irrigationMm: 12, effectiveRainMm: 0,
 *   uncertainty: 0.1, tawMm: 60 }) // 2.2929
 */
export function likelyDrainedMm(d: WateredDay): number {
  if (d.irrigationMm + d.effectiveRainMm <= 0) return Math.max(0, d.drainedMm);
  // it is watered or rained on before the day's use
  const over = d.drainedMm > 0 ? d.drainedMm : d.usedMm - Math.max(0, d.depletionMm);
  const scale = LOGISTIC_SCALE * d.uncertainty * d.tawMm;
  const mean = scale <= 0 ? Math.max(0, over) : scale * Math.log1p(Math.exp(Math.min(50, over / scale)));
  // no more can run out than came in
  return Math.min(d.irrigationMm + d.effectiveRainMm, Math.max(d.drainedMm, mean));
}
