import { impliedAbsent, type SignCode, signRow } from '../../records/vocabulary/signs.js';
import type { CaseContext } from '../context.js';
import { type CheckRow, shownBy } from '../tables/checks.js';
import { signIndex } from './network.js';
import type { Cause, LikelySet } from './noisy-or.js';
import { at } from '../../units/lists.js';

/** What a check may show, and what to record then. */
export interface CheckOutcome {
  text: string;
  present: SignCode[];
  absent: SignCode[];
}

/** Chance of the findings, for each likely set. */
export type Likelihood = Float64Array;

/** Returns what the check may show on this crop that is not recorded yet. */
export function openOutcomes(check: CheckRow, ctx: CaseContext): CheckOutcome[] {
  const known = (sign: SignCode): boolean => ctx.present.has(sign) || ctx.absent.has(sign);
  const fits = (sign: SignCode): boolean =>
    (signRow(sign).crop ?? ctx.case.plant.crop) === ctx.case.plant.crop && !known(sign);
  return check.answers
    .filter((a) => a.present.every(fits))
    .map((a) => ({
      text: a.text,
      present: [...a.present],
      absent: a.present.flatMap(impliedAbsent).filter((x) => !known(x)),
    }));
}

/** Returns what to record when it shows none of it. */
export const noneOf = (check: CheckRow, open: readonly CheckOutcome[]): CheckOutcome => ({
  text: 'none of these',
  present: [],
  absent: shownBy(check).filter((sign) => open.some((f) => f.present.includes(sign))),
});

/** Chances of signs under the likely sets of problems. */
export interface Chances {
  /** chance of seeing the sign under each likely set (noisy-OR with its leak) */
  of(sign: SignCode): Float64Array;
  likelihood(finding: Pick<CheckOutcome, 'present' | 'absent'>): Likelihood;
}

/** Returns chances of signs under the likely sets, each computed once. */
export function chancesUnder(sets: readonly LikelySet[], causes: readonly Cause[], leaks: readonly number[]): Chances {
  const cache = new Map<SignCode, Float64Array>();
  const of = (sign: SignCode): Float64Array => {
    let row = cache.get(sign);
    if (!row) {
      const index = signIndex(sign);
      row = Float64Array.from(sets, ({ members }) => {
        let q = 1 - at(leaks, index);
        for (const i of members) q *= 1 - at(at(causes, i).chances, index);
        return 1 - q;
      });
      cache.set(sign, row);
    }
    return row;
  };
  const likelihood = ({ present, absent }: Pick<CheckOutcome, 'present' | 'absent'>): Likelihood => {
    const p = new Float64Array(sets.length).fill(1);
    for (const sign of present) {
      const chance = of(sign);
      for (let k = 0; k < p.length; k++) p[k]! *= at(chance, k);
    }
    for (const sign of absent) {
      const chance = of(sign);
      for (let k = 0; k < p.length; k++) p[k]! *= 1 - at(chance, k);
    }
    return p;
  };
  return { of, likelihood };
}

/** Returns every combination of these signs seen and not seen. */
export function combinations(signs: readonly SignCode[]): Pick<CheckOutcome, 'present' | 'absent'>[] {
  return Array.from({ length: 2 ** signs.length }, (_, mask) => ({
    present: signs.filter((_, i) => mask & (1 << i)),
    absent: signs.filter((_, i) => !(mask & (1 << i))),
  }));
}
