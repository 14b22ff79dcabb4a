import type { PracticeAnswerDto } from '@candid-leaf/contract';
import type { PracticeAnswered } from '@candid-leaf/core/practice';

/** Returns an account's answers, newest first, as the choice of the next plant reads them: oldest first. */
export const asAnswered = (answers: readonly PracticeAnswerDto[]): PracticeAnswered[] =>
  answers.toReversed().map((a) => ({ ...a, was: a.was ?? null, on: a.answeredAt.slice(0, 10) }));

/** Returns the first unanswered plant of a series: everyone gets the same ones in the same order. */
export function nextSeed(answered: readonly { seed: number }[], after = 0): number {
  const seen = new Set(answered.map((a) => a.seed));
  let seed = after + 1;
  while (seen.has(seed)) seed++;
  return seed;
}
