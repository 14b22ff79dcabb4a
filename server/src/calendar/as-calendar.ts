import { createHash } from 'node:crypto';
import { addDays, type Day } from '@candid-leaf/core/units';
import ical from 'ical-generator';

/** One all-day entry. */
export interface Entry {
  /** stable between readings, so a calendar moves it instead of doubling it */
  id: string;
  from: Day;
  /** its last day */
  to: Day;
  title: string;
  text: string;
  /** rings on the morning of its day */
  alarm?: boolean;
}

/** How often a calendar program should refresh, s. */
const TTL_S = 4 * 3600;

/** Alarms ring this long after midnight, s: at seven, before the sun is high. */
const ALARM_S = 7 * 3600;

/** Writes an iCalendar file (RFC 5545): all-day events that end on the day after their last. */
export function asCalendar(name: string, entries: readonly Entry[], now: Date): string {
  // a name saved before line ends were refused
  const calendar = ical({
    name: name.replace(/[\p{Cc}\u2028\u2029]+/gu, ' '),
    prodId: { company: 'Candid Leaf', product: 'garden', language: 'EN' },
    ttl: TTL_S,
  });
  for (const e of entries) {
    const event = calendar.createEvent({
      id: `${createHash('sha256').update(e.id).digest('hex').slice(0, 32)}@candid-leaf`,
      stamp: now,
      start: midnight(e.from),
      end: midnight(addDays(e.to, 1)),
      allDay: true,
      summary: e.title,
      description: e.text,
      transparency: 'TRANSPARENT' as never,
    });
    if (e.alarm) event.createAlarm({ type: 'display' as never, triggerAfter: ALARM_S, description: e.title });
  }
  return calendar.toString();
}
/** The library writes the UTC day of an instant, whatever the machine's time zone. */
const midnight = (day: Day): Date => new Date(`${day}T00:00:00Z`);
