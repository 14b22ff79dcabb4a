import type { Spraying } from '../records/record-classes.js';
import { shareInWords } from '../records/label-share.js';
import type { Formatter } from '../units/formatter.js';

/** Below this share of the label a spray may fail because it was weak (judgement: a fifth is lost to rough measuring). */
const WEAK_SHARE = 0.8;
/** Above this share of the label it burns more easily (the same margin). */
export const STRONG_SHARE = 1.2;

/**
 * Returns the strength really used as a share of the label's; null if either is not recorded.
 * @example strengthOf({ perLitre: 2.5, labelPerLitre: 5 }) // 0.5
 */
export const strengthOf = ({ perLitre, labelPerLitre }: Pick<Spraying, 'perLitre' | 'labelPerLitre'>): number | null =>
  perLitre == null || !labelPerLitre ? null : perLitre / labelPerLitre;

/**
 * Returns what weak sprays mean for the question whether they helped; null if none was weak. A test on one leaf does not
 * count, nor does one whose strength is not recorded.
 * @param sprays of one treatment, since it began
 */
export function weakInWords(sprays: readonly Spraying[], f: Formatter): string | null {
  const whole = sprays.filter((s) => !s.trial && s.product !== 'weedkiller-nearby');
  const weak = whole.filter((s) => (strengthOf(s) ?? 1) < WEAK_SHARE);
  const weakest = weak.reduce<Spraying | null>((a, b) => (a && strengthOf(a)! <= strengthOf(b)! ? a : b), null);
  // one at the label's strength was a fair try
  if (!weakest || whole.some((s) => (strengthOf(s) ?? 0) >= WEAK_SHARE)) return null;
  return `Sprayed on ${f.days(weak.map((s) => s.date))} at ${shareInWords(strengthOf(weakest)!)}: if it did not help, that may be why. Try the label’s strength before anything stronger.`;
}
