import type { PlantCase } from '../records/plant-case.js';
import type { SoilCheck } from '../records/record-classes.js';
import { isPotted } from '../records/place.js';
import { addDays, type Day, daysBetween } from '../units/day.js';
import {
  calibratedSd,
  DROOPED,
  FEEL,
  fractionFromWeight,
  type Measured,
  PROBE_SD,
  RAN_THROUGH,
} from './corrections.js';
import { at, first } from '../units/lists.js';
import { gaveWater } from './watering.js';

/** Depth of a finger check if not recorded: the second knuckle, cm. */
const FINGER_CM = 5;
/** Days for which a watering keeps the top of a pot damp (judgement). */
const DAMP_TOP_DAYS = 2;
/** Error of a damp finger then (judgement): it corrects a little, and teaches nothing about the pot. */
const DAMP_TOP_SD = 0.35;
const FELT_SIGNS = { 'soil-dry-deep': 'dry', 'soil-damp-deep': 'damp', 'soil-wet-deep': 'wet' } as const;

/**
 * Returns the best measurement of each day, up to the day of the question: a pot's weight before water that ran
 * through, water that stands on the soil, then a plant drooping over dry soil, a finger (a record or a sign of that day), a probe. A check comes
 * before that day's watering, unless it says otherwise.
 */
export function measuredByDay(c: Pick<PlantCase, 'records' | 'observations' | 'asOf' | 'place'>): Map<Day, Measured> {
  const best = new Map<Day, Measured>();
  const { potWeights, soilChecks, watering } = c.records;
  const wateredOn = new Set(watering.filter(gaveWater).map((w) => w.date));
  const put = (day: Day, m: Measured, after = false): void => {
    if (day > c.asOf || best.has(day)) return;
    best.set(day, !after && wateredOn.has(day) ? { ...m, beforeWater: true } : m);
  };
  // the newest of a day counts
  for (const w of [...potWeights].reverse()) {
    const known = potWeights.filter((x) => x.date <= w.date);
    const anchors = {
      dryKg: known.findLast((x) => x.state === 'dry')?.kg,
      drainedKg: known.findLast((x) => x.state === 'drained')?.kg,
    };
    if (w.state === 'drained') put(w.date, { fraction: 1, sd: 0.05, by: 'weight' }, true);
    else if (w.state === 'dry') put(w.date, { fraction: 0.1, sd: 0.05, by: 'weight' });
    else {
      const estimate = fractionFromWeight(w.kg, anchors);
      if (estimate) put(w.date, { ...estimate, by: 'weight' }, w.after);
    }
  }
  // water that stands has filled the soil below it
  for (const o of c.observations)
    if (o.present && o.sign === 'soil-pooling') put(o.date, { ...RAN_THROUGH, by: 'drained', only: 'raises' }, true);
  for (const w of watering) if (w.end === 'ran-through') put(w.date, { ...RAN_THROUGH, by: 'drained' }, true);
  const seen = c.observations.filter((o) => o.present);
  const on = (day: Day, sign: string): boolean => seen.some((o) => o.date === day && o.sign === sign);
  const felt = [
    ...soilChecks.map((s) => ({
      date: s.date,
      feel: s.feel,
      probe: s.by === 'probe',
      share: s.by === 'probe' ? (s.share ?? null) : null,
      calibratedOn: s.calibratedOn ?? null,
      depthCm: s.depthCm ?? FINGER_CM,
      after: s.after === true,
    })),
    ...seen.flatMap((o) => {
      const feel = FELT_SIGNS[o.sign as keyof typeof FELT_SIGNS];
      return feel
        ? [{ date: o.date, feel, probe: false, share: null, calibratedOn: null, depthCm: FINGER_CM, after: false }]
        : [];
    }),
  ];
  // the last of a day counts
  const newest = [...felt.filter((f) => f.after).reverse(), ...felt.filter((f) => !f.after).reverse()];
  for (const f of felt)
    if (f.feel === 'dry' && !f.probe && on(f.date, 'leaf-wilt')) put(f.date, { ...DROOPED, by: 'droop' }, f.after);
  // water fills a pot from the top down: soon after a watering its top is damp, whatever is below
  const wetsTop = (day: Day): boolean =>
    isPotted(c.place) && [1, DAMP_TOP_DAYS].some((back) => wateredOn.has(addDays(day, -back)));
  const says = (f: (typeof felt)[number]): Partial<Measured> =>
    f.feel === 'damp' && wetsTop(f.date) ? { sd: DAMP_TOP_SD, teaches: false } : directionOf(f.feel);
  for (const f of newest)
    if (!f.probe) put(f.date, { ...FEEL[f.feel], by: 'finger', depthCm: f.depthCm, ...says(f) }, f.after);
  for (const f of newest)
    if (f.share !== null) {
      const sd = calibratedSd(f.calibratedOn ? Math.max(0, daysBetween(f.calibratedOn, f.date)) : OLD_DAYS);
      put(f.date, { fraction: f.share, sd, by: 'probe', depthCm: f.depthCm }, f.after);
    }
  for (const f of newest)
    if (f.probe) put(f.date, { ...FEEL[f.feel], sd: PROBE_SD, by: 'probe', depthCm: f.depthCm, ...says(f) }, f.after);
  return best;
}

