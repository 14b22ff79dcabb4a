/** How long things take this gardener, learned from when they tick them. */

/** What is known of one kind of task: how often, and how long it took by the clock beside what was reckoned, minutes. */
export interface Pace {
  ticks: number;
  took: number;
  reckoned: number;
}

export const NO_PACE: Pace = { ticks: 0, took: 0, reckoned: 0 };

/** A longer pause between two ticks is a pause, and a shorter one the ticking of what was done before (judgement). */
const MOST_MINUTES = 40;
const LEAST_MINUTES = 0.3;
/** The reckoned time weighs as much as so many ticks. */
const WEIGHS = 4;
const [LEAST, MOST] = [0.4, 3] as const;

/** One more tick; `sinceLast` is the time since the tick before it, in minutes. A pause teaches nothing. */
export function learn(p: Pace, reckoned: number, sinceLast: number | null): Pace {
  if (sinceLast === null || sinceLast > MOST_MINUTES || sinceLast < LEAST_MINUTES || reckoned <= 0) return p;
  return { ticks: p.ticks + 1, took: p.took + sinceLast, reckoned: p.reckoned + reckoned };
}

/** By how much reckoned minutes are stretched: one without any tick, nearer to what it took with every one. */
export function paceFactor(p: Pace): number {
  if (p.ticks === 0) return 1;
  const usual = p.reckoned / p.ticks;
  const factor = (p.took + WEIGHS * usual) / (p.reckoned + WEIGHS * usual);
  return Math.min(MOST, Math.max(LEAST, factor));
}

/** Whole minutes, never to nothing. */
export const minutesAtPace = (reckoned: number, p: Pace): number =>
  reckoned <= 0 ? reckoned : Math.max(1, Math.round(reckoned * paceFactor(p)));
