import type { RemedyRow } from '../tables/remedies.js';

/** The ladder: remedies that run together form a step, and the next step waits for the follow-up of the one before. */
type Climbed = Pick<RemedyRow, 'rung' | 'acts' | 'atOnce' | 'sprays' | 'when'>;

/** Next season's work waits for no follow-up. */
export const ofNextSeason = (r: Pick<Climbed, 'when'>): boolean => r.when === 'season-end';

/**
 * Returns the step of each remedy of one finding, from 1; 0 for next season's. Leaving alone, water, cover and
 * handling run together with what can't wait; cuts come after them, feeds after these, and each spray is a step by
 * itself. The first step present is step 1.
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
