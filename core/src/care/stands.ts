import type { PlantAssessment } from '../assessment/assess.js';
import { setByTruss, type TrussSeen } from '../pollination/set.js';
import { type Part, signRow } from '../records/vocabulary/signs.js';
import { DROOPING } from '../records/vocabulary/sign-groups.js';
import type { Stock, SupportKind } from '../support/support-plan.js';
import { HANGS_LEFT } from '../water/stress.js';
import { supportOf, tiedOn } from './tending.js';
import { first } from '../units/lists.js';

/** A plant's recorded state, for its drawing. */
export interface Stands {
  /** true if it droops: seen drooping, or its soil is so dry that it must */
  limp: boolean;
  /** parts with a problem now; harmless ones are left out */
  ailing: Part[];
  /** flowers and fruit of its trusses by their newest counts; null if never counted */
  load: { flowers: number; fruit: number } | null;
  /** its support; null if no staking or tying is recorded */
  held: SupportKind | null;
}

/** Returns how a plant does, for comparing plants: water, findings and trusses. */
export function standsOf(assessment: PlantAssessment, stock: Stock, counts: readonly TrussSeen[]): Stands {
  const { context, report } = assessment;
  const present = [...context.present];
  const left = context.waterKnown ? context.balance.days.at(-1)?.fractionAvailable : undefined;
  const { trusses } = setByTruss(counts);
  return {
    limp: present.some((sign) => DROOPING.has(sign)) || (left !== undefined && left < HANGS_LEFT),
    ailing: report.harmless
      ? []
      : [...new Set(present.filter((s) => signRow(s).kind === 'sign').map((s) => first(signRow(s).parts)))],
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
