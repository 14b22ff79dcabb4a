import { seriousnessOf } from '../severity.js';
import { isPotted } from '../../records/place.js';
import type { DisorderCode } from '../../records/vocabulary/disorders.js';
import { addDays, type Day } from '../../units/day.js';
import type { WeekPlan } from '../../water/plan.js';
import type { CaseContext } from '../context.js';
import { type CautionCode, CAUTIONS } from '../../records/vocabulary/cautions.js';
import type { RemedyCode } from '../tables/remedies.js';
import type { DriverCode } from '../vocabulary/drivers.js';
import { type Dose, DOSES, dueOn } from './doses.js';
import type { Offer, Withheld } from './offer.js';
import { wetnessByHand } from '../wetness.js';
import { stepsOf } from './steps.js';
import { at } from '../../units/lists.js';

/** A remedy offered for a problem, with its order, dose and cautions. */
export interface Remedy {
  remedy: RemedyCode;
  rung: number;
  /** 1 now; each later one when the follow-up says "not enough"; 0 for next season */
  step: number;
  forDisorder: DisorderCode;
  forDriver: DriverCode | null;
  /** general advice, not based on the records */
  general: boolean;
  /** nothing is clear, but whatever it is of several, this is the act */
  either?: true;
  when: Day;
  dose: Dose | null;
  cautions: string[];
  followUpOn: Day;
  successIs: string;
}

const NONE_DUE = 'the plan has no watering in the coming week';

/**
 * Returns the offered remedies with amounts and days. All watering is one order, whichever findings ask for it; it
 * reads its day, amount and rhythm from the plan, so it never differs from Today or the week. If the plan has none,
 * it is held back.
 * @param plan of this plant's group; null if no balance can be computed, and then no litres are shown
 */
export function scheduleRemedies(
  ctx: CaseContext,
  offers: readonly Offer[],
  plan: WeekPlan | null,
): { remedies: Remedy[]; withheld: Withheld[] } {
  const order = oneOrder(ctx, offers, plan);
  const kept = offers.filter((o) => o.remedy.acts !== 'watering' || o === order);
  const remedies: Remedy[] = [];
  const withheld: Withheld[] = [];
  const steps = stepsByFinding(kept);
  let cutting = false;
  for (const [i, { remedy, disorder, driver, link, general, either }] of kept.entries()) {
    const waters = remedy.acts === 'watering';
    if (waters && plan && !plan.next) {
      withheld.push({ remedy: remedy.code, forDisorder: disorder.code, because: NONE_DUE });
      continue;
    }
    // what can kill or spread is looked at sooner
    const isUrgent = seriousnessOf(ctx, disorder.code)?.level === 'urgent';
    const dose = link.dose ?? (remedy.dose ? DOSES[remedy.dose](ctx, plan) : null);
    remedies.push({
      remedy: remedy.code,
      rung: remedy.rung,
      step: at(steps, i),
      forDisorder: disorder.code,
      forDriver: driver?.driver ?? null,
      general,
      ...(either ? { either } : {}),
      when: waters && plan?.next ? plan.next.date : dueOn(ctx, remedy.when, plan),
      dose: remedy.cuts && cutting && dose ? { ...dose, sharedBudget: true } : dose,
      cautions: cautionsOf(
        ctx,
        [...remedy.cautions, ...(link.cautions ?? [])],
        (remedy.fruit ?? remedy.cuts) === true,
      ).map((c) => CAUTIONS[c]),
      followUpOn: addDays(ctx.case.asOf, isUrgent ? Math.ceil(disorder.followUpDays / 2) : disorder.followUpDays),
      successIs: disorder.successIs,
    });
    cutting ||= remedy.cuts === true;
  }
  return { remedies, withheld };
}

/** A rhythm of this many days or more is the long soak of a bed. */
const DEEP_FROM_DAYS = 5;

/** Picks the one watering to show: now if due today or felt dry, a deep soak if the rhythm is slow, else evenly. */
function oneOrder(ctx: CaseContext, offers: readonly Offer[], plan: WeekPlan | null): Offer | undefined {
  const watering = offers.filter((o) => o.remedy.acts === 'watering');
  const of = (code: RemedyCode): Offer | undefined => watering.find((o) => o.remedy.code === code);
  const now = plan ? plan.next?.date === ctx.case.asOf : wetnessByHand(ctx)?.feel === 'dry';
  const slow = !isPotted(ctx.case.place) && (plan?.rhythm?.everyDays ?? 0) >= DEEP_FROM_DAYS;
  return (
    (now ? of('water-now') : undefined) ?? (slow ? of('deep-soak') : undefined) ?? of('even-watering') ?? watering[0]
  );
}

/** Returns the ladder of each finding by itself. */
function stepsByFinding(offers: readonly Offer[]): number[] {
  const out = new Array<number>(offers.length).fill(1);
  for (const code of new Set(offers.map((o) => o.disorder.code))) {
    const own = offers.flatMap((o, i) => (o.disorder.code === code ? [i] : []));
    const steps = stepsOf(own.map((i) => at(offers, i).remedy));
    own.forEach((i, k) => (out[i] = at(steps, k)));
  }
  return out;
}

/**
 * The glove and eye caution for hot peppers goes where fruit or shoots are handled; so does the bin for gnawed fruit.
 */
function cautionsOf(ctx: CaseContext, own: readonly CautionCode[], handles: boolean): readonly CautionCode[] {
  const { case: c } = ctx;
  const hot = c.plant.crop === 'pepper' && (c.plant.type === 'hot' || c.plant.type === 'superhot');
  const fouled = ctx.present.has('fruit-gnawed-or-gone') || ctx.present.has('fruit-droppings-on-bites');
  return [
    ...own,
    ...(fouled && handles ? (['fouled', 'wash-hands'] as const) : []),
    ...(hot && handles ? (['hot'] as const) : []),
  ];
}
