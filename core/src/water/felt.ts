import type { PlantCase } from '../records/plant-case.js';
import { isPotted } from '../records/place.js';
import type { SignCode } from '../records/vocabulary/signs.js';
import { addDays, type Day, daysBetween } from '../units/day.js';
import { fractionFromWeight } from './corrections.js';

/**
 * What is known of the soil by hand, and for how long that holds. Today's word beats all before; one that is older lapses after
 * a day in a pot and three in a bed, and with any watering or rain since that would change the answer (handbook).
 */
export interface Felt {
  feel: 'dry' | 'damp' | 'wet';
  on: Day;
  by: 'sign' | 'weight' | 'finger' | 'probe';
}

const SIGN_FEEL: Partial<Record<SignCode, Felt['feel']>> = {
  'soil-dry-deep': 'dry',
  'soil-damp-deep': 'damp',
  'soil-wet-deep': 'wet',
};
/** Signs that speak of the hour in which they were seen: they lapse as a check does. */
const FLEETING: ReadonlySet<SignCode> = new Set<SignCode>([
  'soil-dry-deep',
  'soil-damp-deep',
  'soil-wet-deep',
  'pot-light',
  'pot-heavy',
  'soil-pooling',
  'soil-pulls-from-pot',
]);
export const isFleeting = (sign: SignCode): boolean => FLEETING.has(sign);

export const checkLastsDays = (place: PlantCase['place']): number => (isPotted(place) ? 1 : 3);

/** Rain that reaches a finger's depth, mm; less only wets leaves and mulch. */
const TELLING_RAIN_MM = 5;
/** A weighed pot under the one share of its water is dry, over the other it is wet (judgement, as the feel of a finger). */
const LIGHT_LEFT = 0.35;
const HEAVY_LEFT = 0.85;

type Told = Pick<PlantCase, 'asOf' | 'place' | 'records' | 'observations'>;

/** Does a word on the soil of that day still hold on the day of the question? */
export function stillHolds(c: Told, on: Day, feel: Felt['feel'], ownRainMm: (day: Day) => number): boolean {
  if (on === c.asOf) {
    // felt, then watered: a dry or damp finger of that morning is past
    return feel === 'wet' || !c.records.watering.some((w) => w.date === on && w.litres > 0 && !w.end);
  }
  if (daysBetween(on, c.asOf) > checkLastsDays(c.place)) return false;
  if (feel === 'wet') return true;
  const watered = c.records.watering.some((w) => w.date >= on && w.date <= c.asOf && w.litres > 0);
  const days = Array.from({ length: daysBetween(on, c.asOf) }, (_, i) => addDays(on, i + 1));
  return !watered && days.every((day) => ownRainMm(day) < TELLING_RAIN_MM);
}

/** The newest word on the soil that still holds; null where nobody has one. On one day a sign of the look beats a weight, that a finger, that a probe. */
export function feltNow(c: Told, ownRainMm: (day: Day) => number): Felt | null {
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
    words.push({ feel: s.feel, on: s.date, by: s.by === 'probe' ? 'probe' : 'finger' });
  const rank = { sign: 3, weight: 2, finger: 1, probe: 0 };
  const newest = words.reduce<Felt | null>(
    (best, w) =>
      w.on <= c.asOf && (!best || w.on > best.on || (w.on === best.on && rank[w.by] >= rank[best.by])) ? w : best,
    null,
  );
  return newest && stillHolds(c, newest.on, newest.feel, ownRainMm) ? newest : null;
}
