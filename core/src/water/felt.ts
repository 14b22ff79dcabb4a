import type { PlantCase } from '../records/plant-case.js';
import { isPotted } from '../records/place.js';
import type { SignCode } from '../records/vocabulary/signs.js';
import { addDays, type Day, daysBetween } from '../units/day.js';
import { fractionFromWeight } from './corrections.js';
import { gaveWater } from './watering.js';

/**
 * The latest soil check by hand, and how long it counts. Today's overrides all before; an older one expires after a
 * day in a pot and three in a bed, and with any later watering or rain that would change the answer (common
 * practice).
 */
export interface Felt {
  feel: 'dry' | 'damp' | 'wet';
  on: Day;
  by: 'sign' | 'weight' | 'finger' | 'probe';
  /** after that day's watering */
  after?: boolean;
}

const SIGN_FEEL: Partial<Record<SignCode, Felt['feel']>> = {
  'soil-dry-deep': 'dry',
  'soil-damp-deep': 'damp',
  'soil-wet-deep': 'wet',
};
/** Signs of the hour in which they were seen: they expire like a check. */
const FLEETING: ReadonlySet<SignCode> = new Set<SignCode>([
  'soil-dry-deep',
  'soil-damp-deep',
  'soil-wet-deep',
  'pot-light',
  'pot-heavy',
  'soil-pooling',
  'soil-pulls-from-pot',
]);
/** Returns whether a sign of water passes within hours. */
export const isFleeting = (sign: SignCode): boolean => FLEETING.has(sign);

const checkLastsDays = (place: PlantCase['place']): number => (isPotted(place) ? 1 : 3);

/** Rain that reaches finger depth, mm; less only wets leaves and mulch. */
const TELLING_RAIN_MM = 5;
/**
 * Below the first share of its water a weighed pot is dry, above the second it is wet (judgement, as a finger would
 * feel it).
 */
const LIGHT_LEFT = 0.35;
const HEAVY_LEFT = 0.85;

type FeltQuestion = Pick<PlantCase, 'asOf' | 'place' | 'records' | 'observations'>;

/** Returns whether a soil check of that day still counts on the day of the question. */
export function stillHolds(
  c: FeltQuestion,
  on: Day,
  feel: Felt['feel'],
  ownRainMm: (day: Day) => number,
  after = false,
): boolean {
  if (on === c.asOf) {
    // checked, then watered: a dry or damp check of that morning is out of date
    return feel === 'wet' || after || !c.records.watering.some((w) => w.date === on && gaveWater(w));
  }
  if (daysBetween(on, c.asOf) > checkLastsDays(c.place)) return false;
  if (feel === 'wet') return true;
  const watered = c.records.watering.some(
    (w) => (after ? w.date > on : w.date >= on) && w.date <= c.asOf && gaveWater(w),
  );
  const days = Array.from({ length: daysBetween(on, c.asOf) }, (_, i) => addDays(on, i + 1));
  return !watered && days.every((day) => ownRainMm(day) < TELLING_RAIN_MM);
}

/**
 * Returns the newest soil check that still counts; null if there is none. On one day a sign overrides a weight, that
 * a finger, that a probe.
 */
export function feltNow(c: FeltQuestion, ownRainMm: (day: Day) => number): Felt | null {
  const words: Felt[] = [];
  for (const o of c.observations) {
    const feel = SIGN_FEEL[o.sign];
    if (feel && o.present) words.push({ feel, on: o.date, by: 'sign' });
  }
  const anchor = (state: 'dry' | 'drained', by: Day): number | undefined =>
    c.records.potWeights.findLast((w) => w.date <= by && w.state === state)?.kg;
  for (const w of c.records.potWeights) {
    const left =
      w.state === 'dry'
        ? 0
        : w.state === 'drained'
          ? 1
          : fractionFromWeight(w.kg, { dryKg: anchor('dry', w.date), drainedKg: anchor('drained', w.date) })?.fraction;
    if (left !== undefined)
      words.push({ feel: left < LIGHT_LEFT ? 'dry' : left > HEAVY_LEFT ? 'wet' : 'damp', on: w.date, by: 'weight' });
  }
  for (const s of c.records.soilChecks)
    words.push({ feel: s.feel, on: s.date, by: s.by === 'probe' ? 'probe' : 'finger', after: s.after === true });
  const rank = { sign: 3, weight: 2, finger: 1, probe: 0 };
  const newest = words.reduce<Felt | null>(
    (best, w) =>
      w.on <= c.asOf && (!best || w.on > best.on || (w.on === best.on && rank[w.by] >= rank[best.by])) ? w : best,
    null,
  );
  return newest && stillHolds(c, newest.on, newest.feel, ownRainMm, newest.after) ? newest : null;
}
