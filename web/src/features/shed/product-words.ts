import { type DosePer, type DoseUnit, type Product, type ProductKind, unitAmount } from '@candid-leaf/core/products';
import { type Formatter, type Quantity, roundTo, type Told, type Units } from '@candid-leaf/core/units';

export const KIND_OF_PRODUCT: Record<ProductKind, string> = {
  feed: 'Feeds',
  amendment: 'For the soil',
  spray: 'Sprays',
};
/** Returns what a label's dose is for: "a litre of water", "a US gallon of water". */
export const perWords = (per: DosePer, f: Formatter): string =>
  per === 'plant' ? 'a plant' : `${measureFor(per, f).words}${OF[per]}`;
const OF: Record<Exclude<DosePer, 'plant'>, string> = { litre: ' of water', m2: '', 'pot-litre': ' of pot' };
const measureFor = (per: Exclude<DosePer, 'plant'>, f: Formatter): Told => f.per[per === 'm2' ? 'ground' : 'water'];

/** How a label counts its dose, in words. */
export const DOSE_UNIT_WORDS: Record<Product['form'], Record<DoseUnit, string>> = {
  dry: { tsp: 'teaspoons', tbsp: 'tablespoons', oz: 'oz' },
  liquid: { tsp: 'teaspoons', tbsp: 'tablespoons', oz: 'fl oz' },
};
type Dosed = Pick<Product, 'form' | 'gPerMl' | 'dose'>;

/** Returns a product whose dose is in grams or millilitres, from one as its label prints it. */
export const fromPrinted = <P extends Dosed>(p: P, units: Units): P =>
  p.dose?.unit ? { ...p, dose: { ...p.dose, amount: p.dose.amount * unitAmount(p.dose.unit, p, units) } } : p;
/** Returns a product with its dose as its label prints it. */
export const asPrinted = <P extends Dosed>(p: P, units: Units): P =>
  p.dose?.unit
    ? { ...p, dose: { ...p.dose, amount: roundTo(p.dose.amount / unitAmount(p.dose.unit, p, units), 6) } }
    : p;

/** Returns the quantity in which a label's dose is typed. */
export const doseQuantity = (per: DosePer | undefined): Quantity =>
  per === 'm2' ? 'dosePerM2' : per === 'litre' || per === 'pot-litre' ? 'dosePerLitre' : 'count';

/** Returns a label's dose in the gardener's measure: "4.4 mL a litre of water", "17 mL (3½ tsp) a US gallon of water". */
function doseInWords(p: Product, { amount, per, unit }: NonNullable<Product['dose']>, f: Formatter): string {
  const size = per === 'plant' ? 1 : measureFor(per, f).metric;
  if (unit) {
    const printed = roundTo((amount * size) / unitAmount(unit, p, f.units), 2);
    return `${printed} ${DOSE_UNIT_WORDS[p.form][unit]} ${perWords(per, f)}`;
  }
  const much = p.form === 'dry' ? f.grams(amount * size) : size === 1 ? `${amount} mL` : f.millilitres(amount * size);
  return `${much} ${perWords(per, f)}`;
}

/** Returns an amount of a product as measured: poured or weighed, with spoons beside it. */
export const amountOf = (p: Product, amount: number, f: Formatter): string =>
  p.form === 'liquid' ? f.millilitres(amount) : f.powder(amount, p.gPerMl);

/** Returns "4-3-8 · 4.4 mL a litre of water, every 14 days". */
export function labelInWords(p: Product, f: Formatter): string {
  const npk = p.n + p.p2o5 + p.k2o > 0 ? `${p.n}-${p.p2o5}-${p.k2o}` : '';
  const dose = p.dose ? `${doseInWords(p, p.dose, f)}${p.everyDays ? `, at most every ${p.everyDays} days` : ''}` : '';
  const wait =
    p.harvestDays == null
      ? ''
      : p.harvestDays === 0
        ? 'pick the same day'
        : `pick after ${p.harvestDays} ${p.harvestDays === 1 ? 'day' : 'days'}`;
  return [npk, dose, p.kind === 'spray' ? wait : ''].filter(Boolean).join(' · ');
}
