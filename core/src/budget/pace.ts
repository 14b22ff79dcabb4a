// How long tasks take this gardener, learned from when they tick them.

/** For one kind of task: how many ticks, and the time they took against the estimate, minutes. */
export interface Pace {
  ticks: number;
  took: number;
  estimatedMinutes: number;
}

/** Pace of a task type nobody has ticked yet. */
export const NO_PACE: Pace = { ticks: 0, took: 0, estimatedMinutes: 0 };

/** Longer gaps between two ticks are breaks; shorter ones mean the work was done before (judgement). */
const MOST_MINUTES = 40;
const LEAST_MINUTES = 0.3;
/** Weight of the estimate, in ticks. */
const WEIGHS = 4;
const [LEAST, MOST] = [0.4, 3] as const;

/** Adds one tick. `sinceLast` is the time since the tick before it, in minutes. A break teaches nothing. */
export function learn(p: Pace, estimatedMinutes: number, sinceLast: number | null): Pace {
  if (sinceLast === null || sinceLast > MOST_MINUTES || sinceLast < LEAST_MINUTES || estimatedMinutes <= 0) return p;
  return { ticks: p.ticks + 1, took: p.took + sinceLast, estimatedMinutes: p.estimatedMinutes + estimatedMinutes };
}

/**
 * Returns the factor that stretches estimated minutes: 1 without ticks, closer to the real times with each.
 * @example paceFactor({ ticks: 5, took: 60, estimatedMinutes: 40 }) // 1.278
 */
export function paceFactor(p: Pace): number {
  if (p.ticks === 0) return 1;
  const usual = p.estimatedMinutes / p.ticks;
  const factor = (p.took + WEIGHS * usual) / (p.estimatedMinutes + WEIGHS * usual);
  return Math.min(MOST, Math.max(LEAST, factor));
}

/**
 * Returns whole minutes, at least 1.
 * @example minutesAtPace(10, { ticks: 5, took: 60, estimatedMinutes: 40 }) // 13
 */
export const minutesAtPace = (estimatedMinutes: number, p: Pace): number =>
  estimatedMinutes <= 0 ? estimatedMinutes : Math.max(1, Math.round(estimatedMinutes * paceFactor(p)));
