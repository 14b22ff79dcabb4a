import type { TaskDto, TaskSourceCode, WeekLine } from '@candid-leaf/contract';
import { addDays, type Day, type Formatter } from '@candid-leaf/core/units';
import { titleWithAmount } from './title-with-amount.js';

/** Days after today that are still this week's. */
const DAYS_AHEAD = 6;
/** What is looked at rather than done. */
const WATCHED: ReadonlySet<TaskSourceCode> = new Set<TaskSourceCode>(['ahead', 'look-again', 'trial', 'walk']);

/**
 * Returns what comes in the days after today, by day: work first, then what to watch. What is due or on hold stands on
 * Today already.
 */
export function thisWeek(tasks: readonly TaskDto[], today: Day, format: Formatter): WeekLine[] {
  const until = addDays(today, DAYS_AHEAD);
  return tasks
    .filter((t) => !t.held && t.dueOn > today && t.dueOn <= until)
    .map((t): WeekLine => ({
      key: t.key,
      on: t.dueOn,
      title: titleWithAmount(t, format),
      placeId: t.placeId,
      plantId: t.plantId,
      watch: WATCHED.has(t.source),
    }))
    .sort((a, b) => Number(a.watch) - Number(b.watch) || (a.on < b.on ? -1 : a.on > b.on ? 1 : 0));
}
