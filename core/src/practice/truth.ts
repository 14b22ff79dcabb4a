import { reportOn } from '../assessment/assess.js';
import type { Report } from '../assessment/report.js';
import type { FoundDriver } from '../diagnosis/engine/diagnose.js';
import type { RemedyCode } from '../diagnosis/tables/remedies.js';
import { remedyRow } from '../diagnosis/tables/remedies.js';
import type { DriverCode } from '../diagnosis/vocabulary/drivers.js';
import { type Formatter, METRIC_FORMAT } from '../units/formatter.js';
import { lookedOver, type Practice } from './draw.js';

/** What the answer is: as the report would have it once everything was looked at. */
export interface Truth {
  report: Report;
  drivers: FoundDriver[];
  /** causes that tell at least half of what the heaviest does; none where the records hold none */
  causes: DriverCode[];
  /** what is done first; null where nothing is to be done */
  firstAct: RemedyCode | null;
  /** acts that are as gentle as the first one and as right */
  alsoFirst: RemedyCode[];
}

/** A cause this heavy beside the heaviest is as right an answer (judgement). */
const AS_GOOD = 0.5;

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
