import type { Companion } from '../records/record-classes.js';
import type { Day } from '../units/day.js';
import { companionRow } from './table.js';

/** Weeds, or plants that carry the crop's pests and viruses, that stand close by. */
export interface Standing {
  what: Companion['what'];
  /** the day on which they were last seen */
  since: Day;
}

/**
 * Returns the weeds and host plants that were seen at a bed or pot and not cleared since.
 * @param records of the bed or pot, oldest first
 * @example weedsStanding([{ date: '2026-07-01', what: 'weeds', did: 'seen' }]) // [{ what: 'weeds', since: '2026-07-01' }]
 */
export function weedsStanding(records: readonly Companion[]): Standing[] {
  const last = new Map<Companion['what'], Companion>();
  for (const r of records) if (companionRow(r.what).kind !== 'ally') last.set(r.what, r);
  return [...last.values()].flatMap(({ what, did, date }) =>
    did === 'seen' || did === 'planted' ? [{ what, since: date }] : [],
  );
}

/** Returns whether plants stand there that carry the crop's pests and viruses. */
export const hostsStanding = (records: readonly Companion[]): boolean =>
  weedsStanding(records).some(({ what }) => companionRow(what).kind === 'host');

/** Smaller plants lose water, light and room to weeds, m (common practice: weed until they shade the soil). */
const SHADES_WEEDS_FROM_M = 0.4;

/**
 * Returns whether weeds must go: those of the crop's own family anywhere, others where plants are small.
 * @param smallestM height of the smallest plant there, m; null if not known
 */
export const mustWeed = (what: Companion['what'], smallestM: number | null): boolean =>
  what === 'nightshade-weeds' || (what === 'weeds' && smallestM !== null && smallestM < SHADES_WEEDS_FROM_M);
