/** Nitrogen per plant that is too much within the given days, g (common practice). */
export const MOST_NITROGEN_G = 3;
/**
 * Most that a litre of mix bears in a fortnight, g: beyond it the salts burn roots. Nitrogen as usual for weekly feeds at
 * label strength and as much again; potash about twice that, as in fruit feeds; all nutrients together (judgement, near
 * the ranges of Bunt 1988, Media and Mixes for Container-Grown Plants, from memory).
 */
export const POT_BEARS_G_PER_L = { n: 0.15, k2o: 0.3, salts: 0.5 } as const;
/**
 * Returns the most nitrogen within the days that count, g a plant: less in a small pot.
 * @example mostNitrogenG(3) // 0.45
 */
export const mostNitrogenG = (potLitres: number | null): number =>
  potLitres === null ? MOST_NITROGEN_G : Math.min(MOST_NITROGEN_G, POT_BEARS_G_PER_L.n * potLitres);
/**
 * Salts of a saturated paste from which a feed is halved, and from which none is given and the soil leached, dS/m (Maas &
 * Hoffman 1977: tomato loses yield from 2.5, pepper from 1.5; at 4 and more most crops suffer).
 */
export const SALTY_FROM = { halve: 2.5, stop: 4 } as const;
/**
 * Returns the days over which nitrogen adds up: 14 in a pot, 30 in a bed.
 * @example nitrogenWindowDays(true) // 14
 */
export const nitrogenWindowDays = (isPot: boolean): number => (isPot ? 14 : 30);
/**
 * Returns the days after which an unfed plant goes hungry (common practice).
 * @example hungryAfterDays(true) // 28
 */
export const hungryAfterDays = (isPot: boolean): number => (isPot ? 28 : 56);
