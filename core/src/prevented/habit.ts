import { disorderRow } from '../diagnosis/tables/disorders.js';
import type { DisorderCode } from '../records/vocabulary/disorders.js';
import { roundTo } from '../units/rounding.js';
import type { ChangeCode } from './changes.js';
import type { Prevention } from './prevented.js';

/** What is kept of a prevention with the finding it belongs to. */
export type PreventedThen = Pick<Prevention, 'change' | 'risk' | 'riskWith'>;

/** The one habit that would have saved most fruit in a season. */
export interface Habit {
  change: ChangeCode;
  /** findings on fruit or flowers whose risk it would have lowered */
  findings: number;
  /** mean risk of those, without and with it, 0 to 1 */
  risk: number;
  riskWith: number;
}

/**
 * Returns the change that would have lowered the risk of a season's findings on fruit and flowers most, added up; null if
 * none would.
 * @param found a season's findings, each with what would have prevented it
 */
export function habitOf(
  found: readonly { disorder: DisorderCode; prevented: readonly PreventedThen[] }[],
): Habit | null {
  const sums = new Map<ChangeCode, { n: number; risk: number; riskWith: number }>();
  for (const { disorder, prevented } of found) {
    const { group } = disorderRow(disorder);
    if (group !== 'fruit' && group !== 'flower') continue;
    for (const p of prevented) {
      const sum = sums.get(p.change) ?? { n: 0, risk: 0, riskWith: 0 };
      sums.set(p.change, { n: sum.n + 1, risk: sum.risk + p.risk, riskWith: sum.riskWith + p.riskWith });
    }
  }
  const best = [...sums].sort(([, a], [, b]) => b.risk - b.riskWith - (a.risk - a.riskWith))[0];
  if (!best) return null;
  const [change, { n, risk, riskWith }] = best;
  return { change, findings: n, risk: roundTo(risk / n, 2), riskWith: roundTo(riskWith / n, 2) };
}
