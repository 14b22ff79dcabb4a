import type { Day } from '../../units/day.js';
import type { CheckCode } from '../tables/checks.js';

/** A dated record (or modelled day) that supports a driver; the charts highlight these. */
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

/** Found with a strength (0 to 1; one half is the limit), looked for and not found, or unknown from these records. */
export type Verdict =
  | { state: 'found'; strength: number; because: Because[]; summary?: string }
  | { state: 'absent' }
  | { state: 'unknown'; ask: string; check?: CheckCode };

/** Weaker than this is not mentioned. */
const LEAST_STRENGTH = 0.12;

/** The driver is not there. */
export const ABSENT: Verdict = { state: 'absent' };
/** Returns that a driver can't be judged, what to ask, and the check that would tell. */
export const unknown = (ask: string, check?: CheckCode): Verdict =>
  check ? { state: 'unknown', ask, check } : { state: 'unknown', ask };
/**
 * Returns "found". `summary` puts it in one line, where the single records would read badly. Too weak to name:
 * absent.
 */
export const found = (strength: number, because: Because[], summary?: string): Verdict =>
  strength < LEAST_STRENGTH
    ? ABSENT
    : { state: 'found', strength: Math.min(1, strength), because, ...(summary ? { summary } : {}) };

/** Thresholds a problem may set for a rule; each rule states its defaults. */
export interface RuleParams {
  /** feeds that count: those with this nutrient; all if left out */
  nutrient?: 'p2o5' | 'k2o';
  /** °C */
  atC?: number;
  /** number of days (or nights) at strength one half */
  days?: number;
  /** days to look back */
  within?: number;
  /** days back at which the window begins: later events can't be the cause */
  from?: number;
  /** percent */
  pct?: number;
  pH?: number;
}
