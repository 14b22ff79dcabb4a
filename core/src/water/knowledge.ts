import { isPotted } from '../records/place.js';
import { SOIL_MOISTURE } from '../records/vocabulary/sign-groups.js';
import type { PlantCase } from '../records/plant-case.js';
import { type Day, daysBetween } from '../units/day.js';
import type { BalanceDay } from './run.js';

/**
 * "Not recorded" does not mean "not given". A day of the balance is known if someone recorded what the plant got (or
 * checked its soil, or weighed its pot) shortly before, or if it stayed moist from planting in and rain alone: more
 * water would have changed nothing then. Otherwise the model only says what would be if nothing had been given.
 */

/** Days a log may be silent: a pot without water for longer would be dead, a bed bone dry (judgement). */
const silenceLasts = (place: PlantCase['place']): number => (isPotted(place) ? 10 : 21);

/** Days with a record about water; 0 litres means none was given. */
function wordsOnWater(c: Pick<PlantCase, 'records' | 'observations'>): Set<Day> {
  const { watering, soilChecks, potWeights } = c.records;
  return new Set([
    ...[...watering, ...soilChecks, ...potWeights].map((r) => r.date),
    ...c.observations.filter((o) => o.present && SOIL_MOISTURE.has(o.sign)).map((o) => o.date),
  ]);
}

/**
 * Marks each day of a balance as known or not, from the first on.
 * @param plantedUntil a plant that was set out just now needs its water whatever the soil holds: known until this day
 */
export function markKnown(
  c: Pick<PlantCase, 'place' | 'records' | 'observations'>,
  days: BalanceDay[],
  startKnown: boolean,
  plantedUntil: Day | null = null,
): void {
  const words = wordsOnWater(c);
  const lasts = silenceLasts(c.place);
  // everything in a pot depends on its size
  const sized = !isPotted(c.place) || c.place.volumeL != null;
  let last: Day | null = null;
  let moist = startKnown;
  for (const day of days) {
    if (words.has(day.date)) last = day.date;
    if (day.depletionMm <= 0) moist = true;
    else if (day.depletionMm > day.rawMm) moist = false;
    const justPlanted = plantedUntil !== null && day.date <= plantedUntil;
    day.known = sized && (moist || justPlanted || (last !== null && daysBetween(last, day.date) <= lasts));
  }
}

/** Returns whether the water is known on the day of the question. */
export const isKnown = ({ days }: { days: readonly BalanceDay[] }): boolean => days.at(-1)?.known ?? false;
