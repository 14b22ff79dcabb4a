/** Making a calendar of a time zone takes tens of milliseconds, so each is made once. There are a few hundred zones. */
const CLOCKS = new Map<string, Intl.DateTimeFormat>();
const MOST_CLOCKS = 1000;

/**
 * Returns what a clock in a time zone shows.
 * @param at ms since 1970
 * @returns date and time, to the minute
 * @throws RangeError for a zone that does not exist
 * @example wallClock('Europe/Rome', 0) // '1970-01-01T01:00'
 */
export function wallClock(timeZone: string, at: number): string {
  let clock = CLOCKS.get(timeZone);
  if (!clock) {
    clock = new Intl.DateTimeFormat('en-CA', {
      timeZone,
      year: 'numeric',
      month: '2-digit',
      day: '2-digit',
      hour: '2-digit',
      minute: '2-digit',
      hourCycle: 'h23',
    });
    if (CLOCKS.size >= MOST_CLOCKS) CLOCKS.clear();
    CLOCKS.set(timeZone, clock);
  }
  return clock.format(at).replace(', ', 'T');
}
