import type { Feeding } from '../records/record-classes.js';
import { addDays, type Day, daysBetween } from '../units/day.js';
import { at } from '../units/lists.js';
import { addFreedByDay } from './release.js';
import { nitrogenGrams } from './feeding.js';

/** Nitrogen of one plant by day since planting out, g. */
export interface LedgerDay {
  day: Day;
  /** as given, slow feeds whole */
  given: number;
  /** freed by the soil or the fresh mix so far */
  soil: number;
  /** available from feed so far */
  freed: number;
  /** washed out by heavy watering or rain */
  washed: number;
  /** taken up by the crop so far, lower and upper bound */
  takenLow: number;
  takenHigh: number;
}

interface LedgerQuestion {
  from: Day;
  to: Day;
  fed: readonly Feeding[];
  /** share of the dissolved nitrogen that left with drainage, by day; only where the water is known */
  washedShare: ReadonlyMap<Day, number>;
  /** what the soil or the fresh mix has freed by a day of the ledger, g; day 0 is the first */
  soilG: (day: number) => number;
  /** nitrogen for the crop of a usual season, low and high, g */
  season: readonly [number, number];
  /** what the plant has grown by a day of the ledger, as a share of a usual season; day 0 is the first */
  grown: (day: number) => number;
}

const zeros = (days: number): number[] => Array.from({ length: Math.max(0, days) }, () => 0);

/**
 * Returns the nitrogen ledger of one plant by day: dissolved nitrogen not yet taken up can wash out (`washedShare` of
 * the water core).
 */
export function ledgerDays(q: LedgerQuestion): LedgerDay[] {
  const out: LedgerDay[] = [];
  const days = daysBetween(q.from, q.to) + 1;
  const [givenOn, freedOn] = [zeros(days), zeros(days)];
  for (const f of q.fed) {
    const on = daysBetween(q.from, f.date);
    if (on >= 0 && on < days) givenOn[on] = at(givenOn, on) + nitrogenGrams(f);
    addFreedByDay(f, q.from, freedOn);
  }
  let given = 0;
  let freed = 0;
  let washed = 0;
  let taken = 0;
  const middle = (q.season[0] + q.season[1]) / 2;
  for (let i = 0; i < days; i++) {
    const day = addDays(q.from, i);
    given += at(givenOn, i);
    freed += at(freedOn, i);
    const share = q.grown(i);
    const soil = q.soilG(i);
    const inSoil = Math.max(0, soil + freed - washed - taken);
    washed += inSoil * (q.washedShare.get(day) ?? 0);
    // it takes what it needs while some is left
    taken = Math.min(share * middle, soil + freed - washed);
    out.push({ day, given, soil, freed, washed, takenLow: share * q.season[0], takenHigh: share * q.season[1] });
  }
  return out;
}
