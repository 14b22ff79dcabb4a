import { type Day, daysBetween } from '../units/day.js';
import { at } from '../units/lists.js';

/** Something that could be done today. */
export interface Doable {
  key: string;
  source: string;
  dueOn: Day;
  minutes: number;
  /** of a finding: it can kill or spread, or costs little now */
  level?: 'urgent' | 'let-be';
  /** its place in the walking order; null if it has none */
  order: number | null;
}

/**
 * Cost of a day's delay per kind of task, relative (judgement: heat and frost kill in a day, thirst in two, a finding
 * grows, the rest can wait). Kinds not listed count as 2.
 */
const URGENCY: Readonly<Record<string, number>> = {
  protect: 12,
  water: 9,
  'look-again': 7,
  'so-far': 7,
  remedy: 7,
  raise: 6,
  pick: 5,
  feed: 4,
  walk: 4,
  cut: 3,
  tie: 3,
  tap: 3,
};
const USUAL_URGENCY = 2;
/** A finding that can kill or spread comes before thirst, one that costs little comes last (judgement). */
const BY_LEVEL = { urgent: 10, 'let-be': 1 } as const;
/** Added urgency per day late, for a week at most. */
const LATE_A_DAY = 0.5;
const MOST_LATE_DAYS = 7;

/** Returns how much a task is worth doing today, relative: its urgency, and more the later it is. Days: whole days. */
export function usefulness(d: Doable, today: Day): number {
  const late = Math.min(MOST_LATE_DAYS, Math.max(0, daysBetween(d.dueOn, today)));
  const own = d.level ? BY_LEVEL[d.level] : (URGENCY[d.source] ?? USUAL_URGENCY);
  return own + LATE_A_DAY * late;
}

/**
 * Returns the most useful tasks that fit into the time: the set with the greatest total usefulness, found exactly, in
 * walking order (tasks without a position first). Tasks that take no time are always included.
 * @param minutes whole minutes
 */
export function fillTime<T extends Doable>(all: readonly T[], minutes: number, today: Day): T[] {
  const room = Math.max(0, Math.floor(minutes));
  const timed = all.filter((t) => t.minutes > 0);
  // best[m]: greatest usefulness within m minutes, with the tasks that give it
  let best: { worth: number; of: readonly T[] }[] = Array.from({ length: room + 1 }, () => ({ worth: 0, of: [] }));
  for (const t of timed) {
    const cost = Math.ceil(t.minutes);
    const worth = usefulness(t, today);
    best = best.map((b, m) => {
      const before = m >= cost ? at(best, m - cost) : null;
      return before && before.worth + worth > b.worth + 1e-9
        ? { worth: before.worth + worth, of: [...before.of, t] }
        : b;
    });
  }
  const chosen = new Set<T>([...all.filter((t) => t.minutes <= 0), ...at(best, room).of]);
  return inWalkingOrder(all.filter((t) => chosen.has(t)));
}

/** Groups by bed or pot in walking order; keeps the given order within each. */
function inWalkingOrder<T extends Pick<Doable, 'order'>>(list: readonly T[]): T[] {
  return [...list].sort((a, b) => (a.order ?? -1) - (b.order ?? -1));
}
