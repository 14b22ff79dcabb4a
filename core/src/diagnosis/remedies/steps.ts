import type { RemedyRow } from '../tables/remedies.js';

/** The ladder: what runs together is one step, and the next waits for the follow-up of the one before. */
type Climbed = Pick<RemedyRow, 'rung' | 'acts' | 'atOnce' | 'sprays' | 'when'>;

/** Next season's work hangs on no follow-up: it comes due by itself. */
export const ofNextSeason = (r: Pick<Climbed, 'when'>): boolean => r.when === 'season-end';

/**
 * Step of each remedy of one finding, from 1 on; 0 for next season's. Leaving things as they are, water, cover and handling run together with what
 * is not put off; cuts come after them, feeds after these, and every spray is a step by itself. The first there is, is step 1.
 */
export function stepsOf(list: readonly Climbed[]): number[] {
  const ladder = list.map((r) => {
    if (ofNextSeason(r)) return 0;
    if (r.sprays) return 100 + list.indexOf(r);
    return r.rung <= 1 || r.acts || r.atOnce ? 1 : r.rung;
  });
  const levels = [...new Set(ladder.filter((x) => x > 0))].sort((a, b) => a - b);
  return ladder.map((x) => (x === 0 ? 0 : levels.indexOf(x) + 1));
}
