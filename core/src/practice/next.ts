import type { DisorderCode } from '../records/vocabulary/disorders.js';
import { addDays, type Day, daysBetween } from '../units/day.js';
import { MOST_ALIKE, numberOf, type PracticeTheme } from './themes.js';

/** An answer to a practice plant. */
export interface Answered {
  theme: PracticeTheme;
  seed: number;
  /** what the plant had; null for answers before 0.20 */
  was: DisorderCode | null;
  right: boolean;
  on: Day;
}

/**
 * Days until a problem that was missed is asked again: the first after a miss, then one further after each right
 * answer. After the last it counts as learned. Widening gaps hold longer than even ones (Cepeda et al. 2006,
 * Psychological Bulletin 132, from memory); these gaps are judgement.
 */
const GAPS = [1, 4, 12, 30] as const;

/** Returns the day from which a problem is asked again, or null where it was never missed or is learned. */
function askedAgainFrom(answers: readonly Answered[]): Day | null {
  const lastMiss = answers.findLastIndex((a) => !a.right);
  if (lastMiss < 0) return null;
  const gap = GAPS[answers.length - 1 - lastMiss];
  return gap === undefined ? null : addDays(answers.at(-1)!.on, gap);
}

/**
 * Returns the mixed plant to look at next: one with the problem that has waited longest since it was missed, else
 * one of this month. South of the equator the months stand half a year apart.
 * @param answered oldest first
 * @param latitude degrees, south negative
 * @example nextPractice([], '2026-07-14', 45) // { seed: 700, again: null }
 */
export function nextPractice(
  answered: readonly Answered[],
  today: Day,
  latitude: number,
): { seed: number; again: DisorderCode | null } {
  const byProblem = new Map<DisorderCode, Answered[]>();
  for (const a of answered) if (a.was !== null) byProblem.set(a.was, [...(byProblem.get(a.was) ?? []), a]);
  const [due] = [...byProblem]
    .flatMap(([problem, own]) => {
      const from = askedAgainFrom(own);
      return from !== null && from <= today ? [{ problem, waited: daysBetween(from, today) }] : [];
    })
    .sort((a, b) => b.waited - a.waited);
  if (due) return { seed: firstNew(answered, due.problem, null), again: due.problem };
  const month = Number(today.slice(5, 7));
  return { seed: firstNew(answered, null, latitude < 0 ? ((month + 5) % 12) + 1 : month), again: null };
}

/** Returns the first such plant that was not answered; when all were, the last one. */
function firstNew(answered: readonly Answered[], problem: DisorderCode | null, month: number | null): number {
  const seen = new Set(answered.filter((a) => a.theme === 'mixed').map((a) => a.seed));
  let n = 0;
  while (n < MOST_ALIKE - 1 && seen.has(numberOf({ problem, month, n }))) n++;
  return numberOf({ problem, month, n });
}
