import { createHash } from 'node:crypto';
import { addDays, type Day } from '@candid-leaf/core/units';
import ical from 'ical-generator';

/** One thing of whole days. */
export interface Entry {
  /** stays the same from reading to reading, so that a calendar moves it and does not double it */
  id: string;
  from: Day;
  /** its last day */
  to: Day;
  title: string;
  text: string;
}

/** How often a calendar program should look again, s. */
const TTL_S = 4 * 3600;

/** An iCalendar file (RFC 5545): all-day events, whose end is the day after their last. */
export function asCalendar(name: string, entries: readonly Entry[], now: Date): string {
  const calendar = ical({ name, prodId: { company: 'Candid Leaf', product: 'garden', language: 'EN' }, ttl: TTL_S });
  for (const e of entries)
    calendar.createEvent({
      id: `${createHash('sha256').update(e.id).digest('hex').slice(0, 32)}@candid-leaf`,
      stamp: now,
      start: midnight(e.from),
      end: midnight(addDays(e.to, 1)),
      allDay: true,
      summary: e.title,
      description: e.text,
      transparency: 'TRANSPARENT' as never,
    });
  return calendar.toString();
}
/** The library writes the day that a moment has at Greenwich, whatever the machine's own time zone. */
const midnight = (day: Day): Date => new Date(`${day}T00:00:00Z`);
