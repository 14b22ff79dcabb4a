import type { Observation } from '../records/observation.js';
import type { SignCode } from '../records/vocabulary/signs.js';
import type { Day } from '../units/day.js';

/** So small a share of the count at the start means that a treatment works (judgement: half). */
const FALLEN_SHARE = 0.5;

/**
 * Returns whether fewer are there than when a treatment began: the newest look since then finds none, or at most half as
 * many as the last count until then. Without a look since, nobody knows, and it counts as not fallen.
 * @param signs signs of the problem
 * @example countFell(['pest-aphids'], '2026-07-10', []) // false
 */
export function countFell(signs: readonly SignCode[], startedOn: Day, seen: readonly Observation[]): boolean {
  const own = seen.filter((o) => signs.includes(o.sign));
  const since = own.filter((o) => o.date > startedOn);
  const newest = since.reduce<Day | null>((day, o) => (day === null || o.date > day ? o.date : day), null);
  if (newest === null) return false;
  // looked at twice in a day, the later look counts
  const latest = new Map(since.filter((o) => o.date === newest).map((o) => [o.sign, o]));
  const now = [...latest.values()].filter((o) => o.present);
  if (now.length === 0) return true;
  const counted = now.flatMap((o) => {
    const before = own
      .filter((x) => x.sign === o.sign && x.present && x.date <= startedOn && x.affected != null)
      .at(-1);
    return o.affected != null && before?.affected != null ? [o.affected / before.affected] : [];
  });
  return counted.length > 0 && counted.every((share) => share <= FALLEN_SHARE);
}
