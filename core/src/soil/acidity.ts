import type { Texture } from '../records/place.js';
import { addDays, type Day } from '../units/day.js';
import { FREE_LIME_PH, MOST_PH_FOR_LIME } from './limits.js';
import { last } from '../units/lists.js';

/**
 * Ground limestone for +1.0 pH and elemental sulfur for −1.0, g/m² over the top 15 cm, by texture (common ranges,
 * from memory). Sandy loam is between sand and loam.
 */
type Weight = 'sand' | 'sandy-loam' | 'loam' | 'clay';
const LIME: Record<Weight, readonly [number, number]> = {
  sand: [120, 170],
  'sandy-loam': [170, 240],
  loam: [240, 390],
  clay: [390, 540],
};
const SULFUR: Record<Weight, readonly [number, number]> = {
  sand: [50, 50],
  'sandy-loam': [50, 75],
  loam: [75, 100],
  clay: [100, 150],
};
const WEIGHT: Partial<Record<Texture, Weight>> = {
  sand: 'sand',
  'loamy-sand': 'sand',
  'sandy-loam': 'sandy-loam',
  loam: 'loam',
  'silt-loam': 'loam',
  'clay-loam': 'clay',
  clay: 'clay',
};
/** Larger amounts are split (common practice), and the next part waits until the one before has acted, g/m². */
const MOST_AT_ONCE = { lime: 500, sulfur: 100 } as const;
const APART_DAYS = { lime: 180, sulfur: 90 } as const;

interface AcidityDose {
  with: 'lime' | 'sulfur';
  /** total g/m², from the weaker to the stronger recipe */
  range: readonly [number, number];
  /** what to give: the weaker end, in parts */
  parts: { on: Day; gPerM2: number; grams: number }[];
  /** measure the pH again before the next part */
  testAgainOn: Day;
}

/** The lime or sulfur a bed needs, or why none is given. */
export type AcidityAnswer =
  | { kind: 'dose'; dose: AcidityDose }
  | { kind: 'right' }
  /** the answer decides: does the dry soil fizz with vinegar? */
  | { kind: 'ask'; what: 'free-lime' }
  | { kind: 'refused'; because: 'pot' | 'over' | 'no-target' | 'free-lime' };

/**
 * Returns lime or sulfur from one pH to another. It gives the weaker end of the range: more can follow a test, but
 * nothing can be undone.
 * @param areaM2 ground of the bed
 * @param fizzes dry soil fizzes under a few drops of vinegar: it holds free lime
 */
export function acidityDose(q: {
  pH: number;
  target: number;
  texture: Texture;
  areaM2: number;
  from: Day;
  fizzes?: boolean | null;
}): AcidityAnswer {
  const weight = WEIGHT[q.texture];
  if (!weight) return { kind: 'refused', because: 'pot' };
  if (q.target < 5.5 || q.target > 7.2) return { kind: 'refused', because: 'no-target' };
  const step = q.target - q.pH;
  if (Math.abs(step) < 0.15) return { kind: 'right' };
  const what = step > 0 ? 'lime' : 'sulfur';
  if (what === 'lime' && q.target > MOST_PH_FOR_LIME) return { kind: 'refused', because: 'over' };
  if (what === 'sulfur' && q.pH > FREE_LIME_PH) {
    if (q.fizzes == null) return { kind: 'ask', what: 'free-lime' };
    if (q.fizzes) return { kind: 'refused', because: 'free-lime' };
  }
  const [low, high] = (what === 'lime' ? LIME : SULFUR)[weight];
  const range = [Math.round(low * Math.abs(step)), Math.round(high * Math.abs(step))] as const;
  const n = Math.max(1, Math.ceil(range[0] / MOST_AT_ONCE[what]));
  const gPerM2 = Math.round(range[0] / n);
  const parts = Array.from({ length: n }, (_, i) => ({
    on: addDays(q.from, i * APART_DAYS[what]),
    gPerM2,
    grams: Math.round(gPerM2 * q.areaM2),
  }));
  return { kind: 'dose', dose: { with: what, range, parts, testAgainOn: addDays(last(parts).on, APART_DAYS[what]) } };
}
