/**
 * What helped here: a rate from few cases, shrunk towards what is usual. Beta-binomial: with a prior Beta(a, b) and `worked` of `tried`, the
 * posterior mean is (a + worked) / (a + b + tried). The prior says that of measures that a finding proposes about six in ten help, with the
 * weight of four cases (judgement).
 */
export const PRIOR = { a: 2.4, b: 1.6 } as const;
/** Fewer cases than this shift no order: they are only told. */
export const ENOUGH = 5;

export interface Rate {
  worked: number;
  tried: number;
  /** posterior mean, 0 to 1 */
  shrunk: number;
  /** there are enough to go by */
  enough: boolean;
}

export const rateOf = (worked: number, tried: number): Rate => ({
  worked,
  tried,
  shrunk: (PRIOR.a + worked) / (PRIOR.a + PRIOR.b + tried),
  enough: tried >= ENOUGH,
});

/** "better in 4 of 5 here". */
export const rateInWords = (r: Rate): string => `better ${r.worked} of ${r.tried} times here`;

/** By how much a rate differs from the prior before it shifts an order (judgement: more than chance does with five). */
const SHIFT = 0.12;
const PRIOR_MEAN = PRIOR.a / (PRIOR.a + PRIOR.b);

/**
 * The order in which remedies of one rung and step are told: those that helped here clearly oftener first, those that clearly did not last; where
 * there are too few cases, or the difference is small, the order stays.
 */
export function orderByRate<T>(list: readonly T[], groupOf: (x: T) => string, rate: (x: T) => Rate | undefined): T[] {
  const shift = (x: T): number => {
    const r = rate(x);
    if (!r?.enough) return 0;
    return r.shrunk > PRIOR_MEAN + SHIFT ? -1 : r.shrunk < PRIOR_MEAN - SHIFT ? 1 : 0;
  };
  const groups = [...new Set(list.map(groupOf))];
  return groups.flatMap((g) =>
    list
      .map((x, i) => ({ x, i }))
      .filter(({ x }) => groupOf(x) === g)
      .sort((a, b) => shift(a.x) - shift(b.x) || a.i - b.i)
      .map(({ x }) => x),
  );
}
