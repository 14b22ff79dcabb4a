import { type FeedLead, leadOf, nitrogenLeads } from '../nutrition/feed-plan.js';
import { type DoseAnswer, gramsOf, labelDose, type Nutrient } from '../products/dose.js';
import type { Product } from '../products/product.js';
import type { Feeding } from '../records/record-classes.js';
import type { Day } from '../units/day.js';
import type { Formatter } from '../units/formatter.js';
import { roundTo } from '../units/rounding.js';

/** The product and amount to feed the plants of one bed or pot. */
export interface FeedForPlace {
  product: Product;
  dose: DoseAnswer;
  /** "18 mL (1 tbsp and ½ tsp) in 4 L, 1 L per plant" */
  text: string;
  /** share of the label's dose */
  strength: number;
}

interface Choosing {
  lead: FeedLead;
  isPot: boolean;
  organicOnly: boolean;
  /** allow no product with more nitrogen than both other nutrients */
  inBloomOrFruit: boolean;
  /** a soil test found plenty of these: no product led by one of them, nor rich in it */
  plenty?: readonly Nutrient[];
}

/**
 * Picks the product: the gardener's own before the starters, the wanted lead nutrient first; dissolved for pots, dry
 * for beds. Null if the gardener's own rule allows none.
 */
export function feedProduct(products: readonly Product[], c: Choosing): Product | null {
  const own = (p: Product): boolean => 'version' in p;
  const dissolved = (p: Product): boolean => p.dose?.per === 'litre';
  const score = (p: Product): number =>
    (leadOf(p) === c.lead ? 8 : c.lead === 'potash' && hasMorePotash(p) ? 7 : 0) +
    (leadOf(p) === 'balanced' ? 3 : 0) +
    (dissolved(p) === c.isPot ? 2 : 0) +
    (own(p) ? 2.5 : 0);
  const fit = products.filter(
    (p) =>
      p.kind === 'feed' &&
      p.dose &&
      p.n + p.p2o5 + p.k2o > 1 &&
      (!c.organicOnly || p.organic === true) &&
      !(c.inBloomOrFruit && nitrogenLeads(p)) &&
      !(c.plenty ?? []).some((x) => isRichIn(p, x)),
  );
  return fit.reduce<Product | null>((best, p) => (!best || score(p) > score(best) ? p : best), null);
}

/** A nutrient that is a third and more of what the product brings, and as much as any other in it. */
const isRichIn = (p: Product, x: Nutrient): boolean =>
  p[x] > 0 && p[x] >= Math.max(p.n, p.p2o5, p.k2o) && p[x] > (p.n + p.p2o5 + p.k2o) / 3 + 0.01;

/** Returns the nutrients of which a soil test found plenty. */
export const plentyIn = (
  test: { nitrogen?: string | null; phosphorus?: string | null; potassium?: string | null } | null,
): Nutrient[] => [
  ...(test?.nitrogen === 'high' ? (['n'] as const) : []),
  ...(test?.phosphorus === 'high' ? (['p2o5'] as const) : []),
  ...(test?.potassium === 'high' ? (['k2o'] as const) : []),
];

/** Fruit needs about half as much potassium again as nitrogen (UPTAKE_G_PER_KG): a feed like that is a fruit feed too. */
const hasMorePotash = (p: Product): boolean => p.n > 0 && p.k2o >= 1.5 * p.n;

interface Place {
  plants: number;
  areaM2: number | null;
  potLitres: number | null;
}

/** Solution per bed plant, L (common practice). */
export const BED_LITRES_EACH = 1;
/**
 * Liquid a pot takes in one feeding, as a share of its volume: what it drinks until half of its available water is used,
 * wet and not running through. A mix holds about 30 % of its volume that plants can take (Argo 1998, HortTechnology 8:
 * 25 to 35 %; from memory). A tenth gave a full-grown plant less than it needs even at label strength every week.
 */
export const POT_SHARE = 0.15;

/** Returns the dose of a product for a bed or pot in words and amounts, or null if its label gives none for it. */
export function feedForPlace(product: Product, place: Place, strength: number, f: Formatter): FeedForPlace | null {
  const litresEach = place.potLitres === null ? BED_LITRES_EACH : POT_SHARE * place.potLitres;
  const dose = labelDose(product, { ...place, litresEach, strength, tools: f.units });
  if (Array.isArray(dose)) return null;
  const amount = (x: number): string => (product.form === 'liquid' ? f.millilitres(x) : f.powder(x, product.gPerMl));
  const half = strength < 1 ? ' (half the label)' : '';
  const text =
    dose.solutionL !== null
      ? `${amount(dose.total)} in ${f.litres(dose.solutionL)}${half}, ${f.litres(litresEach)} per plant`
      : `${amount(dose.each)} per plant${half}`;
  return { product, dose, text, strength };
}

/** Returns the record to save when it is done, with the label's numbers copied so they stay. */
export function feedingRecord({ product, dose, strength }: FeedForPlace, date: Day): Feeding {
  const grams = roundTo(gramsOf(product, dose.each), 2);
  return {
    date,
    product: product.name,
    n: product.n,
    p2o5: product.p2o5,
    k2o: product.k2o,
    grams,
    labelGrams: roundTo(grams / strength, 2),
    form: dose.solutionL !== null ? 'liquid' : 'granular',
  };
}
