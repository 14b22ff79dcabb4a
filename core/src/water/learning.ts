import type { PlaceFacts } from '../records/facts.js';
import { coverOf, isPotted } from '../records/place.js';
import { addDays, type Day } from '../units/day.js';
import type { Measured } from './corrections.js';
import type { Learned } from './learned.js';
import type { BalanceDay } from './run.js';
import type { Demand } from './season.js';
import type { FeltPart } from './top-layer.js';

// How a check teaches a bed or pot: what `Learned` keeps is carried from day to day, and compared with each check.

/** Error of the tables, as ln: use of a bed, of a pot (an island, with its wall), more under a cover; water held. */
const USE_SD = { bed: 0.25, pot: 0.3, covered: 0.05 } as const;
const CAPACITY_SD = { bed: 0.2, pot: 0.15 } as const;
/** A growing plant drifts from what was learned, ln a day. */
const DRIFT_PER_DAY = 0.012;
/**
 * No bed is further from the tables than this, ln. A single pot stands in moving warm air on all sides: such plants use
 * up to twice and more of what a field does (FAO-56, chapter 10, "clothesline effect", from memory).
 */
const MOST = { use: { bed: Math.log(1.8), pot: Math.log(2.5) }, capacity: Math.log(1.5) } as const;
/** Share of an error of the store that stays when water runs out below. */
const AFTER_FULL = 0.1;
/** No store is known better than this, and no error of it is wholly that of a factor. */
const LEAST_SD = 0.02;
const MOST_CORRELATED = 0.95;
const clamp = (x: number, most: number): number => Math.max(-most, Math.min(most, x));
/** How far the top differs from the model by itself. */
const TOP_OWN_SD = 0.2;

/**
 * A finger gives a range, not a value: only a store modelled outside of it teaches much. One inside confirms.
 */
const FELT_RANGE = { dry: [0, 0.35], damp: [0.35, 0.92], wet: [0.88, 1.2] } as const;
const FINGER_SD = 0.1;
const CONFIRMED_SD = 0.25;

/** Returns what is known of a bed or pot before any check. */
export function nothingLearned(place: PlaceFacts): Learned {
  const kind = isPotted(place) ? 'pot' : 'bed';
  const useSd = USE_SD[kind] + (coverOf(place) === 'none' ? 0 : USE_SD.covered);
  return {
    use: 0,
    capacity: 0,
    uu: useSd ** 2,
    uc: 0,
    cc: CAPACITY_SD[kind] ** 2,
    fu: 0,
    fc: 0,
    tu: 0,
    tc: 0,
    checks: 0,
  };
}

/** Returns how far the use of a bed or pot can be from the tables, ln. */
export const mostUseOf = (place: PlaceFacts): number => MOST.use[isPotted(place) ? 'pot' : 'bed'];

/** Returns the days on which mulch, shade or a cover came or went: from then on the use must be learned anew. */
export function changeDays({ mulch = [], shade = [], roofed = [] }: PlaceFacts): ReadonlySet<Day> {
  const spells: readonly { from: Day; to?: Day | null }[] = [...mulch, ...shade, ...roofed];
  return new Set(spells.flatMap(({ from, to }) => (to ? [from, addDays(to, 1)] : [from])));
}

/** Returns what stays when mulch, shade or a cover changed: how much it holds. */
export const learnedAnew = (l: Learned, place: PlaceFacts): Learned => ({
  ...nothingLearned(place),
  capacity: l.capacity,
  cc: l.cc,
});

/** Returns a day's demand with what was learned. */
export function withLearned(d: Demand, l: Learned | null | undefined): Demand {
  if (!l || (l.use === 0 && l.capacity === 0)) return d;
  const [use, capacity] = [Math.exp(l.use), Math.exp(l.capacity)];
  return {
    ...d,
    demandMm: d.demandMm * use,
    surfaceMm: d.surfaceMm * use,
    zone: { ...d.zone, tawMm: d.zone.tawMm * capacity, roomAboveMm: d.zone.roomAboveMm * capacity },
  };
}

/** The store at some hour: the share left where it was checked, that part if it is not the whole, and its error. */
interface Store {
  left: number;
  part: FeltPart | null;
  sd: number;
  /** the furthest its use can be from the tables, ln */
  mostUse: number;
}

/**
 * Carries what an error of the factors has done to the store through one day. Changes `l` in place: a balance has
 * hundreds of days, and most of them have no check.
 * @param topDried share of the top's water lost that day; null if the top is the whole
 * @param topFilled share of what the top lacked that water refilled
 * @param sdBefore error of the store on that morning
 */
