/**
 * Feeding arithmetic. Grams of nutrient = grams of product × percent ÷ 100; labels give P₂O₅ and K₂O.
 * Oxide factors from atomic weights: P = 0.4364 P₂O₅, K = 0.8301 K₂O.
 */
const P_PER_P2O5 = 0.4364;
const K_PER_K2O = 0.8301;

/** A feeding as it counts: nutrients in percent by weight, and grams of product. */
export interface Fed {
  /** percent by weight */
  n: number;
  p2o5: number;
  k2o: number;
  /** grams of product */
  grams: number;
}

/**
 * Returns the grams of nitrogen in a feed.
 * @example nitrogenGrams({ n: 5, grams: 40 }) // 2
 */
export const nitrogenGrams = (f: Pick<Fed, 'n' | 'grams'>): number => (f.grams * f.n) / 100;

/** Nutrients as elements, grams. */
export interface Nutrients {
  nG: number;
  pG: number;
  kG: number;
}

/**
 * Returns what a list of feeds gave in total, in grams of the elements.
 * @example ledger([{ n: 5, p2o5: 10, k2o: 5, grams: 100 }]) // { nG: 5, pG: 4.364, kG: 4.15 }
 */
export function ledger(fed: readonly Fed[]): Nutrients {
  return fed.reduce<Nutrients>(
    (sum, f) => ({
      nG: sum.nG + nitrogenGrams(f),
      pG: sum.pG + (f.grams * f.p2o5 * P_PER_P2O5) / 100,
      kG: sum.kG + (f.grams * f.k2o * K_PER_K2O) / 100,
    }),
    { nG: 0, pG: 0, kG: 0 },
  );
}
