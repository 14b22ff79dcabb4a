import type { WeatherDay } from '../climate/gaps.js';
import { HOT_DAY_C } from '../climate/limits.js';
import type { TendencyLevel } from '../records/tendencies.js';
import type { Crop } from '../records/plant.js';
import { addDays, type Day } from '../units/day.js';
import type { Formatter } from '../units/formatter.js';
import { COUNTED_CHANCE_PCT } from '../water/expected-weather.js';

// Tomatoes at first blush are picked before heat, heavy rain or birds (common practice).

/** Days to look ahead. */
const AHEAD_DAYS = 2;
/** Rain on one day that splits ripe fruit, mm; half for a variety that splits easily (judgement). */
const SPLITTING_MM: Record<TendencyLevel, number> = { more: 6, usual: 12, less: 20 };

interface BlushQuestion {
  crop: Crop;
  splits: TendencyLevel | null;
  today: Day;
  /** where the plant grows: no rain under a roof */
  ahead: readonly (WeatherDay & { rainChancePct?: number | null })[];
  /** pecked fruit was seen or picked recently */
  pecked: boolean;
}

/** Why fruit is picked at first blush, the day, and how much: mm or °C. */
export type BlushFirst = { because: 'rain' | 'heat'; on: Day; much: number } | { because: 'birds' };

/**
 * Returns why to pick blushing fruit now; null if it may stay. Peppers do not ripen well off the plant and are left.
 */
export function blushFirst(q: BlushQuestion): BlushFirst | null {
  if (q.crop !== 'tomato') return null;
  const near = q.ahead.filter((w) => w.date > q.today && w.date <= addDays(q.today, AHEAD_DAYS));
  const rain = near.find(
    (w) => w.rainMm >= SPLITTING_MM[q.splits ?? 'usual'] && (w.rainChancePct ?? 100) >= COUNTED_CHANCE_PCT,
  );
  if (rain) return { because: 'rain', on: rain.date, much: rain.rainMm };
  const hot = near.find((w) => w.tMaxC >= HOT_DAY_C);
  if (hot) return { because: 'heat', on: hot.date, much: hot.tMaxC };
  return q.pecked ? { because: 'birds' } : null;
}

/** Returns the reason to pick at first blush as a sentence. */
export function blushInWords(b: BlushFirst, f: Formatter): string {
  const pick = 'Pick everything at first blush: it ripens indoors.';
  if (b.because === 'birds') return `Birds are eating the fruit. ${pick}`;
  const what = b.because === 'rain' ? `${f.rain(b.much)} of rain` : `${f.temperature(b.much)}`;
  return `${what} on ${f.day(b.on)}${b.because === 'rain' ? ' would split it' : ' stops it colouring'}. ${pick}`;
}
