import type { WeatherDay } from '../climate/gaps.js';
import { addDays, type Day, daysBetween } from '../units/day.js';
import type { Formatter } from '../units/formatter.js';
import { roundTo } from '../units/rounding.js';

/**
 * Common practice: 5 to 8 cm, away from the stem, once the soil is warm (days about 21 °C) and the plant is 30 cm
 * tall; in a heat wave at once.
 */
export const MULCH_DEPTH_CM = 6;
const WARM_DAYS_C = 21;
const TALL_M = 0.3;
const WARM_FOR_DAYS = 7;
/** A thinner layer no longer covers, mm. */
export const THIN_MM = 30;

/** What mulching depends on. Depths in mm. */
export interface MulchQuestion {
  today: Day;
  /** heat is forecast within days: the heat plan then asks for mulch */
  heatAhead: boolean;
  /** measured where the plants grow */
  weather: readonly WeatherDay[];
  /** of the shortest plant; null if not measured */
  heightM: number | null;
  plantedOn: Day | null;
  /** current mulch, mm; null if never recorded */
  liesMm: number | null;
  /** when what lies was spread deep enough; what is missing since has settled and rotted, as computed */
  spreadOn?: Day | null;
  areaM2: number | null;
  /** leaf spots that splash up from the soil were found here, this year or before */
  leafSpot: boolean;
  isPot: boolean;
}

/** Whether to lay mulch, how deep, and why. */
export type MulchPlan =
  | { kind: 'lies' }
  /** unknown whether there is mulch: not recorded does not mean not laid */
  | { kind: 'ask' }
  | { kind: 'wait'; because: 'cold' | 'small' }
  | {
      kind: 'lay';
      because: 'warm' | 'heat' | 'settled';
      paper: boolean;
      depthCm: number;
      litres: number | null;
      /** with "settled": since when, and how deep it likely is, cm */
      settled?: { since: Day; liesCm: number };
    };

/** Days after planting when a plant of unknown height counts as tall enough (judgement). */
const TALL_AFTER_DAYS = 30;

/** Returns whether to lay mulch now. */
export function mulchPlan(q: MulchQuestion): MulchPlan {
  const { liesMm } = q;
  if (liesMm === null) return { kind: 'ask' };
  if (liesMm >= THIN_MM) return { kind: 'lies' };
  const liesCm = roundTo(liesMm / 10, 0);
  const depthCm = q.spreadOn ? MULCH_DEPTH_CM - liesCm : MULCH_DEPTH_CM - liesMm / 10;
  const lay = (because: 'warm' | 'heat' | 'settled'): MulchPlan => ({
    kind: 'lay',
    because,
    paper: q.leafSpot && !q.isPot,
    depthCm,
    litres: q.areaM2 === null ? null : Math.round(q.areaM2 * depthCm * 10),
    ...(because === 'settled' ? { settled: { since: q.spreadOn!, liesCm } } : {}),
  });
  if (q.heatAhead) return lay(q.spreadOn ? 'settled' : 'heat');
  const past = q.weather.filter((w) => w.date < q.today && w.date >= addDays(q.today, -WARM_FOR_DAYS));
  const mean = past.reduce((sum, w) => sum + w.tMaxC, 0) / Math.max(1, past.length);
  if (past.length === 0 || mean < WARM_DAYS_C) return { kind: 'wait', because: 'cold' };
  const tall =
    q.heightM !== null
      ? q.heightM >= TALL_M
      : q.plantedOn !== null && daysBetween(q.plantedOn, q.today) >= TALL_AFTER_DAYS;
  return tall ? lay(q.spreadOn ? 'settled' : 'warm') : { kind: 'wait', because: 'small' };
}

/** Returns the reason to lay mulch, or to wait, as a clause. */
export function mulchInWords(p: MulchPlan, f: Formatter): string {
  switch (p.kind) {
    case 'ask':
      return 'no mulch is recorded here. Is there any?';
    case 'lies':
      return 'the mulch is deep enough';
    case 'wait':
      return p.because === 'cold'
        ? `the soil is still cold, and mulch keeps it cold. Wait for a week of days of about ${f.temperature(WARM_DAYS_C)}. Dark fabric is the exception: it warms the soil`
        : `the plants are small: wait until they are ${f.centimetres(TALL_M * 100)} tall`;
    case 'lay':
      if (p.settled)
        return `what was spread on ${f.day(p.settled.since)} has likely settled to about ${f.centimetres(p.settled.liesCm)}. Look first, and add only where you see soil`;
      return `${p.because === 'heat' ? 'heat is forecast: bare soil dries out and bakes' : 'the soil is bare and warm, and the plants are tall enough'}${
        p.paper ? '; four sheets of wet plain paper under it, because leaf spots splash up from this soil' : ''
      }`;
  }
}
