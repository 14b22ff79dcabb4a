import type { PlantFacts } from '../records/facts.js';
import { type Day, daysBetween } from '../units/day.js';
import { missingMm, type Morning, refillMm } from './strategies.js';

/**
 * The first weeks after planting out: roots are still in their plug, whatever the soil around it holds. Water daily
 * for one to two weeks, then wean (common practice; the days in between are judgement).
 */
const DAILY_DAYS = 10;
const WEANED_DAYS = 21;
const EVERY_OTHER = 2;
/** Stages before new leaves; a later recorded stage means it has settled in. */
const STILL: ReadonlySet<string> = new Set(['seedling', 'establishing']);

/** How a new transplant is watered. */
export type Settling = 'water-in' | 'daily' | 'every-other';

/** Returns whether a plant is still settling in on a day; null if not, or if its planting date is unknown. */
export function settlingOn(plant: Pick<PlantFacts, 'transplantedOn' | 'stage'>, day: Day): Settling | null {
  if (!plant.transplantedOn || (plant.stage != null && !STILL.has(plant.stage))) return null;
  const out = daysBetween(plant.transplantedOn, day);
  if (out < 0 || out >= WEANED_DAYS) return null;
  if (out === 0) return 'water-in';
  return out < DAILY_DAYS ? 'daily' : 'every-other';
}

/** Ground that is wetted around a new plant, m², and the least it gets, L: less runs off its plug (judgement). */
const WATER_IN_M2 = 0.25;
const LEAST_L: Record<Settling, number> = { 'water-in': 1, daily: 0.4, 'every-other': 0.5 };
/** Smaller amounts are not worth the can, mm. */
const WORTH_MM = 0.5;

/** Returns the millimetres to give this morning to a plant settling in; 0 for none. */
export function settlingMm(m: Morning, settling: Settling): number {
  if (settling === 'every-other' && m.since < EVERY_OTHER) return 0;
  if (missingMm(m) < WORTH_MM) return 0;
  if (m.zone.isPot) return refillMm(m);
  const { soilM2, groundM2 } = m.zone;
  // watered in, the soil its roots will grow into gets its share as well
  const wetM2 = settling === 'water-in' ? Math.max(soilM2, Math.min(groundM2, WATER_IN_M2)) : soilM2;
  return Math.max(refillMm(m) * (wetM2 / soilM2), LEAST_L[settling] / soilM2);
}

/** Why a new transplant is watered so, as shown on screen. */
export const SETTLING_WHY: Record<Settling, string> = {
  'water-in': 'planted today: water it in',
  daily: 'new roots are still in their plug: a little every day',
  'every-other': 'weaning: every second day while new leaves show',
};