/** A probe whose calibration is not dated counts as one of half a year ago (judgement). */
const OLD_DAYS = 180;

/** "Damp" may correct either way. */
const directionOf = (feel: 'dry' | 'damp' | 'wet'): Pick<Measured, 'only'> =>
  feel === 'dry' ? { only: 'lowers' } : feel === 'wet' ? { only: 'raises' } : {};

/** Equal readings in a row after which a probe should be checked. */
const STUCK_AFTER = 5;

/** Fingers that say something else, from which a probe should be calibrated again, and how far back they count. */
const OTHERWISE = 3;
const COMPARED_DAYS = 60;

/**
 * Returns that fingers contradict a calibrated probe: "The probe says 60 %, but three finger checks said dry. Calibrate it
 * again." Null if they do not, or if no finger felt the soil on days with a reading.
 */
export function probeAgainstFingers(checks: readonly SoilCheck[], today: Day): string | null {
  const lately = checks.filter((s) => s.date <= today && daysBetween(s.date, today) <= COMPARED_DAYS);
  const readings = new Map(
    lately.flatMap((s) => (s.by === 'probe' && s.share != null ? [[s.date, s.share] as const] : [])),
  );
  const [newest] = [...readings.entries()].sort(([a], [b]) => (a < b ? 1 : -1));
  if (!newest) return null;
  for (const feel of ['dry', 'wet'] as const) {
    const times = lately.filter((s) => {
      const share = readings.get(s.date);
      return s.by !== 'probe' && s.feel === feel && share !== undefined && contradicts(feel, share);
    }).length;
    if (times >= OTHERWISE)
      return `The probe says ${Math.round(100 * newest[1])} %, but ${times === 3 ? 'three' : times} finger checks said ${feel}. Calibrate it again.`;
  }
  return null;
}

/** Dry fingers against a store that is more than half full, wet ones against one that is less than half full. */
const contradicts = (feel: 'dry' | 'wet', share: number): boolean => (feel === 'dry' ? share >= 0.55 : share <= 0.45);

/**
 * Returns what is odd about a probe's readings: it repeats itself, or jumps from dry to wet with no watering
 * recorded. Null if nothing is.
 */
export function probeFault(c: Pick<PlantCase, 'records' | 'asOf'>): string | null {
  const against = probeAgainstFingers(c.records.soilChecks, c.asOf);
  if (against) return `t${against.slice(1, -1)}`;
  // a calibrated probe sends every morning: the same word again and again is no fault
  const list = c.records.soilChecks.filter((s) => s.by === 'probe' && s.share == null && s.date <= c.asOf);
  const last = list.slice(-STUCK_AFTER);
  if (last.length === STUCK_AFTER && last.every((s) => s.feel === first(last).feel))
    return `the probe has shown ${first(last).feel} ${STUCK_AFTER} times in a row: clean it, move it, and check with a finger`;
  for (let i = list.length - 1; i > 0; i--) {
    const [a, b] = [at(list, i - 1), at(list, i)];
    const came = [...c.records.watering.filter(gaveWater), ...c.records.weather.filter((w) => w.rainMm >= 2)];
    if (a.feel === 'dry' && b.feel === 'wet' && !came.some((x) => x.date >= a.date && x.date <= b.date))
      return 'the probe jumped from dry to wet with no watering recorded: check with a finger, or record the watering';
  }
  return null;
}
