import type { WeatherDay } from '../climate/gaps.js';
import { STRONG_WIND_MS } from '../climate/limits.js';
import { addDays, type Day } from '../units/day.js';
import { at } from '../units/lists.js';
import { HARDEN_FROM_C } from './limits.js';

/**
 * What a young plant gets on each day outside (common practice: shade for 1 to 2 h, longer each day, then sun, then a
 * full day and night).
 */
interface HardeningStep {
  shadeH: number;
  sunH: number;
  night: boolean;
}

/** Hours outside on each day of hardening off. */
export const HARDENING_STEPS: readonly HardeningStep[] = [
  { shadeH: 1, sunH: 0, night: false },
  { shadeH: 2, sunH: 0, night: false },
  { shadeH: 3, sunH: 0, night: false },
  { shadeH: 3, sunH: 1, night: false },
  { shadeH: 3, sunH: 2, night: false },
  { shadeH: 3, sunH: 3, night: false },
  { shadeH: 2, sunH: 5, night: false },
  { shadeH: 0, sunH: 8, night: false },
  { shadeH: 0, sunH: 10, night: false },
  { shadeH: 0, sunH: 12, night: true },
];

interface HardeningDay {
  day: Day;
  /** step number from 0; null: a pause */
  step: number | null;
  pause?: 'cold' | 'wind';
  done: boolean;
}

interface HardeningQuestion {
  /** first day outside */
  startOn: Day;
  today: Day;
  /** days it was outside, as recorded */
  done: readonly Day[];
  /** weather where it stands, measured and forecast */
  weather: readonly WeatherDay[];
}

/** The days of hardening off. */
export interface HardeningPlan {
  days: HardeningDay[];
  /** the day after its first full night; a pause moves it */
  readyOn: Day;
}

/** Share of the day's range above its minimum that the cool end of the hours outside has (judgement: mid-morning). */
const MORNING_SHARE = 0.4;

/**
 * Returns why a step is a pause on a day: by the hours it is outside, so a cold night matters to the last step only. Null
 * if it is none, or the weather is unknown.
 */
export function pauseOf(w: WeatherDay | undefined, step: HardeningStep): HardeningDay['pause'] | null {
  if (!w) return null;
  const coldest = step.night ? w.tMinC : w.tMinC + MORNING_SHARE * (w.tMaxC - w.tMinC);
  if (coldest < HARDEN_FROM_C) return 'cold';
  return (w.windMs ?? 0) >= STRONG_WIND_MS ? 'wind' : null;
}

/** Most days, however long the cold lasts. */
const MOST_DAYS = 60;

/**
 * Returns the plan day by day. Done days count; a missed day is not made up in one leap: the step waits for the next
 * suitable day. Cold and strong wind in its hours outside pause it.
 */
export function hardeningPlan(q: HardeningQuestion): HardeningPlan {
  const byDay = new Map(q.weather.map((w) => [w.date, w]));
  const done = new Set(q.done);
  const days: HardeningDay[] = [];
  let step = 0;
  let day = q.startOn;
  for (let n = 0; step < HARDENING_STEPS.length && n < MOST_DAYS; n++, day = addDays(day, 1)) {
    if (done.has(day)) days.push({ day, step: step++, done: true });
    else if (day >= q.today) {
      const pause = pauseOf(byDay.get(day), at(HARDENING_STEPS, step));
      days.push(pause ? { day, step: null, pause, done: false } : { day, step: step++, done: false });
    } else {
      const pause = pauseOf(byDay.get(day), at(HARDENING_STEPS, step));
      days.push({ day, step: null, ...(pause ? { pause } : {}), done: false });
    }
  }
  return { days, readyOn: day };
}

/** "in shade for 3 hours, then 2 hours of sun". */
export function stepInWords(s: HardeningStep): string {
  const hours = (n: number): string => (n === 1 ? '1 hour' : `${n} hours`);
  if (s.night) return 'out all day, and overnight for the first time';
  if (s.shadeH === 0)
    return s.sunH >= 10 ? 'out all day in the sun, in at night' : `${hours(s.sunH)} in the sun, in at night`;
  return s.sunH === 0
    ? `${hours(s.shadeH)} in the shade, out of the wind`
    : `${hours(s.shadeH)} in the shade and ${hours(s.sunH)} in the sun`;
}
