/** Words for "how often is this sign seen with this problem". */
export const NEARLY_ALWAYS = 0.95;
/** Chance of a sign that most affected plants show (judgement). */
export const USUALLY = 0.8;
/** Chance of a sign that about half of the affected plants show (judgement). */
export const OFTEN = 0.5;
/** Chance of a sign that some affected plants show (judgement). */
export const SOMETIMES = 0.25;
/** Chance of a sign that few affected plants show (judgement). */
export const RARELY = 0.05;

/** Words for how common a problem is on a plant someone worries about, before any sign. Judgement. */
export const EVERYDAY = 0.04;
/** Prior of a problem that is common in any garden (judgement). */
export const USUAL = 0.02;
/** Prior of a problem that is uncommon (judgement). */
export const UNCOMMON = 0.008;
/** Prior of a problem that is rare (judgement). */
export const SCARCE = 0.003;

/**
 * Weeds and other hosts close by, for pests and viruses that live on them. Common practice; how much is judgement: they
 * raise the odds by half.
 */
export const HOSTS_NEAR = ['host-plants-near', 1.5, 'weeds and other hosts close by carry them from season to season'] as const;
