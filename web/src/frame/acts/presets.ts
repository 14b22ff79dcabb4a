import type { PlaceInput } from '@candid-leaf/contract';
import { roundTo } from '@candid-leaf/core/units';

export const PRESET_CODES = ['bed', 'raised', 'pots', 'bags', 'tunnel', 'glasshouse', 'sill'] as const;
export type PresetCode = (typeof PRESET_CODES)[number];

interface Preset {
  /** on its tile, and the default name */
  label: string;
  /** sensible defaults; each can be edited on the bed's page (judgement: the usual) */
  facts: Pick<PlaceInput, 'kind' | 'texture'> & Partial<PlaceInput>;
  /** its plants share one soil, so their number gives its length */
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

/** Width of one row, m (judgement). */
const ROW_M = 0.6;

/** Builds a bed or pots from a preset and a number of plants; pot size as given, else usual. */
export function placeOf(
  code: PresetCode,
  id: string,
  name: string,
  { plants, apartM, volumeL }: { plants: number; apartM: number; volumeL?: number | undefined },
): PlaceInput {
  const { facts, shared } = PRESETS[code];
  const length = Math.max(1, roundTo(plants * apartM, 1));
  return { id, name, ...facts, ...(shared ? { lengthM: length, widthM: ROW_M } : volumeL ? { volumeL } : {}) };
}
