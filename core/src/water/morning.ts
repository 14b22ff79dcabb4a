import type { Balance } from './balance.js';
import type { RunState } from './run.js';

/**
 * Returns the store on the morning of the day of the question; what was measured that day counts from the morning on.
 * Null without a balance.
 */
export function morningOf({ before, end, days }: Balance): RunState | null {
  const today = days.at(-1);
  if (!before || !today) return null;
  if (!today.correctedBy) return before;
  const depletionBefore = before.depletionMm ?? (1 - before.fraction) * today.tawMm;
  const depletionMm = Math.min(today.tawMm, depletionBefore + today.correctionMm);
  return {
    ...before,
    depletionMm,
    fraction: Math.min(1, 1 - depletionMm / today.tawMm),
    sd: end?.sd ?? before.sd,
    learned: end?.learned ?? before.learned,
  };
}
