/** Drenches with the spread between recipes: the weaker is given first, and they are never averaged. */
export interface Drench {
  code: string;
  name: string;
  /** only if this was shown; what it is for */
  when: string;
  /** in a litre of water */
  weaker: number;
  stronger: number;
  unit: 'mL' | 'g';
  /** loose weight of a millilitre, for spoons of powder */
  gPerMl?: number;
  /** solution per plant, L */
  litresEach: number;
  times: string;
  caution: string;
  source: string;
}

/** A tablespoon of garden lime in 4 L (common practice). */
export const LIME_WATER_ML_PER_L = 15 / 4;

/** Soil drenches people use, and what they do. */
export const DRENCHES: readonly Drench[] = [
  {
    code: 'lime-water',
    name: 'Garden lime, stirred in',
    when: 'a pot with blossom end rot whose soil tests below pH 5.8, once; then test again',
    weaker: LIME_WATER_ML_PER_L,
    stronger: 15,
    unit: 'mL',
    litresEach: 2,
    times: 'once',
    caution: 'Ground limestone only, never hydrated lime. Dusty: wear a mask and eye protection.',
    source: 'handbook; stronger recipes from memory',
  },
  {
    code: 'epsom',
    name: 'Epsom salt',
    when: 'a magnesium deficiency shown by a test or pale old leaves with green veins; never against blossom end rot',
    weaker: 2,
    stronger: 8,
    unit: 'g',
    gPerMl: 1,
    litresEach: 1,
    times: 'once, checked after two weeks',
    caution: 'Magnesium competes with calcium: more causes blossom end rot.',
    source: 'common practice, from memory',
  },
  {
    code: 'fish-seaweed',
    name: 'Fish or seaweed feed',
    when: 'pale leaves in full growth',
    weaker: 4,
    stronger: 16,
    unit: 'mL',
    litresEach: 1,
    times: 'every two weeks',
    caution: 'Use as a drench, not on fruit that is eaten raw. It attracts animals.',
    source: 'common practice, from memory; the label takes priority',
  },
  {
    code: 'compost-tea',
    name: 'Compost steeped in water',
    when: 'a mild feed; not a cure for any disease',
    weaker: 100,
    stronger: 400,
    unit: 'mL',
    litresEach: 1,
    times: 'every two weeks',
    caution: 'On the soil only, never on fruit eaten raw.',
    source: 'common practice, from memory',
  },
];

/**
 * Returns what so many plants need together, by the weaker recipe: water in litres, and the product in its own unit.
 * @example drenchFor(DRENCHES[0], 8) // { waterL: 16, amount: 60 }
 */
export const drenchFor = (
  { weaker, litresEach }: Pick<Drench, 'weaker' | 'litresEach'>,
  plants: number,
): { waterL: number; amount: number } => ({
  waterL: litresEach * plants,
  amount: weaker * litresEach * plants,
});
