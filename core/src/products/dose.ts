import type { Fault } from '../records/faults.js';
import { roundTo } from '../units/rounding.js';
import type { LabelDose, Product } from './product.js';

/** Nutrients that can be asked for, as the label tells them. */
export const NUTRIENTS = ['n', 'p2o5', 'k2o'] as const;
export type Nutrient = (typeof NUTRIENTS)[number];

/** What is to be treated, and with which can. */
export interface DoseQuestion {
  plants: number;
  /** ground of the whole place, m² */
  areaM2?: number | null;
  /** of one pot, L */
  potLitres?: number | null;
  /** solution that each plant gets, L */
  litresEach?: number | null;
  /** what the can or the sprayer holds, L */
  canLitres?: number | null;
  /** of the label's dose: 1, or ½ */
  strength?: number;
}

export interface Batch {
  /** how many cans of this kind */
  cans: number;
  waterL: number;
  /** grams or millilitres that go into one can, as one can measure them */
  amount: number;
}

export interface DoseAnswer {
  /** grams (dry) or millilitres (liquid) in all, as measured */
  total: number;
  /** for one plant */
  each: number;
  /** solution in all, and the cans it is mixed in; none where nothing is dissolved */
  solutionL: number | null;
  batches: Batch[];
  /** what stays in the last can, L */
  leftOverL: number;
  /** what rounding to a measurable amount changes, percent of the exact one */
  roundedByPct: number;
  /** grams of nutrient that each plant gets */
  nutrientsEach: Record<Nutrient, number>;
}

/** More than the label, and ten times as much: the one needs a reason, the other is a slip. */
export const MOST_STRENGTH = 1;
/** A can is mixed to the half litre, so that its marks help. */
const CAN_STEP_L = 0.5;

/**
 * What one can weigh or pour: to the gram from 10 g on, to the half gram under it; to the millilitre from 10 mL on, under it to the quarter of a
 * teaspoon that a 1 or 2 mL syringe reads well (0.1 mL). Never to nothing.
 */
export function measurable(amount: number, form: Product['form']): number {
  if (amount <= 0) return 0;
  if (amount >= 10) return Math.round(amount);
  return form === 'dry' ? Math.max(0.5, Math.round(amount * 2) / 2) : Math.max(0.1, roundTo(amount, 1));
}

/**
 * A label's dose as amounts for these plants and this can.
 * @returns the faults where what the label counts by is not known here
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
  const inCan = (waterL: number): number => measurable(dose.amount * strength * waterL, product.form);
  const batches: Batch[] = [
    ...(full > 0 ? [{ cans: full, waterL: canL, amount: inCan(canL) }] : []),
    ...(lastL > 1e-9 ? [{ cans: 1, waterL: lastL, amount: inCan(lastL) }] : []),
  ];
  const mixedL = full * canL + Math.max(0, lastL);
  const total = batches.reduce((sum, b) => sum + b.cans * b.amount, 0);
  const exact = dose.amount * strength * mixedL;
  return answer(product, {
    total,
    exact,
    share: mixedL > 0 ? litresEach / mixedL : 0,
    solutionL: mixedL,
    batches,
    leftOverL: roundTo(mixedL - needL, 2),
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
  const each = measurable(exact, product.form);
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
  /** of it that one plant gets */
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

/** Grams that an amount of product weighs. */
export const gramsOf = (product: Product, amount: number): number =>
  product.form === 'liquid' ? amount * (product.gPerMl ?? 1) : amount;

/** Grams of N, P₂O₅ and K₂O in an amount (g or mL). */
export function nutrientsIn(product: Product, amount: number): Record<Nutrient, number> {
  const g = gramsOf(product, amount);
  return {
    n: roundTo((g * product.n) / 100, 3),
    p2o5: roundTo((g * product.p2o5) / 100, 3),
    k2o: roundTo((g * product.k2o) / 100, 3),
  };
}

/**
 * The other way round: how much product holds so many grams of a nutrient.
 * @param gramsEach of the nutrient, for each plant
 * @returns grams (dry) or millilitres (liquid) for each plant, as measured; null where the product has none of it
 */
export function amountFor(product: Product, nutrient: Nutrient, gramsEach: number): number | null {
  const pct = product[nutrient];
  if (pct <= 0) return null;
  const grams = (gramsEach * 100) / pct;
  return measurable(product.form === 'liquid' ? grams / (product.gPerMl ?? 1) : grams, product.form);
}

/** Grams for one plant by the label; null where it counts by the litre of water, or by what is not known here. */
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
