import type { Fault } from '../records/faults.js';
import type { Feeding } from '../records/record-classes.js';
import { addDays, type Day } from '../units/day.js';
import type { FeedHold } from './feed-plan.js';
import { roundTo } from '../units/rounding.js';
import { MOST_NITROGEN_G, nitrogenWindowDays } from './limits.js';
import { nitrogenFreedG } from './release.js';
import { capital } from '../units/text.js';

/** Most nitrogen a plant has had within the days that count, with what a feed of its own would add, g. */
function withOwn(f: Feeding, earlier: readonly Feeding[], isPot: boolean, on: Day): { before: number; own: number } {
  const days = nitrogenWindowDays(isPot);
  return {
    before: earlier.reduce((sum, e) => sum + nitrogenFreedG(e, addDays(on, -days), on), 0),
    own: nitrogenFreedG(f, addDays(f.date, -1), addDays(f.date, days)),
  };
}

/** Returns whether a feed would bring more nitrogen than is safe. */
const isOver = ({ before, own }: { before: number; own: number }): boolean => own > 0 && before + own > MOST_NITROGEN_G;

/**
 * Returns until when a dose has to wait, because with the feeds before it would bring too much nitrogen; null if it
 * need not. Nothing is ever proposed that would be refused when it is recorded.
 */
export function holdForDose(f: Feeding, earlier: readonly Feeding[], isPot: boolean, today: Day): FeedHold | null {
  const now = withOwn(f, earlier, isPot, today);
  if (!isOver(now)) return null;
  const days = nitrogenWindowDays(isPot);
  const waits = Array.from({ length: days }, (_, i) => addDays(today, i + 1));
  const until = waits.find((on) => !isOver(withOwn(f, earlier, isPot, on))) ?? addDays(today, days);
  return { kind: 'nitrogen', until, grams: now.before, days };
}

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
  const { before, own } = withOwn(f, earlier, isPot, f.date);
  return isOver({ before, own })
    ? [
        {
          path: `${path}grams`,
          reason: `brings nitrogen to ${roundTo(before + own, 1)} g in ${days} days; over ${MOST_NITROGEN_G} g makes leaves instead of fruit; ${wayOut}`,
        },
      ]
    : [];
}
