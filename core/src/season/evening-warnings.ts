import { addDays, type Day } from '../units/day.js';
import { joined } from '../units/formatter.js';
import { first } from '../units/lists.js';

/** What a warning on the evening before is about, the most urgent first. */
export const WARNING_EVENTS = ['frost', 'storm', 'heat', 'rain', 'blight', 'cold'] as const;
/** One of these events. */
export type WarningEvent = (typeof WARNING_EVENTS)[number];

/** An event that a task prepares for, and the day it comes: for frost and cold nights the day whose dawn it is. */
export interface WarnsOf {
  event: WarningEvent;
  on: Day;
}

/** A task that prepares for an event. */
export interface WarningTask {
  warns?: WarnsOf;
  /** name of its bed or pot */
  place: string;
  why: string;
  /** what to do, first things first */
  acts: readonly { on: Day; text: string }[];
}

/** One warning: what comes tomorrow, where, and the two things to do. */
export interface EveningWarning extends WarnsOf {
  title: string;
  why: string;
  places: string[];
  /** at most two */
  acts: string[];
}

const TITLES: Readonly<Record<WarningEvent, string>> = {
  frost: 'Frost tonight',
  cold: 'A cold night for young plants',
  heat: 'Heat from tomorrow',
  storm: 'Strong wind tomorrow',
  rain: 'Much rain on ripe fruit tomorrow',
  blight: 'Blight weather tomorrow',
};

/** What is done second where a task names one act only (common practice). */
const BESIDES: Readonly<Partial<Record<WarningEvent, string>>> = {
  rain: 'Put a rain cover on, if the bed has one.',
  blight: 'Take spotted leaves off while they are dry, and put them in the bin.',
};

const MOST_ACTS = 2;
const MOST_NAMED = 2;

/**
 * Returns the warnings for the evening of a day: one for each event that comes the day after, whatever the number of its
 * beds. An event that has begun already, or comes later, gives none.
 */
export function eveningWarnings(today: Day, tasks: readonly WarningTask[]): EveningWarning[] {
  const tomorrow = addDays(today, 1);
  return WARNING_EVENTS.flatMap((event): EveningWarning[] => {
    const own = tasks.filter((t) => t.warns?.event === event && t.warns.on === tomorrow);
    if (own.length === 0) return [];
    const places = [...new Set(own.map((t) => t.place))];
    const said = own.flatMap((t) =>
      t.acts
        .filter((a) => a.on <= tomorrow)
        .slice(0, MOST_ACTS)
        .map((a) => ({ place: t.place, text: a.text })),
    );
    // amounts differ between beds: the first bed's are named as such
    const acts = [...new Map(said.map((a) => [a.text, a])).values()].map((a) =>
      places.length > 1 && said.filter((b) => b.text === a.text).length === 1 ? `${a.place}: ${a.text}` : a.text,
    );
    const more = BESIDES[event];
    const named = [
      ...places.slice(0, MOST_NAMED),
      ...(places.length > MOST_NAMED ? [`${places.length - MOST_NAMED} more`] : []),
    ];
    return [
      {
        event,
        on: tomorrow,
        title: `${TITLES[event]}: ${joined(named)}`,
        why: first(own).why,
        places,
        acts: [...acts, ...(more ? [more] : [])].slice(0, MOST_ACTS),
      },
    ];
  });
}
