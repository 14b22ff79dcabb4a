import type { Formatter } from '../units/formatter.js';
import type { Cut, CutHold, CutKind, CutPlan } from './cut-plan.js';

const FIRST_FLOWERS = 'of the first flowers (a choice: a bushier plant, and first fruit later)';
const WORDS: Record<CutKind, readonly [one: string, more: string]> = {
  diseased: ['spotted or mouldy leaf', 'spotted or mouldy leaves'],
  touching: ['leaf that touches the soil', 'leaves that touch the soil'],
  'small-suckers': ['sucker shorter than a finger', 'suckers shorter than a finger'],
  'low-leaves': ['lower leaf', 'lower leaves'],
  suckers: ['larger sucker', 'larger suckers'],
  top: ['the top, two leaves above the last truss', 'tops'],
  pinch: ['the tip, once, so it branches', 'tips'],
  'first-flowers': [FIRST_FLOWERS, FIRST_FLOWERS],
  'first-truss': ['first truss (a choice: a stronger plant, and first fruit two weeks later)', 'first trusses'],
};

/** Returns a cut in words. */
export const cutInWords = (c: Cut): string =>
  c.kind === 'top' || c.kind === 'pinch'
    ? WORDS[c.kind][0]
    : `${c.count} ${WORDS[c.kind][c.count === 1 ? 0 : 1]}${c.keepOne ? ' (keep the one just under the first truss)' : ''}${c.halve ? ', shortened by half instead of removed' : ''}`;
/** Returns a list of cuts in words. */
export const cutsInWords = (cuts: readonly Cut[]): string => cuts.map(cutInWords).join(', ');

/** Returns why cuts wait, and until when, as a clause. */
export function cutHoldInWords(h: CutHold, f: Formatter): string {
  const until = `wait until ${f.day(h.until)}`;
  switch (h.kind) {
    case 'heat':
      return `${until}: heat is forecast, and every leaf shades fruit then`;
    case 'sunscald':
      return `${until}: fruit or leaves are sunburnt, so every leaf is needed for shade`;
    case 'wet':
      return `${until}: do not cut wet plants, wounds catch disease`;
    case 'budget':
      return `${until}: four leaves were cut this week`;
  }
}

/** Says why so few cuts, and how it continues. */
export function cutsWhy(p: CutPlan, f: Formatter): string {
  const later =
    p.backlog > 0
      ? `; ${p.backlog} more over ${p.weeks} ${p.weeks === 1 ? 'week' : 'weeks'}, at most four leaves a week`
      : '';
  const clear =
    p.clearToM !== null && p.clearToM > 0
      ? `clear to ${f.centimetres(p.clearToM * 100)} by now, more as it grows`
      : 'only what you see: its height is not recorded';
  const silent = p.recorded ? '' : '; no pruning is recorded this season, which may only mean it was not saved';
  return `${clear}${later}${silent}`;
}
