import type { Feeding } from '../records/record-classes.js';
import { addDays, type Day, daysBetween } from '../units/day.js';
import { uptakeShare } from './uptake.js';
import { nitrogenFreedG } from './release.js';
import { nitrogenGrams } from './feeding.js';

/** Nitrogen of one plant on a day, all since planting out, grams. */
export interface LedgerDay {
  day: Day;
  /** as it was given, slow kinds whole */
  given: number;
  /** what of it could be taken up so far */
  freed: number;
  /** what heavy watering or rain carried out below */
  washed: number;
  /** what the crop has taken up by now, between two bounds */
  takenLow: number;
  takenHigh: number;
}

interface LedgerQuestion {
  from: Day;
  to: Day;
  fed: readonly Feeding[];
  /** share of what is dissolved that left with the water that ran through, by day; only where the water is known */
  washedShare: ReadonlyMap<Day, number>;
  /** nitrogen of the whole season, low and high, g */
  season: readonly [number, number];
  /** day of the season on the first day, and how many of its days pass in one */
  pace: number;
}

/** The ledger of one plant, day by day: what is dissolved and not yet taken up can be carried out below (`washedShare` of the water core). */
export function ledgerDays(q: LedgerQuestion): LedgerDay[] {
  const out: LedgerDay[] = [];
  let given = 0;
  let freed = 0;
  let washed = 0;
  let taken = 0;
  const middle = (q.season[0] + q.season[1]) / 2;
  for (let i = 0; i <= daysBetween(q.from, q.to); i++) {
    const day = addDays(q.from, i);
    for (const f of q.fed) {
      if (f.date === day) given += nitrogenGrams(f);
      freed += nitrogenFreedG(f, addDays(day, -1), day);
    }
    const share = uptakeShare(i * q.pace);
    const inSoil = Math.max(0, freed - washed - taken);
    washed += inSoil * (q.washedShare.get(day) ?? 0);
    // it takes what it wants while there is some
    taken = Math.min(share * middle, freed - washed);
    out.push({ day, given, freed, washed, takenLow: share * q.season[0], takenHigh: share * q.season[1] });
  }
  return out;
}
