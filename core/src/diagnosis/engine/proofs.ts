import type { CaseContext } from '../context.js';
import { type CheckCode, checkRow, shownBy } from '../tables/checks.js';
import { CLEAR_FROM, type DiagnosisResult } from './diagnose.js';
import { remedyRow } from '../tables/remedies.js';
import { wetnessByHand } from '../wetness.js';
import { must } from '../../units/lists.js';

/** From here on the finger in the soil is asked before other looks; less certain, those tell more (judgement). */
const SURE_TO_HOLD = 0.8;

/** Returns the checks, in order, that could still show what a remedy against the leader waits for. */
export function provingChecks(ctx: CaseContext, { list, all }: DiagnosisResult): CheckCode[] {
  const leader = list[0];
  if (!leader || leader.probability < CLEAR_FROM) return [];
  const { remedies } = must(all.find((c) => c.row.code === leader.disorder)).row;
  // watering is held back on a hand alone, its main cause is water, and nobody felt the soil
  const holds = remedies.some(
    (r) =>
      remedyRow(r.remedy).acts === 'hold-water' &&
      (r.drivers ? leader.drivers[0] !== undefined && r.drivers.includes(leader.drivers[0].driver) : !r.facts),
  );
  const finger: CheckCode[] = holds && leader.probability >= SURE_TO_HOLD && !wetnessByHand(ctx) ? ['finger-test'] : [];
  const checks = remedies.flatMap(({ provenBy }) => {
    if (!provenBy || provenBy.signs.some((sign) => ctx.present.has(sign))) return [];
    const awaited = provenBy.signs.filter((sign) => !ctx.absent.has(sign));
    return provenBy.checks.filter((code) => shownBy(checkRow(code)).some((sign) => awaited.includes(sign)));
  });
  return [...new Set([...checks, ...finger])];
}
