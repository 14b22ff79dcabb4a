import { reportOn } from '../assessment/assess.js';
import type { Report } from '../assessment/report.js';
import type { FoundDriver } from '../diagnosis/engine/diagnose.js';
import type { RemedyCode } from '../diagnosis/tables/remedies.js';
import { remedyRow } from '../diagnosis/tables/remedies.js';
import type { DriverCode } from '../diagnosis/vocabulary/drivers.js';
import { type Formatter, METRIC_FORMAT } from '../units/formatter.js';
import { lookedOver, type Practice } from './draw.js';

/** The right answer: what the report would say after every check. */
export interface Truth {
  report: Report;
  drivers: FoundDriver[];
  /** causes with at least half the weight of the heaviest; empty if the records show none */
  causes: DriverCode[];
  /** first remedy; null if nothing needs doing */
  firstAct: RemedyCode | null;
  /** remedies as gentle and right as the first one */
  alsoFirst: RemedyCode[];
}

/** A cause this heavy compared with the heaviest is also a right answer (judgement). */
const AS_GOOD = 0.5;

/** Returns what was wrong with a practice plant, and why. */
export function truthOf(practice: Practice, format: Formatter = METRIC_FORMAT): Truth {
  const report = reportOn(lookedOver(practice), [], format);
  const drivers = report.diagnosis.find((d) => d.disorder === practice.trouble)?.drivers ?? [];
  const heaviest = Math.max(0, ...drivers.map((d) => d.weight));
  const acts = report.remedies.filter((r) => r.forDisorder === practice.trouble).map((r) => r.remedy);
  const first = acts[0] ?? null;
  return {
    report,
    drivers,
    causes: drivers.filter((d) => d.weight >= AS_GOOD * heaviest).map((d) => d.driver),
    firstAct: first,
    alsoFirst: first ? acts.filter((r) => remedyRow(r).rung === remedyRow(first).rung) : [],
  };
}
