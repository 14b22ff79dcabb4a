/** An act with its precautions. */
interface Act<C> {
  label: string;
  cautions: readonly C[];
}

/**
 * Returns what to show beside each act of a list: a precaution in full where it first applies, and after that only the
 * act it was shown with, so that no sentence stands twice and none is missing.
 */
export function cautionsOnce<C>(acts: readonly Act<C>[]): { inFull: C[]; asFor: string[] }[] {
  const shownWith = new Map<C, string>();
  return acts.map(({ label, cautions }) => {
    const inFull = [...new Set(cautions)].filter((c) => !shownWith.has(c));
    const asFor = [...new Set(cautions.flatMap((c) => shownWith.get(c) ?? []))];
    for (const c of inFull) shownWith.set(c, label);
    return { inFull, asFor };
  });
}
