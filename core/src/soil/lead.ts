/**
 * Lead in garden soil, mg/kg: grow anything below the first; above the second nothing to eat (extension practice, from
 * memory; the local limit decides).
 */
const LEAD_MG_PER_KG = [100, 400] as const;

/** What a soil with lead is fit for. */
export type LeadVerdict = 'grow' | 'with-care' | 'nothing-to-eat';

/**
 * Returns what a soil is fit for.
 * @param mgPerKg lead in the dry soil
 * @example leadVerdict(180) // 'with-care'
 */
export const leadVerdict = (mgPerKg: number): LeadVerdict =>
  mgPerKg < LEAD_MG_PER_KG[0] ? 'grow' : mgPerKg <= LEAD_MG_PER_KG[1] ? 'with-care' : 'nothing-to-eat';

/** What follows from each, in words. */
export const LEAD_IN_WORDS: Record<LeadVerdict, string> = {
  grow: 'Lead is low: grow what you like.',
  'with-care':
    'There is lead in this soil. Grow in raised beds of clean soil, keep the ground mulched, and wash fruit and hands. Your local limit decides.',
  'nothing-to-eat':
    'There is too much lead in this soil: grow nothing to eat in it. Ask your local health service what to do.',
};
