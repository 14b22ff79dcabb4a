import type { WeatherDay } from '../climate/gaps.js';
import type { Spraying } from '../records/record-classes.js';
import { addDays, type Day, daysBetween } from '../units/day.js';
import { COUNTED_CHANCE_PCT } from '../water/expected-weather.js';
import type { Formatter } from '../units/formatter.js';
import {
  burnsInHeat,
  EVENING_LIMIT_C,
  eveningC,
  conflictOf,
  MOST_WIND_MS,
  type SprayCode,
  WASHED_OFF_MM,
} from './limits.js';

/** Time of day: before the sun reaches the leaves, in the sun, or after it has left them. */
export type SprayHour = 'dawn' | 'midday' | 'evening';

interface SprayLabel {
  everyDays: number | null;
  mostUses: number | null;
  harvestDays: number | null;
  reentryHours: number | null;
  organic: boolean | null;
}

/** What a spray must wait for. */
export interface SprayQuestion {
  spray: SprayCode;
  label: SprayLabel;
  on: Day;
  hour: SprayHour;
  /** where it grows: that day and the next; null if unknown */
  weather: (WeatherDay & { rainChancePct?: number | null }) | null;
  next: (WeatherDay & { rainChancePct?: number | null }) | null;
  /** no rain or wind reaches it */
  enclosed: boolean;
  /** short of water; null if unknown */
  thirsty: boolean | null;
  flowersOpen: boolean;
  pondNear: boolean;
  /** of the same plant, this season */
  earlier: readonly Spraying[];
  /** a planned picking */
  pickOn: Day | null;
  organicOnly: boolean;
}

/** Something that forbids a spray now. */
export type SprayGate =
  | { gate: 'pond' | 'organic' }
  | { gate: 'sun' | 'bees' }
  | { gate: 'heat'; celsius: number }
  | { gate: 'thirst' }
  | { gate: 'wind'; ms: number }
  | { gate: 'rain'; mm: number; day: Day }
  | { gate: 'conflict'; other: SprayCode; on: Day; until: Day; because: string }
  | { gate: 'same-day'; other: SprayCode }
  | { gate: 'too-soon'; last: Day; until: Day }
  | { gate: 'most-uses'; uses: number }
  | { gate: 'harvest'; pickOn: Day; free: Day };

/**
 * Returns the first day fruit may be picked again, by the label. Days are the garden's own: a spray after dusk counts
 * on that evening's day.
 * @example pickFrom({ date: '2026-07-01', harvestDays: 3 }) // '2026-07-04'
 */
export const pickFrom = (s: { date: Day; harvestDays?: number | null }): Day => addDays(s.date, s.harvestDays ?? 0);

/**
 * Returns the hour of re-entry on the garden's own clock, across midnight.
 * @example enterFrom({ date: '2026-07-01', hour: 20 }, 12) // { day: '2026-07-02', hour: 8 }
 */
export function enterFrom(s: { date: Day; hour: number }, reentryHours: number): { day: Day; hour: number } {
  const hours = s.hour + reentryHours;
  return { day: addDays(s.date, Math.floor(hours / 24)), hour: hours % 24 };
}

