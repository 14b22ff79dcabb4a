import type { DisorderCode } from '../../records/vocabulary/disorders.js';
import { addDays, type Day } from '../../units/day.js';
import type { WeekPlan } from '../../water/plan.js';
import type { CaseContext } from '../context.js';
import { CAUTIONS, type RemedyCode } from '../tables/remedies.js';
import type { DriverCode } from '../vocabulary/drivers.js';
import { type Dose, DOSES, dueOn } from './doses.js';
import type { Offer, Withheld } from './offer.js';

export interface Remedy {
  remedy: RemedyCode;
  rung: number;
  forDisorder: DisorderCode;
  forDriver: DriverCode | null;
  when: Day;
  dose: Dose | null;
  cautions: string[];
  followUpOn: Day;
  successIs: string;
}

const NONE_DUE = 'by the plan no water falls due in the coming week';

/**
 * The offered remedies with their amounts and days. What waters reads both from the plan, so that no remedy orders other
 * water than Today and the week do; where the plan holds none, it is withheld.
 * @param plan of this plant's pour; null where no balance can be reckoned, and then no litres are told
 */
export function scheduleRemedies(
  ctx: CaseContext,
  offers: readonly Offer[],
  plan: WeekPlan | null,
): { remedies: Remedy[]; withheld: Withheld[] } {
  const remedies: Remedy[] = [];
  const withheld: Withheld[] = [];
  for (const { remedy, disorder, driver } of offers) {
    const waters = remedy.acts === 'watering';
    if (waters && plan && !plan.next) {
      withheld.push({ remedy: remedy.code, forDisorder: disorder.code, because: NONE_DUE });
      continue;
    }
    remedies.push({
      remedy: remedy.code,
      rung: remedy.rung,
      forDisorder: disorder.code,
      forDriver: driver?.driver ?? null,
      when: waters && plan?.next ? plan.next.date : dueOn(ctx, remedy.when, plan),
      dose: remedy.dose ? DOSES[remedy.dose](ctx, plan) : null,
      cautions: remedy.cautions.map((c) => CAUTIONS[c]),
      followUpOn: addDays(ctx.case.asOf, disorder.followUpDays),
      successIs: disorder.successIs,
    });
  }
  return { remedies, withheld };
}
