import { type Day, daysBetween } from '../units/day.js';
import type { PlaceFacts } from '../records/facts.js';
import { isPotted } from '../records/place.js';
import type { Balance } from './balance.js';

/** Errors add up: in warm weather a pot is felt once a week, a bed every two weeks (judgement). */
const EVERY_DAYS = { pot: 7, bed: 14 } as const;
/** After a check that moved the estimate by this share of the store, it is felt again so soon. */
const SURPRISE = 0.15;
const SOONER_DAYS = { pot: 3, bed: 5 } as const;
/** Mean reference evapotranspiration of the last week from which the weather is warm, mm a day (judgement). */
const WARM_MM = 3;
/** A bed whose store is known better than this needs no finger: a soaking rain ended the doubt. */
const SURE_SD = 0.17;

/**
 * Returns whether it is time to feel the soil of a plant, and the day on which its balance was last measured (null if
 * never); null if it is not time. Only for a known balance: an unknown one is asked about anyway.
 */
export function checkDue({ days }: Balance, place: PlaceFacts): { since: Day | null } | null {
  const pot = isPotted(place);
  const every = EVERY_DAYS[pot ? 'pot' : 'bed'];
  const last = days.at(-1);
  if (!last?.known || days.length <= every) return null;
  if (!pot && last.uncertainty < SURE_SD) return null;
  const week = days.slice(-EVERY_DAYS.pot);
  if (week.reduce((sum, d) => sum + d.etoMm, 0) / week.length < WARM_MM) return null;
  const measured = days.findLast((d) => d.correctedBy !== null)?.date ?? null;
  const recent = days.slice(-every).findLast((d) => d.correctedBy !== null);
  if (!recent) return { since: measured };
  // it was far from what was thought: look again soon
  const surprised = Math.abs(recent.correctionMm) > SURPRISE * recent.tawMm;
  return surprised && daysBetween(recent.date, last.date) >= SOONER_DAYS[pot ? 'pot' : 'bed']
    ? { since: measured }
    : null;
}