/** Returns everything against a spray at an hour of a day. Weedkiller that drifted in is not the gardener's spray. */
export function sprayGates(q: SprayQuestion): SprayGate[] {
  const gates: SprayGate[] = [];
  const earlier = q.earlier.filter((s) => s.product !== 'weedkiller-nearby' && s.date <= q.on);
  if (q.pondNear) gates.push({ gate: 'pond' });
  if (q.organicOnly && q.label.organic !== true) gates.push({ gate: 'organic' });
  const burns = burnsInHeat(q.spray);
  if (q.hour === 'midday' && burns) gates.push({ gate: 'sun' });
  if (q.flowersOpen && q.hour !== 'evening') gates.push({ gate: 'bees' });
  if (q.weather && burns) {
    const celsius = { dawn: q.weather.tMinC, midday: q.weather.tMaxC, evening: eveningC(q.weather) }[q.hour];
    if (celsius >= EVENING_LIMIT_C) gates.push({ gate: 'heat', celsius });
  }
  if (q.thirsty === true && burns) gates.push({ gate: 'thirst' });
  if (!q.enclosed && q.weather) {
    if ((q.weather.windMs ?? 0) > MOST_WIND_MS) gates.push({ gate: 'wind', ms: q.weather.windMs! });
    for (const w of [q.weather, q.next])
      if (w && w.rainMm >= WASHED_OFF_MM && (w.rainChancePct ?? 100) >= COUNTED_CHANCE_PCT) {
        gates.push({ gate: 'rain', mm: w.rainMm, day: w.date });
        break;
      }
  }
  for (const s of earlier) {
    const conflict = conflictOf(q.spray, s.product);
    if (conflict && daysBetween(s.date, q.on) < conflict.days)
      gates.push({
        gate: 'conflict',
        other: s.product,
        on: s.date,
        until: addDays(s.date, conflict.days),
        because: conflict.because,
      });
    else if (s.date === q.on && s.product !== q.spray) gates.push({ gate: 'same-day', other: s.product });
  }
  // a test on a leaf does not count as treating the plant
  const same = earlier.filter((s) => s.product === q.spray && !s.trial);
  const last = same.at(-1);
  if (last && q.label.everyDays !== null && daysBetween(last.date, q.on) < q.label.everyDays)
    gates.push({ gate: 'too-soon', last: last.date, until: addDays(last.date, q.label.everyDays) });
  if (q.label.mostUses !== null && same.length >= q.label.mostUses)
    gates.push({ gate: 'most-uses', uses: same.length });
  if (q.pickOn !== null) {
    const free = pickFrom({ date: q.on, harvestDays: q.label.harvestDays });
    if (q.pickOn >= q.on && q.pickOn < free) gates.push({ gate: 'harvest', pickOn: q.pickOn, free });
  }
  return gates;
}

/** True for a pond, the organic rule and the label's most uses: these do not pass with time. */
export const neverPasses = (g: SprayGate): boolean =>
  g.gate === 'pond' || g.gate === 'organic' || g.gate === 'most-uses';

/** Sprays as shown on screen. */
export const SPRAY_WORDS: Record<SprayCode, string> = {
  neem: 'neem oil',
  soap: 'soap',
  bt: 'BT',
  bicarbonate: 'bicarbonate',
  copper: 'copper',
  sulfur: 'sulfur',
  'broad-insecticide': 'a broad-spectrum insecticide',
  'weedkiller-nearby': 'weedkiller',
  other: 'another spray',
};

/** Returns why a spray is not allowed now, as a clause. */
export function gateInWords(g: SprayGate, f: Formatter): string {
  switch (g.gate) {
    case 'pond':
      return 'a pond is nearby: no sprays there at all';
    case 'organic':
      return 'your own rule: only what organic growing allows';
    case 'sun':
      return 'the sun is on the leaves: spray early or at dusk';
    case 'bees':
      return 'flowers are open and bees are flying: spray only in the evening';
    case 'heat':
      return `${f.temperature(g.celsius)} at that hour would burn the leaves`;
    case 'thirst':
      return 'the plant is short of water, so a spray would burn it';
    case 'wind':
      return `wind of ${f.windSpeed(g.ms)} would carry it away`;
    case 'rain':
      return `${f.rain(g.mm)} of rain on ${f.day(g.day)} would wash it off`;
    case 'conflict':
      return `${SPRAY_WORDS[g.other]} was sprayed on ${f.day(g.on)}: ${g.because}, so not before ${f.day(g.until)}`;
    case 'same-day':
      return `${SPRAY_WORDS[g.other]} was sprayed that day: never spray twice in one day`;
    case 'too-soon':
      return `sprayed on ${f.day(g.last)}: the label says not again before ${f.day(g.until)}`;
    case 'most-uses':
      return `sprayed ${g.uses} times this season: the label allows no more`;
    case 'harvest':
      return `fruit is due on ${f.day(g.pickOn)}, and the label says not before ${f.day(g.free)}`;
  }
}
