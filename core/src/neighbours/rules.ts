import type { Fault } from '../records/faults.js';
import type { Neighbour } from '../records/record-classes.js';
import { mayLie, neighbourRow } from './table.js';

/** Plants that carry the crop's problems are not used as its mulch. */
export const neighbourFaults = (n: Neighbour, path: string): Fault[] =>
  n.did === 'laid-as-mulch' && !mayLie(n.what)
    ? [
        {
          path: `${path}did`,
          reason: `${neighbourRow(n.what).label} are no use as mulch: they carry the same problems. Bag them`,
        },
      ]
    : [];
