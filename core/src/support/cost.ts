import { CORDON_M, type Stock, STRING_SHARE } from './support-plan.js';
import { type SUPPORT_METHODS } from './methods.js';

type Method = (typeof SUPPORT_METHODS)[number];

/** What a row of plants needs for each plant (judgement): one post for two, and string on both sides every 20 cm. */
const POSTS_A_PLANT = 0.5;
const WOVEN_M = 6;
/** Stakes that hold a cylinder, and the share of its mesh that a plant of a panel takes (judgement). */
const STAKES_A_CYLINDER = 2;
const PANEL_OF_CYLINDER = 1 / 3;

/**
 * Returns what a way to hold up a plant costs a plant and season, in the gardener's own money, by what each part costs and how
 * many seasons it lasts; null where a price is missing.
 * @example costPerSeason({ code: 'cage', seasons: 8 }, { priceCage: 12 }) // 1.5
 */
export function costPerSeason({ code, seasons }: Pick<Method, 'code' | 'seasons'>, prices: Stock): number | null {
  const { priceCage, priceStake, priceMesh, priceString, rollM } = prices;
  const metre = priceString != null && rollM ? priceString / rollM : null;
  const sum = (...parts: (number | null)[]): number | null =>
    parts.some((p) => p === null) ? null : parts.reduce<number>((a, b) => a + b!, 0);
  const lasting = (price: number | null | undefined, count = 1): number | null =>
    price == null ? null : (price * count) / seasons;
  const used = (metres: number): number | null => (metre === null ? null : metre * metres);
  switch (code) {
    case 'string':
      return used(CORDON_M * STRING_SHARE);
    case 'stake':
      return lasting(priceStake);
    case 'weave':
      return sum(lasting(priceStake, POSTS_A_PLANT), used(WOVEN_M));
    case 'panel':
      return sum(lasting(priceMesh, PANEL_OF_CYLINDER), lasting(priceStake, POSTS_A_PLANT));
    case 'cylinder':
      return sum(lasting(priceMesh), lasting(priceStake, STAKES_A_CYLINDER));
    case 'cage':
      return lasting(priceCage);
  }
}
