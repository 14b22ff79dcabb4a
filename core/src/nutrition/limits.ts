/** So much nitrogen for one plant is too much, within the days given (handbook). */
export const MOST_NITROGEN_G = 3;
export const nitrogenWindowDays = (isPot: boolean): number => (isPot ? 14 : 30);
/** Days after which a plant without a feed goes hungry (handbook). */
export const hungryAfterDays = (isPot: boolean): number => (isPot ? 28 : 56);
