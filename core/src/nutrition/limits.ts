/** Nitrogen per plant that is too much within the given days, g (common practice). */
export const MOST_NITROGEN_G = 3;
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
