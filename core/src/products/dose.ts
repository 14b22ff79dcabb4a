import type { Fault } from '../records/faults.js';
import { roundTo } from '../units/rounding.js';
import { inSpoons, spoonSetOf, spoonsOf, US_FLUID_OUNCE_ML } from '../units/kitchen.js';
import { GRAMS_PER } from '../units/measures.js';
import { USUAL_SCALE_STEP_G, type Units } from '../units/units.js';
import type { DoseUnit, LabelDose, Product } from './product.js';

/** A nutrient a dose can be computed for. */
export type Nutrient = 'n' | 'p2o5' | 'k2o';

/** What to treat, and with which can. */
interface DoseQuestion {
  plants: number;
  /** ground of the whole place, m² */
  areaM2?: number | null;
  /** of one pot, L */
  potLitres?: number | null;
  /** solution per plant, L */
  litresEach?: number | null;
  /** volume of the can or sprayer, L */
  canLitres?: number | null;
  /** share of the label's dose: 1, or ½ */
  strength?: number;
  /** what it is measured with */
  tools?: Tools;
}

/** The scale and spoons at hand. */
export type Tools = Pick<Units, 'scaleStepG' | 'spoons' | 'volume'>;

interface Batch {
  /** number of cans of this size */
  cans: number;
  waterL: number;
  /** grams or millilitres for one can, rounded to measure */
  amount: number;
}

/** A computed dose: totals and how to mix it. */
export interface DoseAnswer {
  /** grams (dry) or millilitres (liquid) in total, as measured */
  total: number;
  /** for one plant */
  each: number;
  /** total solution and the cans it is mixed in; none if nothing is dissolved */
  solutionL: number | null;
  batches: Batch[];
  /** left in the last can, L */
  leftOverL: number;
  /** change from rounding down to a measurable amount, percent of the exact one: never above 0 */
  roundedByPct: number;
  /** grams of nutrient per plant */
  nutrientsEach: Record<Nutrient, number>;
}

/** Multiples of the label: above the first a reason is needed, the second is a mistake. */
const MOST_STRENGTH = 1;
/** A can is mixed in steps of half a litre, so its marks help. */
const CAN_STEP_L = 0.5;

/** Steps a kitchen scale or a syringe can tell apart, in grams or millilitres; from 10 on whole ones. */
const STEP = { dry: USUAL_SCALE_STEP_G, liquid: 0.1 } as const;

type Measured = Pick<Product, 'form' | 'gPerMl'>;

/** The least that can be measured of a product, g or mL. Without a scale: a quarter of a teaspoon, if its density is known. */
function leastOf({ form, gPerMl }: Measured, tools: Tools | undefined): number {
  if (form === 'liquid') return STEP.liquid;
  if (tools?.scaleStepG === 0 && gPerMl) return (spoonsOf(spoonSetOf(tools)).tsp / 4) * gPerMl;
  return tools?.scaleStepG || STEP.dry;
}

/**
 * Rounds down to what a person can measure, as no dose may exceed its label: to the step of the scale, or to spoons where
 * there is none; tenths of a millilitre (1 or 2 mL syringe). Whole grams and millilitres are fine enough from 10 on. Zero
 * where it is less than that.
 * @example measurable(13.97, { form: 'dry' }) // 13
 */
export function measurable(amount: number, product: Measured, tools?: Tools): number {
  const { form, gPerMl } = product;
  if (form === 'dry' && tools?.scaleStepG === 0 && gPerMl)
    return roundTo((inSpoons(amount / gPerMl, spoonSetOf(tools))?.ml ?? 0) * gPerMl, 2);
  const least = leastOf(product, tools);
  const step = amount >= 10 ? Math.max(1, least) : least;
  return roundTo(Math.floor(amount / step + 1e-6) * step, 1);
}

/**
 * Returns the grams (dry) or millilitres (liquid) of one unit as labels print it. A spoon of a powder weighs by its
 * density, 1 g/mL if unknown.
 * @example unitAmount('tbsp', { form: 'liquid' }, { volume: 'gal-us' }) // 14.7868
 */
export function unitAmount(unit: DoseUnit, { form, gPerMl }: Measured, tools: Tools): number {
  if (unit === 'oz') return form === 'liquid' ? US_FLUID_OUNCE_ML : GRAMS_PER.oz;
  return spoonsOf(spoonSetOf(tools))[unit] * (form === 'liquid' ? 1 : (gPerMl ?? 1));
}

/**
 * Returns a label's dose as amounts for these plants and this can.
 * @returns the faults if the quantity the label counts by is missing
 */
export function labelDose(product: Product, q: DoseQuestion): DoseAnswer | Fault[] {
  const { dose } = product;
  const strength = q.strength ?? 1;
  if (!dose) return [{ path: 'dose', reason: `${product.name} has no dose: copy it from the label first` }];
  if (strength > MOST_STRENGTH)
    return [
      {
        path: 'strength',
        reason:
          'more than the label says is not calculated: it burns roots or leaves, and in most places the label is the law',
      },
    ];
  return dose.per === 'litre' ? dissolved(product, dose, q, strength) : spread(product, dose, q, strength);
}

