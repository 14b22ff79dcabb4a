import type { CaseContext } from '../context.js';
import { type CheckCode, checkRow, shownBy } from '../tables/checks.js';
import { CLEAR_FROM, type DiagnosisResult } from './diagnose.js';
import { must } from '../../units/lists.js';

/** Returns the checks, in order, that could still show what a remedy against the leader waits for. */
export function provingChecks(ctx: CaseContext, { list, all }: DiagnosisResult): CheckCode[] {
  const leader = list[0];
  if (!leader || leader.probability < CLEAR_FROM) return [];
  const { remedies } = must(all.find((c) => c.row.code === leader.disorder)).row;
  const checks = remedies.flatMap(({ provenBy }) => {
    if (!provenBy || provenBy.signs.some((sign) => ctx.present.has(sign))) return [];
    const awaited = provenBy.signs.filter((sign) => !ctx.absent.has(sign));
    return provenBy.checks.filter((code) => shownBy(checkRow(code)).some((sign) => awaited.includes(sign)));
  });
  return [...new Set(checks)];
}
