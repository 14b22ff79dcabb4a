import { SOILS } from '../water/soils.js';
import { addDays, type Day } from '../units/day.js';

/** Water for what grows in cells and small pots: from below, by weight or by rhythm, and the tray emptied after (handbook). */

interface Vessel {
  /** mix in one, mL */
  mixMl: number;
  /** what a seedling in it uses on a day in a room, mL (judgement) */
  usesMl: number;
}
/** Common sizes of trays and pots; the use is judgement. */
const VESSELS: Record<'cell' | 'pot', Vessel> = {
  cell: { mixMl: 50, usesMl: 5 },
  // 9 cm
  pot: { mixMl: 350, usesMl: 22 },
};
/** Half of what the mix lets go may be used before it is filled again (judgement; a seedling has no reserve). */
const USED_SHARE = 0.5;
/** Until the seedlings stand, the tray is covered and hardly dries. */
const COVERED_DAYS = 7;
const COVERED_EVERY = 3;

export interface TrayQuestion {
  sownOn: Day;
  pottedOn?: Day | null;
  /** the newest watering */
  wateredOn?: Day | null;
  /** cells, or pots, that still stand */
  count: number;
  /** what the tray weighed just watered and drained, g */
  wetG?: number | null;
  today: Day;
}

export interface TrayWater {
  dueOn: Day;
  everyDays: number;
  /** into the tray, mL; what is left after 20 minutes is poured out */
  ml: number;
  /** it is watered at this weight or less, g; null where nobody weighed it wet */
  lightG: number | null;
}

/** When the tray is looked at next, and how much it takes. A millilitre of water weighs a gram. */
export function trayWater(q: TrayQuestion): TrayWater {
  const vessel = VESSELS[q.pottedOn ? 'pot' : 'cell'];
  const { fieldCapacity, wiltingPoint } = SOILS['potting-mix'];
  const letsGoMl = vessel.mixMl * (fieldCapacity - wiltingPoint);
  const usedMl = letsGoMl * USED_SHARE;
  const covered = !q.pottedOn && q.today < addDays(q.sownOn, COVERED_DAYS);
  const everyDays = covered ? COVERED_EVERY : Math.max(1, Math.round(usedMl / vessel.usesMl));
  return {
    everyDays,
    dueOn: q.wateredOn ? addDays(q.wateredOn, everyDays) : addDays(q.pottedOn ?? q.sownOn, everyDays),
    ml: Math.max(50, Math.ceil((usedMl * q.count * 1.1) / 50) * 50),
    lightG: q.wetG == null ? null : Math.round(q.wetG - usedMl * q.count),
  };
}