function dissolved(product: Product, dose: LabelDose, q: DoseQuestion, strength: number): DoseAnswer | Fault[] {
  const { litresEach, canLitres } = q;
  if (litresEach == null) return [{ path: 'litresEach', reason: 'is needed: the dose is per litre' }];
  const needL = litresEach * q.plants;
  const canL = canLitres ?? needL;
  const full = Math.floor(needL / canL + 1e-9);
  const restL = Math.ceil((needL - full * canL - 1e-9) / CAN_STEP_L) * CAN_STEP_L;
  const lastL = Math.min(canL, restL);
  const inCan = (waterL: number): number => measurable(dose.amount * strength * waterL, product, q.tools);
  // too little to measure: the smallest batch that can be measured, however much is left over
  if (inCan(full > 0 ? canL : lastL) === 0) {
    const least = leastOf(product, q.tools) / (dose.amount * strength);
    const waterL = Math.ceil(least / CAN_STEP_L - 1e-9) * CAN_STEP_L;
    const amount = inCan(waterL);
    return answer(product, {
      total: amount,
      exact: dose.amount * strength * waterL,
      share: litresEach / waterL,
      solutionL: waterL,
      batches: [{ cans: 1, waterL, amount }],
      leftOverL: roundTo(waterL - needL, 2),
    });
  }
  const batches: Batch[] = [
    ...(full > 0 ? [{ cans: full, waterL: canL, amount: inCan(canL) }] : []),
    ...(lastL > 1e-9 ? [{ cans: 1, waterL: lastL, amount: inCan(lastL) }] : []),
  ].filter((b) => b.amount > 0);
  const mixedL = batches.reduce((sum, b) => sum + b.cans * b.waterL, 0);
  const total = batches.reduce((sum, b) => sum + b.cans * b.amount, 0);
  const exact = dose.amount * strength * mixedL;
  return answer(product, {
    total,
    exact,
    share: mixedL > 0 ? litresEach / mixedL : 0,
    solutionL: mixedL,
    batches,
    leftOverL: roundTo(Math.max(0, mixedL - needL), 2),
  });
}

function spread(product: Product, dose: LabelDose, q: DoseQuestion, strength: number): DoseAnswer | Fault[] {
  const times = { plant: 1, m2: q.areaM2 == null ? null : q.areaM2 / q.plants, 'pot-litre': q.potLitres ?? null }[
    dose.per as 'plant' | 'm2' | 'pot-litre'
  ];
  if (times === null)
    return [
      dose.per === 'm2'
        ? { path: 'areaM2', reason: 'is needed: the dose is per square metre' }
        : { path: 'potLitres', reason: 'is needed: the dose is per litre of pot' },
    ];
  const exact = dose.amount * strength * times;
  const each = measurable(exact, product, q.tools);
  if (each === 0)
    return [
      {
        path: 'plants',
        reason: `is less than a scale shows for one plant: weigh it for several, or use a feed that is dissolved`,
      },
    ];
  return answer(product, {
    total: each * q.plants,
    exact: exact * q.plants,
    share: 1 / q.plants,
    solutionL: null,
    batches: [],
    leftOverL: 0,
  });
}

interface Sum {
  total: number;
  exact: number;
  /** share for one plant */
  share: number;
  solutionL: number | null;
  batches: Batch[];
  leftOverL: number;
}

function answer(product: Product, { total, exact, share, solutionL, batches, leftOverL }: Sum): DoseAnswer {
  const each = total * share;
  return {
    total: roundTo(total, 2),
    each: roundTo(each, 3),
    solutionL,
    batches,
    leftOverL,
    roundedByPct: exact > 0 ? roundTo((100 * (total - exact)) / exact, 1) : 0,
    nutrientsEach: nutrientsIn(product, each),
  };
}

/** Returns the grams an amount of product weighs. */
export const gramsOf = (product: Product, amount: number): number =>
  product.form === 'liquid' ? amount * (product.gPerMl ?? 1) : amount;

/**
 * Returns the copper metal of a product, g in 100 g or 100 mL of it; null if its label was not entered.
 * @example copperShare({ form: 'dry', copperPct: 30 }) // 30
 */
export const copperShare = ({ form, gPerMl, copperPct }: Measured & Pick<Product, 'copperPct'>): number | null =>
  copperPct == null ? null : roundTo(copperPct * (form === 'liquid' ? (gPerMl ?? 1) : 1), 2);

/** Returns grams of N, P₂O₅ and K₂O in an amount (g or mL). */
export function nutrientsIn(product: Product, amount: number): Record<Nutrient, number> {
  const g = gramsOf(product, amount);
  return {
    n: roundTo((g * product.n) / 100, 3),
    p2o5: roundTo((g * product.p2o5) / 100, 3),
    k2o: roundTo((g * product.k2o) / 100, 3),
  };
}

/**
 * Returns how much product holds a given amount of a nutrient.
 * @param gramsEach of the nutrient, per plant
 * @returns grams (dry) or millilitres (liquid) per plant, as measured; null if the product has none of it
 */
export function amountFor(product: Product, nutrient: Nutrient, gramsEach: number, tools?: Tools): number | null {
  const pct = product[nutrient];
  if (pct <= 0) return null;
  const grams = (gramsEach * 100) / pct;
  return measurable(product.form === 'liquid' ? grams / (product.gPerMl ?? 1) : grams, product, tools);
}

/** Returns grams per plant by the label; null if it counts by litres of water or by something unknown here. */
export function labelGramsEach(
  product: Product,
  here: { m2?: number | null; potLitres?: number | null },
): number | null {
  const { dose } = product;
  const times = dose
    ? { litre: null, plant: 1, m2: here.m2 ?? null, 'pot-litre': here.potLitres ?? null }[dose.per]
    : null;
  return times === null ? null : gramsOf(product, dose!.amount * times);
}