export function carry(l: Learned, day: BalanceDay, topDried: number | null, topFilled: number, sdBefore: number): void {
  const used = day.usedMm / day.tawMm;
  const gone = used - (day.effectiveRainMm + day.irrigationMm) / day.tawMm;
  // what ran out below ends the doubt, as far as it was more than the error
  const keeps =
    day.drainedMm > 0 ? Math.max(AFTER_FULL, 1 - day.drainedMm / day.tawMm / Math.max(sdBefore, LEAST_SD)) : 1;
  l.uu = Math.min(l.uu + DRIFT_PER_DAY ** 2, USE_SD.pot ** 2);
  const most = MOST_CORRELATED * Math.max(day.uncertainty, LEAST_SD);
  l.fu = clamp((l.fu - used * l.uu + gone * l.uc) * keeps, most * Math.sqrt(l.uu));
  l.fc = clamp((l.fc - used * l.uc + gone * l.cc) * keeps, most * Math.sqrt(l.cc));
  if (topDried === null) {
    l.tu = l.tc = 0;
    return;
  }
  const topKeeps = keeps * (1 - Math.min(1, topFilled));
  l.tu = l.tu * topKeeps - topDried * l.uu;
  l.tc = l.tc * topKeeps - topDried * l.uc + topDried * l.cc;
}

/**
 * Returns the error that a day adds to the store because its use is not known well, as a share of the store: it adds up
 * from day to day, as long as nothing ran out below.
 */
export function doubtOfUse(l: Learned, day: BalanceDay): number {
  if (day.drainedMm > 0) return 0;
  const used = day.usedMm / day.tawMm;
  return Math.sqrt(Math.max(0, used ** 2 * l.uu - 2 * used * l.fu));
}

/** Returns by how much a check differs from the store as modelled, and the error of that difference. */
function surpriseOf(seen: Measured, modelled: number): { by: number; sd: number } {
  if (seen.by === 'weight' || seen.by === 'droop') return { by: seen.fraction - modelled, sd: seen.sd };
  const feel = seen.only === 'lowers' ? 'dry' : seen.only === 'raises' ? 'wet' : 'damp';
  const [low, high] = FELT_RANGE[feel];
  if (modelled > high) return { by: high - modelled, sd: FINGER_SD };
  if (modelled < low) return { by: low - modelled, sd: FINGER_SD };
  return { by: 0, sd: CONFIRMED_SD };
}

/**
 * Returns what is known after a check. A probe, and water that ran out below, teach nothing: the one is rarely true,
 * the other may have been far more than needed.
 * @param store as modelled when the check was made
 * @param sdAfter error of the store once the check has corrected it
 */
export function learnedFrom(l: Learned, seen: Measured, store: Store, sdAfter: number): Learned {
  if (seen.by === 'probe' || seen.by === 'drained' || seen.teaches === false) return l;
  const { part } = store;
  const ofTop = part?.ofTop ?? 0;
  const hu = ofTop * l.tu + (1 - ofTop) * l.fu;
  const hc = ofTop * l.tc + (1 - ofTop) * l.fc;
  const { by, sd } = surpriseOf(seen, store.left);
  const own = part ? TOP_OWN_SD * (1 - part.share) : 0;
  // never less than what the factors themselves explain
  const spread = Math.max(store.sd ** 2, (hu * hu) / l.uu + (hc * hc) / l.cc) + own ** 2 + sd ** 2;
  const [ku, kc] = [hu / spread, hc / spread];
  const stays = store.sd > 0 ? Math.min(1, (sdAfter / store.sd) ** 2) : 1;
  return {
    use: clamp(l.use + ku * by, store.mostUse),
    capacity: clamp(l.capacity + kc * by, MOST.capacity),
    uu: Math.max(1e-4, l.uu - ku * hu),
    uc: l.uc - ku * hc,
    cc: Math.max(1e-4, l.cc - kc * hc),
    fu: l.fu * stays,
    fc: l.fc * stays,
    tu: part ? l.tu * stays : l.tu,
    tc: part ? l.tc * stays : l.tc,
    checks: l.checks + 1,
  };
}

/** Fewer checks say nothing worth telling, and neither does a smaller difference. */
const TELL_FROM_CHECKS = 3;
const TELL_FROM = 0.08;

/** How much faster a bed or pot dries than the tables say: 0.18 is 18 % faster; and the checks behind it. */
export interface Drying {
  faster: number;
  checks: number;
}

/**
 * Returns how fast a bed or pot dries compared with the tables, if its checks say something clear.
 * @example dryingOf(nothingLearned({ kind: 'ground', texture: 'loam' })) // null
 */
export function dryingOf(l: Learned | null | undefined): Drying | null {
  if (!l || l.checks < TELL_FROM_CHECKS) return null;
  const faster = Math.exp(l.use - l.capacity) - 1;
  const sd = Math.sqrt(Math.max(0, l.uu + l.cc - 2 * l.uc));
  const clear = Math.abs(l.use - l.capacity) > 0.7 * sd;
  return clear && Math.abs(faster) >= TELL_FROM ? { faster, checks: l.checks } : null;
}
