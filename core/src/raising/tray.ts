import { SOILS } from '../water/soils.js';
import { addDays, type Day } from '../units/day.js';

/**
 * Watering of cells and small pots: from below, by weight or rhythm, and the tray emptied afterwards (common
 * practice).
 */

interface Vessel {
  /** mix per cell or pot, mL */
  mixMl: number;
  /** daily use of a seedling indoors, mL (judgement) */
  usesMl: number;
}
/** Common sizes of cells and pots; the use is judgement. */
const VESSELS: Record<'cell' | 'pot', Vessel> = {
  cell: { mixMl: 50, usesMl: 5 },
  // 9 cm
  pot: { mixMl: 350, usesMl: 22 },
};
/** Share of the mix's water to use before refilling (judgement; a seedling has no reserve). */
const USED_SHARE = 0.5;
/** Until the seedlings are up, the covered tray hardly dries, days. */
const COVERED_DAYS = 7;
const COVERED_EVERY = 3;
/** Just potted on, roots fill a corner of the mix: it dries more slowly (common practice; judgement: a week, half as long again). */
const JUST_POTTED = { days: 7, longer: 1.5 } as const;

/**
 * Returns the mix in a round pot by its width at the rim, mL: nine tenths as high as wide, a little narrower below, filled to
 * a finger under its rim (common practice: 9 cm hold about 0.35 L).
 * @example potMlOf(9) // 350
 */
export const potMlOf = (acrossCm: number): number => Math.round(0.48 * acrossCm ** 3);

/** What watering a seed tray depends on. Weights in grams. */
export interface TrayQuestion {
  sownOn: Day;
  pottedOn?: Day | null;
  /** the newest watering */
  wateredOn?: Day | null;
  /** cells or pots that still have plants */
  count: number;
  /** mix in one cell, and in one pot, as bought, mL; the usual sizes if not known */
  cellMl?: number | null;
  potMl?: number | null;
  /** weight of the tray, watered and drained, g */
  wetG?: number | null;
  today: Day;
}

interface TrayWater {
  dueOn: Day;
  everyDays: number;
  /** amount into the tray, mL; pour away what is left after 20 minutes */
  ml: number;
  /** water at this weight or less, g; null if the wet weight is unknown */
  lightG: number | null;
}

/** Returns when to check the tray next, and how much it takes. A millilitre of water weighs a gram. */
export function trayWater(q: TrayQuestion): TrayWater {
  const usualVessel = VESSELS[q.pottedOn ? 'pot' : 'cell'];
  const vessel = { ...usualVessel, mixMl: (q.pottedOn ? q.potMl : q.cellMl) ?? usualVessel.mixMl };
  const { fieldCapacity, wiltingPoint } = SOILS['potting-mix'];
  const letsGoMl = vessel.mixMl * (fieldCapacity - wiltingPoint);
  const usedMl = letsGoMl * USED_SHARE;
  const covered = !q.pottedOn && q.today < addDays(q.sownOn, COVERED_DAYS);
  const justPotted = q.pottedOn != null && q.today < addDays(q.pottedOn, JUST_POTTED.days);
  const usual = (usedMl / vessel.usesMl) * (justPotted ? JUST_POTTED.longer : 1);
  const everyDays = covered ? COVERED_EVERY : Math.max(1, Math.round(usual));
  return {
    everyDays,
    dueOn: q.wateredOn ? addDays(q.wateredOn, everyDays) : addDays(q.pottedOn ?? q.sownOn, everyDays),
    ml: Math.max(50, Math.ceil((usedMl * q.count * 1.1) / 50) * 50),
    lightG: q.wetG == null ? null : Math.round(q.wetG - usedMl * q.count),
  };
}
