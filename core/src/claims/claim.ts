/**
 * Measures people claim to help: the evidence, why, and what works instead. Shown once when someone records one, and
 * in the handbook.
 */
export const VERDICTS = ['works', 'partly', 'no-evidence', 'no', 'harmful'] as const;
/** A claim's verdict. */
export type Verdict = (typeof VERDICTS)[number];

/** A garden claim, judged, with what to do instead. */
export interface Claim {
  code: string;
  claim: string;
  verdict: Verdict;
  reason: string;
  /** what to do instead */
  instead: string;
  source: string;
  /** how it is named in a note or as a product */
  named: RegExp;
}

const COMMON = 'common practice';
/** A row of the table of claims. */
export const row = (
  code: string,
  claim: string,
  verdict: Verdict,
  reason: string,
  instead: string,
  named: RegExp,
  source = COMMON,
): Claim => ({ code, claim, verdict, reason, instead, named, source });

/** Verdicts as shown on screen. */
export const VERDICT_WORDS: Record<Verdict, string> = {
  works: 'It works',
  partly: 'It partly helps',
  'no-evidence': 'No evidence that it helps',
  no: 'Not true',
  harmful: 'Following it does harm',
};
