import { copperShare, gramsOf, type Product } from '@candid-leaf/core/products';

/** Returns what a record copies from a label, so it keeps its meaning when the label changes. */
export function filledBy(p: Product): Record<string, unknown> {
  if (p.kind === 'spray')
    return {
      name: p.name,
      product: p.spray,
      ...(p.dose?.per === 'litre' ? { perLitre: p.dose.amount, labelPerLitre: p.dose.amount } : {}),
      harvestDays: p.harvestDays ?? undefined,
      everyDays: p.everyDays ?? undefined,
      reentryHours: p.reentryHours ?? undefined,
      copperPct: copperShare(p) ?? undefined,
    };
  return {
    product: p.name,
    n: p.n,
    p2o5: p.p2o5,
    k2o: p.k2o,
    form: p.kind === 'amendment' ? 'amendment' : p.dose?.per === 'litre' ? 'liquid' : 'granular',
    ...(p.dose?.per === 'plant' ? { grams: gramsOf(p, p.dose.amount), labelGrams: gramsOf(p, p.dose.amount) } : {}),
  };
}
