import type { Fault } from '../records/faults.js';
import type { Pruning } from '../records/record-classes.js';

/** Three weeks of cuts at once: more than a plant tolerates. */
const MOST_AT_ONCE = 12;

/** Returns a fault if more cuts were made at once than a plant bears, unless a reason is given. */
export function cutFaults(p: Pruning, path: string): Fault[] {
  // small suckers cost no leaf: a cordon left alone for a month has a dozen
  const onlySuckers = p.what?.length === 1 && p.what[0] === 'suckers';
  return (p.cuts ?? 0) > MOST_AT_ONCE && !onlySuckers && !p.because?.trim()
    ? [
        {
          path: `${path}cuts`,
          reason: `${p.cuts} cuts at once are too many: more than 3 to 4 a week scalds fruit and stops growth. If it was so, say why and it will be saved`,
        },
      ]
    : [];
}
