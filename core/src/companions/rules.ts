import type { Fault } from '../records/faults.js';
import type { Companion } from '../records/record-classes.js';
import { mayLie, companionRow } from './table.js';

/** Plants that carry the crop's problems are not used as its mulch. */
export const companionFaults = (n: Companion, path: string): Fault[] =>
  n.did === 'laid-as-mulch' && !mayLie(n.what)
    ? [
        {
          path: `${path}did`,
          reason: `${companionRow(n.what).label} are no use as mulch: they carry the same problems. Bag them`,
        },
      ]
    : [];
