import type { Fault } from '../records/faults.js';
import type { Feeding } from '../records/record-classes.js';
import { addDays, type Day } from '../units/day.js';
import type { FeedHold } from './feed-plan.js';
import { roundTo } from '../units/rounding.js';
import { MOST_NITROGEN_G, mostNitrogenG, nitrogenWindowDays, POT_BEARS_G_PER_L } from './limits.js';
import { isSlow, nitrogenFreedG } from './release.js';
import { capital } from '../units/text.js';

/** The plant that is fed: its pot, or a bed. */
export interface FedIn {
  isPot: boolean;
  /** volume of its pot, L; null if unknown */
  potLitres: number | null;
}

const litresOf = ({ isPot, potLitres }: FedIn): number | null => (isPot ? potLitres : null);

/** What adds up in a place, g a plant, with what a feed of its own would add and how much is safe. */
interface Sum {
  what: 'nitrogen' | 'potash' | 'salts';
  before: number;
  own: number;
  most: number;
}

/** What dissolves at once, of one nutrient or of all three, g. */
const dissolvedG = (f: Feeding, what: 'potash' | 'salts'): number =>
  isSlow(f) ? 0 : (f.grams * (what === 'potash' ? f.k2o : f.n + f.p2o5 + f.k2o)) / 100;

/** Adds up what a plant had within the days that count, and what a feed would add. In a pot potash and salts count too. */
function sumsWith(f: Feeding, earlier: readonly Feeding[], at: FedIn, on: Day): Sum[] {
  const days = nitrogenWindowDays(at.isPot);
  const litres = litresOf(at);
  const nitrogen: Sum = {
    what: 'nitrogen',
    before: earlier.reduce((sum, e) => sum + nitrogenFreedG(e, addDays(on, -days), on), 0),
    own: nitrogenFreedG(f, addDays(f.date, -1), addDays(f.date, days)),
    most: mostNitrogenG(litres),
  };
  if (litres === null) return [nitrogen];
  const recent = earlier.filter((e) => e.date > addDays(on, -days) && e.date <= on);
  const inPot = (what: 'potash' | 'salts', perL: number): Sum => ({
    what,
    before: recent.reduce((sum, e) => sum + dissolvedG(e, what), 0),
    own: dissolvedG(f, what),
    most: perL * litres,
  });
  return [nitrogen, inPot('potash', POT_BEARS_G_PER_L.k2o), inPot('salts', POT_BEARS_G_PER_L.salts)];
}

/** Returns whether a feed would bring more than is safe. */
const isOver = ({ before, own, most }: Sum): boolean => own > 0 && before + own > most + 1e-9;

/**
 * Returns until when a dose has to wait, because with the feeds before it would bring too much; null if it need not.
 * Nothing is ever proposed that would be refused when it is recorded.
 */
export function holdForDose(f: Feeding, earlier: readonly Feeding[], at: FedIn, today: Day): FeedHold | null {
  const over = sumsWith(f, earlier, at, today).find(isOver);
  if (!over) return null;
  const days = nitrogenWindowDays(at.isPot);
  const waits = Array.from({ length: days }, (_, i) => addDays(today, i + 1));
  const until = waits.find((on) => !sumsWith(f, earlier, at, on).some(isOver)) ?? addDays(today, days);
  return { kind: 'nitrogen', until, grams: over.before, days };
}

/** A multiple of the label that is nearly always a unit mix-up. */
const SLIP_TIMES = 10;

interface GivenHere extends FedIn {
  /** other feeds of the same plant, in any order */
  earlier: readonly Feeding[];
  /** grams of this product per plant by its label; null if unknown */
  labelGrams: number | null;
}

/**
 * Refuses a feed above the safe amount unless a reason is given: what really happened can always be recorded. @param
 * path where the feed is in the request
 */
export function overDoseFaults(f: Feeding, { earlier, labelGrams, ...at }: GivenHere, path: string): Fault[] {
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
  const days = nitrogenWindowDays(at.isPot);
  const over = sumsWith(f, earlier, at, f.date).find(isOver);
  if (!over) return [];
  const { what, before, own, most } = over;
  // rounded down: what is offered must pass
  const bears = Math.floor((Math.max(0, most - before) / own) * f.grams * 10) / 10;
  const small = litresOf(at) !== null && most < MOST_NITROGEN_G;
  const because =
    what === 'nitrogen' && !small
      ? `over ${roundTo(most, 1)} g makes leaves instead of fruit`
      : `a pot of ${roundTo(litresOf(at)!, 1)} L bears ${roundTo(most, 2)} g, and more burns its roots`;
  const named = { nitrogen: 'nitrogen', potash: 'potash', salts: 'dissolved nutrients' }[what];
  return [
    {
      path: `${path}grams`,
      reason: `brings ${named} to ${roundTo(before + own, 1)} g in ${days} days; ${because}. ${bears > 0 ? `Give ${bears} g of it at most` : 'Give none now'}; ${wayOut}`,
    },
  ];
}
