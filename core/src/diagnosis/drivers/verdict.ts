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

/** Found with a strength (0 to 1; one half is the limit of the handbook), looked for and not found, or not to be known from these records. */
export type Verdict =
  | { state: 'found'; strength: number; because: Because[]; summary?: string }
  | { state: 'absent' }
  | { state: 'unknown'; ask: string; check?: CheckCode };

/** Weaker than this is nothing to speak of. */
export const LEAST_STRENGTH = 0.12;

export const ABSENT: Verdict = { state: 'absent' };
export const unknown = (ask: string, check?: CheckCode): Verdict =>
  check ? { state: 'unknown', ask, check } : { state: 'unknown', ask };
/** `summary`: all of it in one line, where the single records alone would read badly. Too weak to name: absent. */
export const found = (strength: number, because: Because[], summary?: string): Verdict =>
  strength < LEAST_STRENGTH
    ? ABSENT
    : { state: 'found', strength: Math.min(1, strength), because, ...(summary ? { summary } : {}) };

/** Thresholds that a disorder may set for a rule; each rule states its defaults. */
export interface RuleParams {
  /** °C */
  atC?: number;
  /** number of days (or nights) that stands at one half */
  days?: number;
  /** days looked back */
  within?: number;
  /** days back at which the window begins: what came later cannot have done it */
  from?: number;
  /** percent */
  pct?: number;
  pH?: number;
}
