import type { PlaceInput } from '@candid-leaf/contract';
import type { Crop } from '@candid-leaf/core/records';

export const PRESET_CODES = ['bed', 'raised', 'pots', 'bags', 'tunnel', 'glasshouse', 'sill'] as const;
export type PresetCode = (typeof PRESET_CODES)[number];

interface Preset {
  /** on its tile, and the name of the place until somebody gives another */
  label: string;
  /** a sensible beginning; each can be changed on the place's own page (judgement: the usual) */
  facts: Pick<PlaceInput, 'kind' | 'texture'> & Partial<PlaceInput>;
  /** its plants share one soil, so it has a length by their number */
  shared: boolean;
  plants: number;
}

export const PRESETS: Record<PresetCode, Preset> = {
  bed: { label: 'Bed', facts: { kind: 'ground', texture: 'loam' }, shared: true, plants: 6 },
  raised: { label: 'Raised bed', facts: { kind: 'raised-bed', texture: 'loam' }, shared: true, plants: 6 },
  pots: {
    label: 'Pots',
    facts: { kind: 'container', texture: 'potting-mix', volumeL: 20, potMaterial: 'plastic' },
    shared: false,
    plants: 1,
  },
  bags: {
    label: 'Bags',
    facts: { kind: 'container', texture: 'potting-mix', volumeL: 30, potMaterial: 'fabric' },
    shared: false,
    plants: 2,
  },
  tunnel: { label: 'Tunnel', facts: { kind: 'tunnel-bed', texture: 'loam' }, shared: true, plants: 6 },
  glasshouse: {
    label: 'Glasshouse',
    facts: { kind: 'ground', texture: 'loam', cover: 'glasshouse' },
    shared: true,
    plants: 6,
  },
  sill: {
    label: 'Windowsill',
    facts: { kind: 'indoors', texture: 'potting-mix', volumeL: 5, potMaterial: 'plastic' },
    shared: false,
    plants: 2,
  },
};

/** One row wide (m; judgement). */
const ROW_M = 0.6;

/** The place of a preset for so many plants; pots hold what is told, or else what is usual. */
export function placeOf(
  code: PresetCode,
  id: string,
  name: string,
  { plants, apartM, volumeL }: { plants: number; apartM: number; volumeL?: number | undefined },
): PlaceInput {
  const { facts, shared } = PRESETS[code];
  const length = Math.max(1, Math.round(plants * apartM * 10) / 10);
  return { id, name, ...facts, ...(shared ? { lengthM: length, widthM: ROW_M } : volumeL ? { volumeL } : {}) };
}

const CROP_WORDS: Record<Crop, string> = { tomato: 'Tomato', pepper: 'Pepper' };

/** Names that number themselves, after those that are there: "Tomato 3", "Tomato 4". */
export function numbered(crop: Crop, count: number, taken: readonly string[]): string[] {
  const word = CROP_WORDS[crop];
  const numbers = taken.map((t) => Number(new RegExp(`^${word} (\\d+)$`).exec(t)?.[1] ?? 0));
  const from = Math.max(0, ...numbers);
  return Array.from({ length: count }, (_, i) => `${word} ${from + i + 1}`);
}

/** A name that no other place has: "Pots", "Pots 2". */
export function freeName(label: string, taken: readonly string[]): string {
  for (let n = 1; ; n++) {
    const name = n === 1 ? label : `${label} ${n}`;
    if (!taken.includes(name)) return name;
  }
}
