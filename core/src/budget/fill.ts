import { type Day, daysBetween } from '../units/day.js';

/** Something that could be done today. */
export interface Doable {
  key: string;
  source: string;
  dueOn: Day;
  minutes: number;
  /** where it lies on the walk through the garden; null: nowhere */
  order: number | null;
}

/**
 * What a day's delay costs, beside others (judgement: heat and frost kill in a day, thirst in two, a finding grows, the rest can wait).
 * What is not named counts as 2.
 */
const URGENCY: Readonly<Record<string, number>> = {
  protect: 12,
  water: 9,
  'look-again': 7,
  remedy: 7,
  raise: 6,
  pick: 5,
  feed: 4,
  round: 4,
  cut: 3,
  tie: 3,
  tap: 3,
};
const USUAL_URGENCY = 2;
/** So much a day that it is late; a week at most. */
const LATE_A_DAY = 0.5;
const MOST_LATE_DAYS = 7;

export function usefulness(d: Doable, today: Day): number {
  const late = Math.min(MOST_LATE_DAYS, Math.max(0, daysBetween(d.dueOn, today)));
  return (URGENCY[d.source] ?? USUAL_URGENCY) + LATE_A_DAY * late;
}

/**
 * The most useful that fits into so many minutes: the set with the greatest usefulness in all, found exactly, in the order of the walk
 * (what lies nowhere comes first). What takes no time is always in it.
 * @param minutes whole minutes
 */
export function fillTime<T extends Doable>(all: readonly T[], minutes: number, today: Day): T[] {
  const room = Math.max(0, Math.floor(minutes));
  const timed = all.filter((t) => t.minutes > 0);
  // best[m]: the greatest usefulness within m minutes, and with what
  let best: { worth: number; of: readonly T[] }[] = Array.from({ length: room + 1 }, () => ({ worth: 0, of: [] }));
  for (const t of timed) {
    const cost = Math.ceil(t.minutes);
    const worth = usefulness(t, today);
    best = best.map((b, m) => {
      const before = m >= cost ? best[m - cost]! : null;
      return before && before.worth + worth > b.worth + 1e-9
        ? { worth: before.worth + worth, of: [...before.of, t] }
        : b;
    });
  }
  const chosen = new Set<T>([...all.filter((t) => t.minutes <= 0), ...best[room]!.of]);
  return inWalkingOrder(all.filter((t) => chosen.has(t)));
}

/** Grouped by place as one walks past them; within a place as they came. */
export function inWalkingOrder<T extends Pick<Doable, 'order'>>(list: readonly T[]): T[] {
  return [...list].sort((a, b) => (a.order ?? -1) - (b.order ?? -1));
}
