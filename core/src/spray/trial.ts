import type { Spraying } from '../records/record-classes.js';
import type { SignCode } from '../records/vocabulary/signs.js';
import { addDays, type Day, daysBetween } from '../units/day.js';
import { type SprayCode, TRIAL_DAYS, TRIAL_LASTS_DAYS } from './limits.js';

/**
 * The state of the test on one leaf: nothing is sprayed whole until it was checked 24 hours later and found unburnt
 * (common practice).
 */
export type Trial =
  | { state: 'try' }
  | { state: 'wait'; until: Day; triedOn: Day }
  | { state: 'look'; triedOn: Day }
  | { state: 'passed'; triedOn: Day }
  | { state: 'burnt'; triedOn: Day; seenOn: Day };

/** Signs of too much spray. */
const BURNS: readonly SignCode[] = [
  'leaf-tip-burn',
  'leaf-bleached-patches',
  'leaf-small-dark-spots',
  'leaf-yellow-patches',
];

interface Look {
  date: Day;
  signs: readonly { sign: SignCode; present: boolean }[];
}

/** @param sprays of the plants of one crop in the garden, with the looks at each plant; oldest first */
export function trialOf(
  spray: SprayCode,
  sprays: readonly { spray: Spraying; looks: readonly Look[] }[],
  today: Day,
): Trial {
  const own = sprays.filter(
    ({ spray: s }) => s.product === spray && s.date <= today && daysBetween(s.date, today) <= TRIAL_LASTS_DAYS,
  );
  const tried = own.findLast(({ spray: s }) => s.trial);
  if (!tried) return { state: 'try' };
  const triedOn = tried.spray.date;
  const from = addDays(triedOn, TRIAL_DAYS);
  if (today < from) return { state: 'wait', until: from, triedOn };
  const after = tried.looks.filter((l) => l.date >= from && l.date <= today);
  // signs it had before the test are not from it
  const before = new Set(
    tried.looks.filter((l) => l.date <= triedOn).flatMap((l) => l.signs.filter((s) => s.present).map((s) => s.sign)),
  );
  const burnt = after.find((l) => l.signs.some((s) => s.present && BURNS.includes(s.sign) && !before.has(s.sign)));
  if (burnt) return { state: 'burnt', triedOn, seenOn: burnt.date };
  return after.length > 0 ? { state: 'passed', triedOn } : { state: 'look', triedOn };
}
