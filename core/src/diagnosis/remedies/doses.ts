import { isPotted } from '../../records/place.js';
import { isOf } from '../../records/vocabulary/sign-groups.js';
import { addDays, type Day } from '../../units/day.js';
import { toTenth, roundTo } from '../../units/rounding.js';
import { coveredM2, heightOr } from '../../water/crops.js';
import { LEAF_LOSS_PCT, LEAF_LOSS_WITHIN_DAYS, leafLostPct } from '../../pruning/leaf-loss.js';
import { seasonEnd } from '../../season/frost-days.js';
import { LIME_WATER_ML_PER_L } from '../../soil/drenches.js';
import { potSizeFor } from '../../water/pot-size.js';
import type { WeekPlan } from '../../water/plan.js';
import type { CaseContext } from '../context.js';
import { FACTS } from '../facts.js';
import type { DoseKind, When } from '../tables/remedies.js';

/** Amounts per plant. Only those that apply are present. */
export interface Dose {
  litres?: number;
  everyDays?: number;
  /** no action until this many days have passed */
  waitDays?: number;
  /** until a finger says that the soil is dry */
  untilDry?: true;
  depthMm?: number;
  areaM2?: number;
  blockPct?: number;
  millilitres?: number;
  /** number of fruits */
  count?: number;
  cutsPerWeek?: number;
  /** shares the week's cuts with another remedy */
  sharedBudget?: true;
  /** share of the leaves to remove at once, at most, % */
  leafSharePct?: number;
  potLitres?: number;
}

const affected = (ctx: CaseContext): number | undefined => {
  const counts = [...ctx.seen.values()].filter((o) => o.present && isOf(o.sign, 'fruit')).map((o) => o.affected ?? 0);
  const most = Math.max(0, ...counts);
  return most > 0 ? most : undefined;
};
const cover = (ctx: CaseContext): number =>
  coveredM2(ctx.case.plant.crop, heightOr(ctx.case.plant.crop, ctx.case.plant.heightM));

/**
 * The one order for water: the amount of the plan's next watering, and its rhythm. Null if the records allow no
 * number.
 */
/** The one order for water: the amount of the plan's next watering, and how often it repeats. */
const orderOf = (plan: WeekPlan | null): Dose | null =>
  plan?.next ? { litres: plan.next.litres, ...(plan.rhythm ? { everyDays: plan.rhythm.everyDays } : {}) } : null;

/** Dose of each remedy that has one; amounts of water come from the plan. */
export const DOSES: Record<DoseKind, (ctx: CaseContext, plan: WeekPlan | null) => Dose | null> = {
  'next-watering': (_ctx, plan) => orderOf(plan),
  rhythm: (_ctx, plan) => orderOf(plan),
  'hold-water': () => ({ untilDry: true }),
  mulch: (ctx) => {
    const area = ctx.balance.days.at(-1)?.groundM2 ?? ctx.case.place.areaM2;
    // ground area unknown: give the depth only
    if (area == null) return { depthMm: 60 };
    return { depthMm: 60, areaM2: Math.max(0.05, roundTo(area, 2)), litres: toTenth(area * 60) };
  },
  // cloth overhangs the leaves by about half on each sunny side (judgement)
  shade: (ctx) => ({ blockPct: 40, areaM2: toTenth(Math.max(0.3, cover(ctx) * 2)) }),
  // a pot three times its volume; on ground 150 mm
  flush: (ctx) => {
    const { place } = ctx.case;
    if (isPotted(place)) return place.volumeL ? { litres: toTenth(3 * place.volumeL) } : null;
    const groundM2 = ctx.balance.days.at(-1)?.groundM2;
    return groundM2 ? { litres: Math.round(150 * groundM2) } : null;
  },
  'pause-feed': () => ({ waitDays: 28 }),
  'light-feed': () => null, // the label decides; the text says half strength. The dose goes with the water really given: 15 mL in 4 L, so half in 2 L
  'lime-drench': ({ case: c }) => {
    if (!c.place.volumeL) return null;
    const litres = toTenth(Math.max(0.1, Math.min(4, c.place.volumeL / 10)));
    return { millilitres: toTenth(LIME_WATER_ML_PER_L * litres), litres };
  },
  gypsum: () => null, // the label decides
  affected: (ctx) => {
    const count = affected(ctx);
    return count ? { count } : null;
  },
  'leaf-budget': () => ({ cutsPerWeek: 4 }),
  // never so many that fruit scalds: a quarter within two weeks, and hardly any in heat or where fruit is burnt already
  'third-of-leaf': (ctx) => {
    const lost = leafLostPct(ctx.recent(ctx.case.records.pruning, LEAF_LOSS_WITHIN_DAYS));
    const shadeNeeded = FACTS['hot-now'](ctx) || FACTS['sunscald-open'](ctx);
    return {
      leafSharePct: shadeNeeded ? LEAST_LEAF_SHARE : Math.max(LEAST_LEAF_SHARE, LEAF_LOSS_PCT - Math.round(lost)),
    };
  },
  'bigger-pot': ({ case: c }) => ({ potLitres: potSizeFor(c.plant).advised }),
};

/** Share of the leaves that the worst ones may be, whatever else speaks against it, %. */
const LEAST_LEAF_SHARE = 10;

/** Returns the day a remedy with this timing is due. */
export function dueOn({ case: c }: CaseContext, when: When, plan: WeekPlan | null): Day {
  switch (when) {
    case 'today':
      return c.asOf;
    case 'tomorrow':
      return addDays(c.asOf, 1);
    case 'next-watering':
      return plan?.next?.date ?? addDays(c.asOf, 1);
    case 'this-week':
      return addDays(c.asOf, 3);
    case 'season-end':
      return seasonEnd(c.garden, c.asOf);
  }
}
