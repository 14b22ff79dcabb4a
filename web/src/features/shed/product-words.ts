import type { DosePer, Product, ProductKind } from '@candid-leaf/core/products';
import type { Formatter } from '@candid-leaf/core/units';

export const KIND_OF_PRODUCT: Record<ProductKind, string> = {
  feed: 'Feeds',
  amendment: 'For the soil',
  spray: 'Sprays',
};
export const PER_WORDS: Record<DosePer, string> = {
  litre: 'a litre of water',
  plant: 'a plant',
  m2: 'a square metre',
  'pot-litre': 'a litre of pot',
};

/** Returns an amount of a product as measured: poured or weighed, with spoons beside it. */
export const amountOf = (p: Product, amount: number, f: Formatter): string =>
  p.form === 'liquid' ? f.millilitres(amount) : f.powder(amount, p.gPerMl);

/** Returns "4-3-8 · 4.4 mL a litre of water, every 14 days". */
export function labelInWords(p: Product, f: Formatter): string {
  const npk = p.n + p.p2o5 + p.k2o > 0 ? `${p.n}-${p.p2o5}-${p.k2o}` : '';
  const dose = p.dose
    ? `${p.form === 'liquid' ? `${p.dose.amount} mL` : f.grams(p.dose.amount)} ${PER_WORDS[p.dose.per]}${p.everyDays ? `, at most every ${p.everyDays} days` : ''}`
    : '';
  const wait =
    p.harvestDays == null
      ? ''
      : p.harvestDays === 0
        ? 'pick the same day'
        : `pick after ${p.harvestDays} ${p.harvestDays === 1 ? 'day' : 'days'}`;
  return [npk, dose, p.kind === 'spray' ? wait : ''].filter(Boolean).join(' · ');
}
