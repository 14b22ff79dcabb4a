/** Strength words of the handbook for "how often is this sign seen where this disorder is". */
export const NEARLY_ALWAYS = 0.95;
export const USUALLY = 0.8;
export const OFTEN = 0.5;
export const SOMETIMES = 0.25;
export const RARELY = 0.05;

/** How common a disorder is on a plant that somebody worries about, before any sign: odds words. Judgement. */
export const EVERYDAY = 0.04;
export const USUAL = 0.02;
export const UNCOMMON = 0.008;
export const SCARCE = 0.003;
