import { isPotted } from '../records/place.js';
import type { PlantCase } from '../records/plant-case.js';
import { type Day, daysBetween } from '../units/day.js';
import type { Balance } from './balance.js';
import type { BalanceDay } from './run.js';

/**
 * "None recorded" is not "none given". A day of the balance is known where somebody wrote down what the plant got (or felt its
 * soil, or weighed its pot) not long before, or where it stayed moist by planting in and rain alone: then more water would have
 * changed nothing. Whatever else the model says of a day is only what would be if nothing had been given.
 */

/** So long a log may be silent, days: a pot that got nothing for longer would be dead, a bed would be bone dry (judgement). */
export const silenceLasts = (place: PlantCase['place']): number => (isPotted(place) ? 10 : 21);

/** Days on which something was written down of the water; 0 litres says that none was given. */
function wordsOnWater(c: Pick<PlantCase, 'records' | 'observations'>): Set<Day> {
  const { watering, soilChecks, potWeights } = c.records;
  return new Set([
    ...[...watering, ...soilChecks, ...potWeights].map((r) => r.date),
    ...c.observations
      .filter((o) => o.present && /^(soil-(dry|damp|wet)-deep|pot-(light|heavy))$/.test(o.sign))
      .map((o) => o.date),
  ]);
}

/** Marks each day of a balance as known or not; in order, from the first on. */
export function markKnown(
  c: Pick<PlantCase, 'place' | 'records' | 'observations'>,
  days: BalanceDay[],
  startKnown: boolean,
): void {
  const words = wordsOnWater(c);
  const lasts = silenceLasts(c.place);
  // how much a pot holds decides everything in it
  const sized = !isPotted(c.place) || c.place.volumeL != null;
  let last: Day | null = null;
  let moist = startKnown;
  for (const day of days) {
    if (words.has(day.date)) last = day.date;
    if (day.depletionMm <= 0) moist = true;
    else if (day.depletionMm > day.rawMm) moist = false;
    day.known = sized && (moist || (last !== null && daysBetween(last, day.date) <= lasts));
  }
}

/** Is it known how the water stands on the day of the question? */
export const isKnown = ({ days }: Pick<Balance, 'days'>): boolean => days.at(-1)?.known ?? false;
