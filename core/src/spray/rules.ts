import type { Fault } from '../records/faults.js';
import type { Spraying } from '../records/record-classes.js';
import { METRIC_FORMAT } from '../units/formatter.js';
import { type Day, daysBetween } from '../units/day.js';
import { pickFrom, SPRAY_WORDS, enterFrom } from './gates.js';
import { conflictOf, waitUnknown } from './limits.js';
import { capital } from '../units/text.js';

/** Latest hour of spraying: the waiting time counts from there. */
const LATEST_HOUR = 21;
const WAY_OUT = 'if it happened anyway, say why and it will be saved';

/**
 * Returns whether fruit must still wait on a day. A test on one leaf counts like any spray: Today, the plant's page and
 * a picking ask this one question, and where the label sets a wait the cautious answer costs a few days at most.
 */
const isWaiting = (s: Spraying, on: Day): boolean => s.date <= on && pickFrom(s) > on;

/** Refuses two sprays that conflict, before or after, when they are recorded. */
export function conflictFaults(s: Spraying, others: readonly Spraying[], path: string): Fault[] {
  if (s.because?.trim()) return [];
  for (const o of others) {
    const conflict = conflictOf(s.product, o.product);
    const days = Math.abs(daysBetween(o.date, s.date));
    if (conflict && days < conflict.days)
      return [
        {
          path: `${path}product`,
          reason: `conflicts with ${SPRAY_WORDS[o.product]} of ${METRIC_FORMAT.day(o.date)}: ${conflict.because}; leave ${conflict.days} days between them. ${capital(WAY_OUT)}`,
        },
      ];
  }
  return [];
}

/** Refuses a picking before a spray's waiting time is over. */
export function waitFaults(
  pickedOn: Day,
  because: string | undefined,
  sprays: readonly Spraying[],
  path: string,
): Fault[] {
  if (because?.trim()) return [];
  const waiting = sprays.find((s) => isWaiting(s, pickedOn));
  return waiting
    ? [
        {
          path: `${path}date`,
          reason: waitUnknown(waiting)
            ? `${waiting.name ?? SPRAY_WORDS[waiting.product]} was sprayed on ${METRIC_FORMAT.day(waiting.date)} and its waiting time is not recorded: read the label, and add it to that record. Do not eat the fruit before; ${WAY_OUT}`
            : `${waiting.name ?? SPRAY_WORDS[waiting.product]} was sprayed on ${METRIC_FORMAT.day(waiting.date)}: its label says not to pick before ${METRIC_FORMAT.day(pickFrom(waiting))}. Wash it, and do not eat it yet; ${WAY_OUT}`,
        },
      ]
    : [];
}

/** Days on which a re-entry time is running, whatever hour it was sprayed at. */
export const keepOutOn = (today: Day, sprays: readonly Spraying[]): { spray: Spraying; until: Day }[] =>
  sprays
    .filter((s) => (s.reentryHours ?? 0) > 0 && s.date <= today)
    .map((spray) => ({ spray, until: enterFrom({ date: spray.date, hour: LATEST_HOUR }, spray.reentryHours!).day }))
    .filter(({ until }) => until >= today);

/** Sprays whose waiting time is not over: until when not to pick, the longest for each product. */
export function waitsOn(today: Day, sprays: readonly Spraying[]): { spray: Spraying; until: Day }[] {
  return sprays.filter((s) => isWaiting(s, today)).map((spray) => ({ spray, until: pickFrom(spray) }));
}
