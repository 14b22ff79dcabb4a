/**
 * What helped here: a rate from few cases, shrunk towards the usual one. Beta-binomial: with a prior Beta(a, b) and
 * `worked` of `tried`, the posterior mean is (a + worked) (a + b + tried). The prior says that about six in ten
 * proposed measures help, with the weight of four cases (judgement).
 */
const PRIOR = { a: 2.4, b: 1.6 } as const;
/** Fewer cases than this change no order; they are only shown. */
export const ENOUGH = 5;

/** How often a remedy worked here. */
export interface Rate {
  worked: number;
  tried: number;
  /** posterior mean, 0 to 1 */
  shrunk: number;
  /** enough cases to change the order */
  enough: boolean;
}

/** Returns the success rate of a remedy, shrunk towards the prior while there are few cases. */
export const rateOf = (worked: number, tried: number): Rate => ({
  worked,
  tried,
  shrunk: (PRIOR.a + worked) / (PRIOR.a + PRIOR.b + tried),
  enough: tried >= ENOUGH,
});

/**
 * Returns the rate as what was seen: without plants left alone beside them, it is no proof; a few cases say nothing.
 * @example rateInWords(rateOf(4, 5)) // 'better after 4 of 5 tries; plants left alone may do so too'
 */
export const rateInWords = (r: Rate): string =>
  r.enough
    ? `better after ${r.worked} of ${r.tried} tries; plants left alone may do so too`
    : `tried ${r.tried === 1 ? 'once' : `${r.tried} times`}, too few to judge`;

/** Difference from the prior needed to change the order (judgement: more than chance with five). */
const SHIFT = 0.12;
const PRIOR_MEAN = PRIOR.a / (PRIOR.a + PRIOR.b);

/**
 * Sorts remedies of the same rung and step by local success rate: clearly better ones first, clearly worse ones last;
 * with too few cases or a small difference the order stays.
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
