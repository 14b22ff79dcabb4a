/**
 * A question, the answer a published source gives, and how the core answers it. All sources are named and quoted from
 * memory: nothing could be looked up where this was written.
 */
export interface AdviceRow {
  ask: string;
  wanted: unknown;
  got: () => unknown;
  source: string;
  /** a wrong answer harms people, animals, the plant or the year's crop */
  dangerous?: true;
}

/** Rows that share a source. `!` before a question marks it as dangerous if answered wrongly. */
export const from = (
  source: string,
  rows: readonly (readonly [ask: string, wanted: unknown, got: () => unknown])[],
): AdviceRow[] =>
  rows.map(([ask, wanted, got]) => ({
    ask: ask.replace(/^! /, ''),
    wanted,
    got,
    source,
    ...(ask.startsWith('! ') ? { dangerous: true as const } : {}),
  }));
