/** The words that describe where a plant stands. */
export const PLACE_KINDS = ['ground', 'raised-bed', 'container', 'tunnel-bed', 'indoors'] as const;
export type PlaceKind = (typeof PLACE_KINDS)[number];

export const POT_MATERIALS = ['plastic', 'glazed', 'terracotta', 'fabric'] as const;
export type PotMaterial = (typeof POT_MATERIALS)[number];

/** Places that no rain reaches. */
export const isCovered = (kind: PlaceKind): boolean => kind === 'tunnel-bed' || kind === 'indoors';

/** Soils and mixes. What each holds stands in `water/soils.ts`. */
export const TEXTURES = [
  'sand',
  'loamy-sand',
  'sandy-loam',
  'loam',
  'silt-loam',
  'clay-loam',
  'clay',
  'potting-mix',
  'porous-mix',
] as const;
export type Texture = (typeof TEXTURES)[number];

/** How water gets to a place. */
export const IRRIGATIONS = ['can', 'hose', 'drip', 'soaker', 'buried-bottle'] as const;
export type Irrigation = (typeof IRRIGATIONS)[number];
