/** A plant that needs cover when there is not enough for all. */
export interface Wanting {
  id: string;
  name: string;
  /** importance to the gardener: 1 little, 2 as others, 3 much */
  value: 1 | 2 | 3;
  /** fruit or flowers that would be lost */
  atRisk: boolean;
  /** 0 sheltered to 1 open, in a hollow or in a small pot */
  exposure: number;
  /** planted out within weeks */
  young: boolean;
  /** cover it needs */
  needs: number;
}

/** Who gets some of a short stock, and who does not. */
export interface Dealt {
  given: Wanting[];
  without: Wanting[];
  /** what is missing, in the same unit */
  short: number;
}

/** Priority: the gardener's own ranking, fruit at risk, exposure, age (judgement). */
export const rankOf = (w: Wanting): number =>
  10 * w.value + 6 * Number(w.atRisk) + 4 * w.exposure + 3 * Number(w.young);

/** Gives cover out by rank; what does not fit goes to the next plant it fits. */
export function dealOut(list: readonly Wanting[], stock: number): Dealt {
  const ranked = [...list].sort((a, b) => rankOf(b) - rankOf(a) || a.name.localeCompare(b.name));
  const given: Wanting[] = [];
  const without: Wanting[] = [];
  let left = stock;
  for (const w of ranked) {
    if (w.needs <= left + 1e-9) {
      given.push(w);
      left -= w.needs;
    } else without.push(w);
  }
  return { given, without, short: without.reduce((sum, w) => sum + w.needs, 0) };
}

/** What to use without cloth (common practice). */
export const SUBSTITUTES = {
  heat: 'an old sheet or net on canes, an umbrella, or a board on the west side; move pots into the shade',
  frost: 'an old sheet, buckets or cardboard boxes; remove them in the morning. Move pots indoors',
} as const;
