import { nightLowC } from '../climate/hours.js';
import { COLD_NIGHT_C, HOT_DAY_C, WARM_NIGHT_C } from '../climate/limits.js';
import type { WeatherDay } from '../climate/gaps.js';
import type { Crop, Stage } from '../records/plant.js';
import { type Day } from '../units/day.js';
import { isInFlower } from './in-flower.js';
import type { Formatter } from '../units/formatter.js';

/**
 * Tomato and pepper flowers pollinate themselves when shaken by wind, bees or a tap: late morning to early afternoon,
 * on dry days, at 15 to 30 °C (common practice). Daily under cover.
 */
const LOOSE_HOURS = { from: 10, to: 15 } as const;
const LEAST_C = 15;
/** Daily mean wind below which the air is still, m/s (judgement). */
const STILL_MS = 0.8;
/** Humidity above which pollen clumps, % (judgement). */
const DAMP_RH_PCT = 85;

/** What tapping the flowers depends on. */
export interface TapQuestion {
  today: Day;
  crop: Crop;
  stage: Stage | null;
  /** neither wind nor bees come in */
  enclosed: boolean;
  /** recorded: no wind or bees get here */
  still: boolean;
  /** where it grows: today, the night before, and the last days */
  weather: WeatherDay | null;
  /** last day someone tapped */
  tappedOn: Day | null;
}

/** Whether to tap the flowers, and why. */
export type TapPlan =
  | { kind: 'tap'; because: 'cover' | 'still' }
  /** shaking hardly helps: much of the pollen fails in heat or cold */
  | { kind: 'useless'; because: 'heat' | 'warm-nights' | 'cold'; celsius: number }
  | { kind: 'none'; because: 'no-flowers' | 'wind-does-it' | 'done' | 'damp' | 'not-known' };

/** Returns whether to tap the flowers today. */
export function tapPlan(q: TapQuestion): TapPlan {
  if (!isInFlower(q)) return { kind: 'none', because: 'no-flowers' };
  const still = q.enclosed || q.still || (q.weather?.windMs != null && q.weather.windMs < STILL_MS);
  if (!still) return { kind: 'none', because: 'wind-does-it' };
  const w = q.weather;
  if (!w) return { kind: 'none', because: 'not-known' };
  if (w.tMaxC >= HOT_DAY_C) return { kind: 'useless', because: 'heat', celsius: w.tMaxC };
  if (nightLowC(w) > WARM_NIGHT_C[q.crop]) return { kind: 'useless', because: 'warm-nights', celsius: nightLowC(w) };
  if (nightLowC(w) < COLD_NIGHT_C[q.crop] || w.tMaxC < LEAST_C)
    return { kind: 'useless', because: 'cold', celsius: nightLowC(w) };
  if (q.tappedOn === q.today) return { kind: 'none', because: 'done' };
  if (!q.enclosed && (w.rainMm >= 1 || (w.rhMeanPct ?? 0) > DAMP_RH_PCT)) return { kind: 'none', because: 'damp' };
  return { kind: 'tap', because: q.enclosed ? 'cover' : 'still' };
}

/** Returns the reason to tap, or not to, as a clause. */
export function tapInWords(p: TapPlan, f: Formatter): string {
  if (p.kind === 'tap')
    return `${p.because === 'cover' ? 'under cover neither wind nor bees get in' : 'the air is still'}; pollen is loose from ${LOOSE_HOURS.from} to ${LOOSE_HOURS.to} o’clock on a dry day`;
  if (p.kind !== 'useless') return '';
  switch (p.because) {
    case 'heat':
      return `tapping hardly helps now: at ${f.temperature(p.celsius)} much of the pollen fails. Shade and water; flowers set again when it cools`;
    case 'warm-nights':
      return `tapping hardly helps now: after nights of ${f.temperature(p.celsius)} much of the pollen is weak. Flowers set again when nights cool`;
    case 'cold':
      return `tapping hardly helps now: after nights of ${f.temperature(p.celsius)} little pollen comes loose. Cover the plants; flowers set again when it warms up`;
  }
}
