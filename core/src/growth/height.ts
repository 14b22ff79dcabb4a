import type { Day } from '../units/day.js';
import { daysBetween } from '../units/day.js';
import { type Build, usualHeightM } from './course.js';
import type { GrowthNote } from './notes.js';

/** Scatter of height between plants, as a share (judgement: light, soil and variety). */
const BUILD_SD = 0.22;
/** Error of a measured height and of a word such as "hip high", as a share (judgement). */
const MEASURED_SD = 0.06;
const ROUGH_SD = 0.14;
/**
 * How far a plant leaves its own curve in two weeks, as a share (judgement: light, water and feed change its pace by a
 * quarter within a month; a word such as "knee high" says little of how it grows on).
 */
const DRIFT_SD = 0.12;
const DRIFT_DAYS = 14;

/** A pinched plant stands still until its side shoots take over, warm days (common practice: one to two weeks). */
const PINCHED_DAYS = 10;
/** A cordon without its tip grows no taller; a pepper or bush that was pinched branches and grows on. */
const stopsGrowing = ({ crop, habit }: Build): boolean => crop === 'tomato' && habit !== 'determinate';

interface HeightEstimate {
  heightM: number;
  sdM: number;
}

/**
 * Returns the height on a day, m: the usual curve of its build times this plant's own factor. Each height that was noted
 * corrects the factor as a Kalman filter does (Kalman 1960): by how sure each is.
 * @param warmDaysOn warm days since planting out on a day, at the plant's own pace
 * @param paceSd standard deviation of its pace, as a share
 */
export function estimateHeight(
  build: Build,
  notes: readonly GrowthNote[],
  asOf: Day,
  warmDaysOn: (day: Day) => number,
  paceSd: number,
): HeightEstimate {
  const topped = notes.find((n) => n.topped)?.date;
  const warmDaysAt = (day: Day): number => {
    if (!topped || topped >= day) return warmDaysOn(day);
    const then = warmDaysOn(topped);
    return stopsGrowing(build) ? then : Math.max(then, warmDaysOn(day) - PINCHED_DAYS);
  };
  const usualOn = (day: Day): number => usualHeightM(build, warmDaysAt(day));
  let [own, variance, since]: [number, number, Day | null] = [0, BUILD_SD ** 2, null];
  const drift = (from: Day | null, to: Day): number =>
    from === null ? 0 : (DRIFT_SD ** 2 * Math.max(0, daysBetween(from, to))) / DRIFT_DAYS;
  for (const { date, heightM, rough } of notes) {
    if (heightM === undefined) continue;
    variance = Math.min(BUILD_SD ** 2, variance + drift(since, date));
    const gain = variance / (variance + (rough ? ROUGH_SD : MEASURED_SD) ** 2);
    own += gain * (Math.log(heightM / usualOn(date)) - own);
    variance *= 1 - gain;
    since = date;
  }
  variance = Math.min(BUILD_SD ** 2, variance + drift(since, asOf));
  const usual = usualOn(asOf);
  const warmDays = warmDaysAt(asOf);
  const faster = usualHeightM(build, warmDays * (1 + paceSd)) / usual - 1;
  const heightM = usual * Math.exp(own);
  // a height that was measured lately holds whatever the stage
  const unsure = since === null ? faster : 0;
  return { heightM, sdM: heightM * Math.sqrt(variance + unsure ** 2) };
}
