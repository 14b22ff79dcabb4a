/** Words for "how often is this sign seen with this problem". */
export const NEARLY_ALWAYS = 0.95;
export const USUALLY = 0.8;
export const OFTEN = 0.5;
export const SOMETIMES = 0.25;
export const RARELY = 0.05;

/** Words for how common a problem is on a plant someone worries about, before any sign. Judgement. */
export const EVERYDAY = 0.04;
export const USUAL = 0.02;
export const UNCOMMON = 0.008;
export const SCARCE = 0.003;
