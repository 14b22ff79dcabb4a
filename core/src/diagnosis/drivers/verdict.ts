import type { Day } from '../../units/day.js';
import type { CheckCode } from '../tables/checks.js';

/** A dated record (or a modelled day) that speaks for a driver; the strands light these up. */
export interface Because {
  record:
    | 'weather'
    | 'watering'
    | 'water-balance'
    | 'soil-check'
    | 'feeding'
    | 'pruning'
    | 'spray'
    | 'event'
    | 'place'
    | 'plant'
    | 'sign';
  date: Day;
  text: string;
}

/** Found with a strength (0 to 1), looked for and not found, or not to be known from these records. */
export type Verdict =
  | { state: 'found'; strength: number; because: Because[]; summary?: string }
  | { state: 'absent' }
  | { state: 'unknown'; ask: string; check?: CheckCode };

export const ABSENT: Verdict = { state: 'absent' };
export const unknown = (ask: string, check?: CheckCode): Verdict =>
  check ? { state: 'unknown', ask, check } : { state: 'unknown', ask };
/** `summary`: all of it in one line, where the single records alone would read badly. */
export const found = (strength: number, because: Because[], summary?: string): Verdict => ({
  state: 'found',
  strength: Math.min(1, Math.max(0.1, strength)),
  because,
  ...(summary ? { summary } : {}),
});

/** Thresholds that a disorder may set for a rule; each rule states its defaults. */
export interface RuleParams {
  /** °C */
  atC?: number;
  /** least number of days (or nights) */
  days?: number;
  /** days looked back */
  within?: number;
  /** percent */
  pct?: number;
  pH?: number;
}
