import type { Irrigation } from '../records/place.js';
import type { TimerSet } from '../records/record-classes.js';
import type { Day } from '../units/day.js';
import { roundTo } from '../units/rounding.js';

// Water kit: how it is made and chosen, and what a timer gives (common practice, from memory).

/** What to know of a way to bring water to a bed or pot. */
interface WaterKit {
  irrigation: Irrigation;
  label: string;
  /** what it is good for, and what it costs */
  line: string;
  steps: readonly string[];
}

/** Ways that need some making or choosing. */
export const WATER_KIT: readonly WaterKit[] = [
  {
    irrigation: 'buried-bottle',
    label: 'Buried bottle',
    line: 'For single plants and pots: water goes to the roots, and little is lost.',
    steps: [
      'Wash a bottle. Pierce small holes in its base and lower sides, none near its neck; leave no sharp edges.',
      'Bury it beside the plant at planting, with its neck above the soil.',
      'Fill it through the neck, and cap it loosely against mosquitoes.',
      'Replace it when it gets brittle, before it breaks up in the soil.',
    ],
  },
  {
    irrigation: 'drip',
    label: 'Drip line',
    line: 'Even over many metres and on slopes, and each plant gets its own emitters. It costs more, and lasts for years.',
    steps: [
      'One emitter for a young plant, two to four for a grown one, on both sides of its stem.',
      'A filter before it, and open the end once a month: emitters clog.',
    ],
  },
  {
    irrigation: 'soaker',
    label: 'Soaker hose',
    line: 'Cheap and quick to lay in one short, level row. It gives less at its far end, and wears in the sun.',
    steps: ['No longer than 15 m (50 ft), at low pressure.', 'Under mulch it lasts longer and loses less.'],
  },
];

/** Flow of a usual emitter, L/h. */
export const EMITTER_L_H = 2;
/** About how long a morning's watering should run, h (judgement). */
const RUN_H = 1;
const MOST_EMITTERS = 4;

/**
 * Returns how many emitters of 2 L an hour a plant needs, so that about an hour replaces what it uses on a hot day, and how
 * long they then run, minutes.
 * @param litresPerDay of one plant
 * @example emittersFor(3) // { count: 2, minutes: 45 }
 */
export function emittersFor(litresPerDay: number): { count: number; minutes: number } {
  const count = Math.max(1, Math.min(MOST_EMITTERS, Math.ceil(litresPerDay / (EMITTER_L_H * RUN_H))));
  return { count, minutes: Math.ceil((60 * litresPerDay) / (count * EMITTER_L_H)) };
}

/** A setting of a timer with what it gives. */
export interface TimerGives {
  since: Day;
  /** of one plant; 0 while it is switched off, null if the flow is not known */
  litresPerDay: number | null;
  startHour: number | null;
}

/**
 * Returns what each setting of a timer gives a day, newest first.
 * @param settings oldest first
 * @param litresOf litres of one run for one plant; null if not known
 */
export const timerGives = (settings: readonly TimerSet[], litresOf: (set: TimerSet) => number | null): TimerGives[] =>
  settings
    // a setting that was only confirmed is the one before
    .filter((set) => set.since === undefined)
    .reverse()
    .map((set) => {
      const litres = set.off ? 0 : litresOf(set);
      return {
        since: set.date,
        litresPerDay: litres === null ? null : roundTo(litres / (set.off ? 1 : (set.everyDays ?? 1)), 2),
        startHour: set.startHour ?? null,
      };
    });

/** In these hours much of the water goes to the air (common practice). */
const MIDDAY = { from: 10, to: 17 } as const;
/**
 * Returns whether a timer starts when much of its water is lost.
 * @example startsInHeat(13) // true
 */
export const startsInHeat = (hour: number | null): boolean => hour !== null && hour >= MIDDAY.from && hour < MIDDAY.to;
