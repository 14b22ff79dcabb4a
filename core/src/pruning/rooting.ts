import { addDays, type Day } from '../units/day.js';

/** A removed sucker of 10 to 20 cm shows roots in water after one to two weeks (common practice). */
const FIRST_LOOK_DAYS = 7;
/** Without roots it is looked at again twice a week. */
const LOOK_AGAIN_DAYS = 4;
/** One that has no roots by then rarely makes any (judgement). */
const GIVE_UP_DAYS = 28;

/** What was found on a sucker in water, and when; null if not yet. */
export interface Sucker {
  startedOn: Day;
  /** last look that found no roots */
  lookedOn: Day | null;
  rootsOn: Day | null;
}

/** The next step with a sucker in water: look for roots, or plant it once there are some. */
export interface RootingStep {
  step: 'look' | 'plant';
  title: string;
  on: Day;
  /** it has stood in water so long that roots are unlikely */
  late: boolean;
}

/**
 * Returns the next step of a sucker in water. It is planted when roots were seen, never by the calendar alone.
 * @example rootingOn({ startedOn: '2026-07-01', lookedOn: '2026-07-08', rootsOn: null }, '2026-07-09').on // '2026-07-12'
 */
export function rootingOn({ startedOn, lookedOn, rootsOn }: Sucker, today: Day): RootingStep {
  if (rootsOn !== null && rootsOn >= startedOn)
    return { step: 'plant', title: 'Plant it deep, with only the top leaves out', on: rootsOn, late: false };
  const on =
    lookedOn !== null && lookedOn >= startedOn
      ? addDays(lookedOn, LOOK_AGAIN_DAYS)
      : addDays(startedOn, FIRST_LOOK_DAYS);
  return {
    step: 'look',
    title: 'Look for roots and change the water',
    on,
    late: today >= addDays(startedOn, GIVE_UP_DAYS),
  };
}
