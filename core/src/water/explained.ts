import type { Day } from '../units/day.js';
import type { CorrectedBy } from './corrections.js';
import type { BalanceDay } from './run.js';

/** How the water left was estimated; litres are for one plant. */
interface WaterExplained {
  /** water within reach of its roots when the soil is full, and what is left of it */
  inReachL: number;
  leftL: number;
  /** number of days summed here */
  days: number;
  waterings: number;
  givenL: number;
  rainL: number;
  usedL: number;
  drainedL: number;
  /** the last measurement that corrected the balance; null if there was none in these days */
  correctedBy: { by: CorrectedBy; on: Day } | null;
  /** standard error of the share left */
  error: number;
}

/** Older days hardly affect a balance (judgement: a pot a few days, a bed two or three weeks). */
const LOOK_BACK_DAYS = 14;

/** Sums the last two weeks of a balance; null if there is none, or the watering history is unknown. */
export function waterExplained(daily: readonly BalanceDay[]): WaterExplained | null {
  const last = daily.at(-1);
  if (!last?.known) return null;
  const days = daily.slice(-LOOK_BACK_DAYS);
  const sum = (of: (d: BalanceDay) => number): number => days.reduce((total, d) => total + of(d), 0);
  const corrected = days.filter((d) => d.correctedBy !== null).at(-1);
  return {
    inReachL: last.tawMm * last.soilM2,
    leftL: last.fractionAvailable * last.tawMm * last.soilM2,
    days: days.length,
    waterings: days.filter((d) => d.irrigationL > 0).length,
    givenL: sum((d) => d.irrigationL),
    rainL: sum((d) => d.effectiveRainMm * d.soilM2),
    usedL: sum((d) => d.usedL),
    drainedL: sum((d) => d.drainedL),
    correctedBy: corrected ? { by: corrected.correctedBy!, on: corrected.date } : null,
    error: last.uncertainty,
  };
}
