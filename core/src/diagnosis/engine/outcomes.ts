import type { Story } from '../story.js';
import { shownBy, type CheckRow } from '../tables/checks.js';
import { impliedAbsent, signRow, type SignCode } from '../vocabulary/signs.js';
import { signIndex } from './network.js';
import type { Cause, LikelySet } from './noisy-or.js';

/** What a check may show, and what to record then. */
export interface Finding {
  text: string;
  present: SignCode[];
  absent: SignCode[];
}

/** Chance of what was found, for each likely set. */
export type Likelihood = readonly number[];

/** What the check may show that nobody has looked at yet, on this crop. */
export function openFindings(check: CheckRow, s: Story): Finding[] {
  const known = (sign: SignCode): boolean => s.present.has(sign) || s.absent.has(sign);
  const fits = (sign: SignCode): boolean => (signRow(sign).crop ?? s.c.plant.crop) === s.c.plant.crop && !known(sign);
  return check.answers
    .filter((a) => a.present.every(fits))
    .map((a) => ({
      text: a.text,
      present: [...a.present],
      absent: a.present.flatMap(impliedAbsent).filter((x) => !known(x)),
    }));
}

/** What to record when it shows none of it. */
export const noneOf = (check: CheckRow, open: readonly Finding[]): Finding => ({
  text: 'none of these',
  present: [],
  absent: shownBy(check).filter((sign) => open.some((f) => f.present.includes(sign))),
});

export interface Chances {
  /** chance of seeing the sign under each likely set (noisy-OR with its leak) */
  of(sign: SignCode): Float64Array;
  likelihood(finding: Pick<Finding, 'present' | 'absent'>): Likelihood;
}

/** Chances of signs under the likely sets, each worked out once. */
export function chancesUnder(sets: readonly LikelySet[], causes: readonly Cause[], leaks: readonly number[]): Chances {
  const cache = new Map<SignCode, Float64Array>();
  const of = (sign: SignCode): Float64Array => {
    let row = cache.get(sign);
    if (!row) {
      const at = signIndex(sign);
      row = Float64Array.from(sets, ({ members }) => {
        let q = 1 - leaks[at]!;
        for (const i of members) q *= 1 - causes[i]!.chances[at]!;
        return 1 - q;
      });
      cache.set(sign, row);
    }
    return row;
  };
  const likelihood = ({ present, absent }: Pick<Finding, 'present' | 'absent'>): Likelihood =>
    sets.map((_, k) => {
      let p = 1;
      for (const sign of present) p *= of(sign)[k]!;
      for (const sign of absent) p *= 1 - of(sign)[k]!;
      return p;
    });
  return { of, likelihood };
}

/** Every combination of these signs seen and not seen. */
export function combinations(signs: readonly SignCode[]): Pick<Finding, 'present' | 'absent'>[] {
  return Array.from({ length: 2 ** signs.length }, (_, mask) => ({
    present: signs.filter((_, i) => mask & (1 << i)),
    absent: signs.filter((_, i) => !(mask & (1 << i))),
  }));
}
