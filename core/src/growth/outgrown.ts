import type { Crop, GrowthHabit } from '../records/plant.js';
import type { Day } from '../units/day.js';
import { finalHeightM } from './course.js';
import type { GrowthNote } from './notes.js';

/** A bush this many times as tall as bushes end is more likely no bush (judgement: labels and seeds get mixed up). */
const TIMES_AS_TALL = 1.5;

/**
 * Returns the measured height that does not fit a bush tomato, m, and where such bushes end; null if all fits. Estimates
 * don't count: they follow from the habit.
 * @example outgrewHabit({ crop: 'tomato', habit: 'determinate' }, [{ date: '2026-07-01', heightM: 1.6 }]) // { heightM: 1.6, usualM: 0.95 }
 */
export function outgrewHabit(
  { crop, habit }: { crop: Crop; habit?: GrowthHabit | null },
  notes: readonly (Pick<GrowthNote, 'heightM' | 'rough'> & { date: Day })[],
): { heightM: number; usualM: number } | null {
  if (crop !== 'tomato' || (habit !== 'determinate' && habit !== 'semi-determinate')) return null;
  const usualM = finalHeightM(habit);
  const heightM = Math.max(0, ...notes.flatMap((n) => (n.heightM != null && !n.rough ? [n.heightM] : [])));
  return heightM >= TIMES_AS_TALL * usualM ? { heightM, usualM } : null;
}
