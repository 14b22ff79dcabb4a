/** A plant that wants cover when there is not enough for all. */
export interface Wanting {
  id: string;
  name: string;
  /** what it is worth to the gardener: 1 little, 2 as others, 3 much */
  value: 1 | 2 | 3;
  /** fruit or flowers that would be lost */
  atRisk: boolean;
  /** 0 sheltered to 1 in the open, a hollow, or a small pot */
  exposure: number;
  /** set out within weeks */
  young: boolean;
  /** cover that it takes */
  needs: number;
}

export interface Dealt {
  given: Wanting[];
  without: Wanting[];
  /** what is missing, in the same unit */
  short: number;
}

/** What the gardener sets counts most, then fruit at risk, then how it stands, then youth (judgement). */
export const rankOf = (w: Wanting): number =>
  10 * w.value + 6 * Number(w.atRisk) + 4 * w.exposure + 3 * Number(w.young);

/** The cover is dealt out by rank; what does not fit any more goes to the next that it does. */
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

/** What serves where there is no cloth (common practice). */
export const SUBSTITUTES = {
  heat: 'an old sheet or net on canes, an umbrella, or a board on the west side; move pots into the shade',
  frost: 'an old sheet, buckets or cardboard boxes; remove them in the morning. Move pots indoors',
} as const;
