/** The words that describe where a plant grows. */
export const PLACE_KINDS = ['ground', 'raised-bed', 'container', 'tunnel-bed', 'indoors'] as const;
/** Kind of growing place. */
export type PlaceKind = (typeof PLACE_KINDS)[number];

/** Materials of pots. */
export const POT_MATERIALS = ['plastic', 'glazed', 'terracotta', 'fabric'] as const;
/** Material of a pot. */
export type PotMaterial = (typeof POT_MATERIALS)[number];

/** The cover of a bed or pot. Any type may have one; a tunnel bed and an indoor place have theirs by type. */
export const COVERS = ['none', 'roof', 'tunnel', 'glasshouse', 'indoors'] as const;
/** What is over the plants. */
export type Cover = (typeof COVERS)[number];

/** Vents of a tunnel or glasshouse by day. */
export const SLOPES = ['flat', 'gentle', 'steep'] as const;
/** How steep a bed is. */
export type Slope = (typeof SLOPES)[number];
/** Whether vents are open or shut. */
export const VENTS = ['open', 'shut'] as const;
/** State of the vents. */
export type Vents = (typeof VENTS)[number];

interface Covered {
  kind: PlaceKind;
  cover?: Cover | null;
}

/**
 * Returns what is over the plants; a room and a tunnel are covered by nature.
 * @example coverOf({ kind: 'tunnel-bed' }) // 'tunnel'
 */
export function coverOf({ kind, cover }: Covered): Cover {
  if (kind === 'indoors') return 'indoors';
  if (kind === 'tunnel-bed') return cover && cover !== 'none' ? cover : 'tunnel';
  return cover ?? 'none';
}

/**
 * True if no rain reaches it.
 * @example isRainless({ kind: 'indoors' }) // true
 */
export const isRainless = (place: Covered): boolean => coverOf(place) !== 'none';
/**
 * True if walls keep out wind, and most bees.
 * @example isEnclosed({ kind: 'ground', cover: 'roof' }) // false
 */
export const isEnclosed = (place: Covered): boolean => ['tunnel', 'glasshouse', 'indoors'].includes(coverOf(place));
/** True for a tunnel or glasshouse: warmed by the sun, aired by doors and vents. */
export const isUnderGlass = (place: Covered): boolean => ['tunnel', 'glasshouse'].includes(coverOf(place));
/**
 * True if the roots are in a pot with no ground below; indoors everything is.
 * @example isPotted({ kind: 'container' }) // true
 */
export const isPotted = ({ kind }: Pick<Covered, 'kind'>): boolean => kind === 'container' || kind === 'indoors';

/** Soils and mixes. `water/soils.ts` has their properties. */
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
/** Texture of soil or mix. */
export type Texture = (typeof TEXTURES)[number];

/** How water gets to a bed or pot. */
export const IRRIGATIONS = ['can', 'hose', 'drip', 'soaker', 'buried-bottle'] as const;
/** How a bed is watered. */
export type Irrigation = (typeof IRRIGATIONS)[number];
