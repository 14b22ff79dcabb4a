import type { Fault } from '../records/faults.js';
import type { Feeding } from '../records/record-classes.js';
import { addDays } from '../units/day.js';
import { roundTo } from '../units/rounding.js';
import { MOST_NITROGEN_G, nitrogenWindowDays } from './limits.js';
import { nitrogenFreedG } from './release.js';

/** So many times the label is nearly always a slip of the unit. */
const SLIP_TIMES = 10;

interface GivenHere {
  isPot: boolean;
  /** other feeds of the same plant, any order */
  earlier: readonly Feeding[];
  /** grams of this product for one plant by its label; null where nobody knows */
  labelGrams: number | null;
}

/**
 * A feed that is more than is told to be safe is refused, unless the gardener says why: what happened can always be written down.
 * @param path where the feed stands in what was sent
 */
export function overDoseFaults(f: Feeding, { isPot, earlier, labelGrams }: GivenHere, path: string): Fault[] {
  if (f.because?.trim()) return [];
  const times = labelGrams ? f.grams / labelGrams : 0;
  const wayOut = 'if it really was so, say why and it will be saved';
  if (times > 1.05)
    return [
      {
        path: `${path}grams`,
        reason:
          times >= SLIP_TIMES
            ? `is ${Math.round(times)} times the label’s ${roundTo(labelGrams!, 1)} g: did you mean grams per plant? ${capital(wayOut)}`
            : `is more than the label’s ${roundTo(labelGrams!, 1)} g per plant: more burns roots; ${wayOut}`,
      },
    ];
  const days = nitrogenWindowDays(isPot);
  const before = earlier.reduce((sum, e) => sum + nitrogenFreedG(e, addDays(f.date, -days), f.date), 0);
  const own = nitrogenFreedG(f, addDays(f.date, -1), addDays(f.date, days));
  return own > 0 && before + own > MOST_NITROGEN_G
    ? [
        {
          path: `${path}grams`,
          reason: `brings nitrogen to ${roundTo(before + own, 1)} g in ${days} days; over ${MOST_NITROGEN_G} g makes leaves instead of fruit; ${wayOut}`,
        },
      ]
    : [];
}
const capital = (t: string): string => t.charAt(0).toUpperCase() + t.slice(1);
