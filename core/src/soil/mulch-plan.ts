import type { WeatherDay } from '../climate/gaps.js';
import { addDays, type Day, daysBetween } from '../units/day.js';
import type { Formatter } from '../units/formatter.js';

/** Handbook: 5 to 8 cm, kept off the stem, once the soil is warm (days about 21 °C) and the plant is 30 cm tall; in a heat wave at once. */
export const MULCH_DEPTH_CM = 6;
const WARM_DAYS_C = 21;
const TALL_M = 0.3;
const WARM_FOR_DAYS = 7;
/** Under this it no longer covers. */
const THIN_MM = 30;

export interface MulchQuestion {
  today: Day;
  /** a heat spell is foreseen within days: then the plan for the heat asks for it */
  heatAhead: boolean;
  /** measured where the plants stand */
  weather: readonly WeatherDay[];
  /** of the shortest plant; null where nobody measured */
  heightM: number | null;
  plantedOn: Day | null;
  /** what lies there now, mm; null where nobody ever said */
  liesMm: number | null;
  areaM2: number | null;
  /** spots of the leaves that splash up from the soil were seen here, this year or before */
  leafSpot: boolean;
  isPot: boolean;
}

export type MulchPlan =
  | { kind: 'lies' }
  /** nobody wrote down whether any lies there: none recorded is not none laid */
  | { kind: 'ask' }
  | { kind: 'wait'; because: 'cold' | 'small' }
  | { kind: 'lay'; because: 'warm' | 'heat'; paper: boolean; depthCm: number; litres: number | null };

/** So long after planting a plant of unknown height is taken as tall enough (judgement). */
const TALL_AFTER_DAYS = 30;

export function mulchPlan(q: MulchQuestion): MulchPlan {
  const { liesMm } = q;
  if (liesMm === null) return { kind: 'ask' };
  if (liesMm >= THIN_MM) return { kind: 'lies' };
  const depthCm = MULCH_DEPTH_CM - liesMm / 10;
  const lay = (because: 'warm' | 'heat'): MulchPlan => ({
    kind: 'lay',
    because,
    paper: q.leafSpot && !q.isPot,
    depthCm,
    litres: q.areaM2 === null ? null : Math.round(q.areaM2 * depthCm * 10),
  });
  if (q.heatAhead) return lay('heat');
  const past = q.weather.filter((w) => w.date < q.today && w.date >= addDays(q.today, -WARM_FOR_DAYS));
  const mean = past.reduce((sum, w) => sum + w.tMaxC, 0) / Math.max(1, past.length);
  if (past.length === 0 || mean < WARM_DAYS_C) return { kind: 'wait', because: 'cold' };
  const tall =
    q.heightM !== null
      ? q.heightM >= TALL_M
      : q.plantedOn !== null && daysBetween(q.plantedOn, q.today) >= TALL_AFTER_DAYS;
  return tall ? lay('warm') : { kind: 'wait', because: 'small' };
}

export function mulchInWords(p: MulchPlan, f: Formatter): string {
  switch (p.kind) {
    case 'ask':
      return 'no mulch is recorded here. Is there any?';
    case 'lies':
      return 'the mulch is deep enough';
    case 'wait':
      return p.because === 'cold'
        ? `the soil is still cold, and mulch keeps it cold. Wait for a week of days of about ${f.temperature(WARM_DAYS_C)}`
        : `the plants are small: wait until they are ${f.centimetres(TALL_M * 100)} tall`;
    case 'lay':
      return `${p.because === 'heat' ? 'heat is forecast: bare soil dries out and bakes' : 'the soil is bare and warm, and the plants are tall enough'}${
        p.paper ? '; four sheets of wet plain paper under it, because leaf spots splash up from this soil' : ''
      }`;
  }
}
