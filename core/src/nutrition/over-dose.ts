import type { Fault } from '../records/faults.js';
import type { Feeding } from '../records/record-classes.js';
import { addDays } from '../units/day.js';
import { roundTo } from '../units/rounding.js';
import { MOST_NITROGEN_G, nitrogenWindowDays } from './limits.js';
import { nitrogenFreedG } from './release.js';
import { capital } from '../units/text.js';

/** A multiple of the label that is nearly always a unit mix-up. */
const SLIP_TIMES = 10;

interface GivenHere {
  isPot: boolean;
  /** other feeds of the same plant, in any order */
  earlier: readonly Feeding[];
  /** grams of this product per plant by its label; null if unknown */
  labelGrams: number | null;
}

/**
 * Refuses a feed above the safe amount unless a reason is given: what really happened can always be recorded. @param
 * path where the feed is in the request
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
