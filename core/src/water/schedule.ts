import type { TimerSet } from '../records/water-records.js';
import { addDays, type Day, daysBetween } from '../units/day.js';

// A plain timer on the tap: it waters every few days for some minutes, until it is changed.

/** Rain at which a timer's rain sensor, or its owner, skips a run, mm (common sensors: 3 to 6). */
const SKIPS_AT_MM = 4;

/** One run of a timer. */
export interface TimerRun {
  date: Day;
  minutes?: number;
  /** per plant */
  litres?: number;
}

/**
 * Returns the runs of a timer between two days, both included. Each setting holds until the next one.
 * @param timers oldest first
 * @param rainMm rain of a day where it waters, mm; 0 if unknown
 * @example timerRuns([{ date: '2026-05-01', everyDays: 2, minutes: 20 }], '2026-05-02', '2026-05-05', () => 0)
 * // runs on 3 and 5 May
 */
export function timerRuns(timers: readonly TimerSet[], from: Day, to: Day, rainMm: (day: Day) => number): TimerRun[] {
  return timers.flatMap((t, i): TimerRun[] => {
    const every = t.everyDays;
    if (t.off || !every) return [];
    const next = timers[i + 1]?.date;
    const start = t.since ?? t.date;
    const first = t.date > from ? t.date : from;
    const last = next && addDays(next, -1) < to ? addDays(next, -1) : to;
    // the cycle may have begun on any day, even a later one by a slip
    const behind = ((daysBetween(start, first) % every) + every) % every;
    const runs: TimerRun[] = [];
    for (let day = addDays(first, behind === 0 ? 0 : every - behind); day <= last; day = addDays(day, every)) {
      const wet = t.skipsRain === true && Math.max(rainMm(day), rainMm(addDays(day, -1))) >= SKIPS_AT_MM;
      if (!wet)
        runs.push({
          date: day,
          ...(t.minutes != null ? { minutes: t.minutes } : {}),
          ...(t.litres != null ? { litres: t.litres } : {}),
        });
    }
    return runs;
  });
}

/** Days after which "still right?" is asked again. */
export const TIMER_ASKED_EVERY_DAYS = 7;

/**
 * Returns the setting in force on a day; null if there is none or it is off.
 * @param timers oldest first
 */
export function timerOn(timers: readonly TimerSet[], day: Day): TimerSet | null {
  const set = timers.findLast((t) => t.date <= day);
  return set && !set.off && set.everyDays ? set : null;
}
