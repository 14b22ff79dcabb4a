import type { PlantAssessment } from '../assessment/assess.js';
import { setByTruss, type TrussSeen } from '../pollination/set.js';
import { type Part, signRow } from '../records/vocabulary/signs.js';
import type { Stock, SupportKind } from '../support/support-plan.js';
import { HANGS_LEFT } from '../water/stress.js';
import { supportOf, tiedOn } from './tending.js';

/** How a plant stands by what is recorded of it, for its drawing. */
export interface Stands {
  /** it hangs: seen so, or its soil is so dry that it must */
  limp: boolean;
  /** parts on which something is wrong now; none of what is harmless */
  ailing: Part[];
  /** of its trusses, by their newest counts; null where nobody counted */
  load: { flowers: number; fruit: number } | null;
  /** what holds it; null where nobody wrote down that it was staked or tied */
  held: SupportKind | null;
}

export function standsOf(assessment: PlantAssessment, stock: Stock, counts: readonly TrussSeen[]): Stands {
  const { context, report } = assessment;
  const present = [...context.present];
  const left = context.waterKnown ? context.balance.days.at(-1)?.fractionAvailable : undefined;
  const { trusses } = setByTruss(counts);
  return {
    limp: present.some((sign) => sign.startsWith('leaf-wilt')) || (left !== undefined && left < HANGS_LEFT),
    ailing: report.harmless
      ? []
      : [...new Set(present.filter((s) => signRow(s).kind === 'sign').map((s) => signRow(s).parts[0]!))],
    load:
      trusses.length > 0
        ? {
            flowers: trusses.reduce((sum, t) => sum + t.flowers, 0),
            fruit: trusses.reduce((sum, t) => sum + t.fruit, 0),
          }
        : null,
    held: tiedOn(context.case) ? supportOf(assessment, stock).kind : null,
  };
}
