/** The words that describe where a plant stands. */
export const PLACE_KINDS = ['ground', 'raised-bed', 'container', 'tunnel-bed', 'indoors'] as const;
export type PlaceKind = (typeof PLACE_KINDS)[number];

export const POT_MATERIALS = ['plastic', 'glazed', 'terracotta', 'fabric'] as const;
export type PotMaterial = (typeof POT_MATERIALS)[number];

/** What stands over a place. Any kind of place may have one; a tunnel bed and a place indoors have theirs by what they are. */
export const COVERS = ['none', 'roof', 'tunnel', 'glasshouse', 'indoors'] as const;
export type Cover = (typeof COVERS)[number];

/** Doors and vents of a tunnel or a glasshouse by day. */
export const SLOPES = ['flat', 'gentle', 'steep'] as const;
export type Slope = (typeof SLOPES)[number];
export const VENTS = ['open', 'shut'] as const;
export type Vents = (typeof VENTS)[number];

interface Covered {
  kind: PlaceKind;
  cover?: Cover | null;
}

export function coverOf({ kind, cover }: Covered): Cover {
  if (kind === 'indoors') return 'indoors';
  if (kind === 'tunnel-bed') return cover && cover !== 'none' ? cover : 'tunnel';
  return cover ?? 'none';
}

/** No rain reaches it. */
export const isRainless = (place: Covered): boolean => coverOf(place) !== 'none';
/** Walls round it keep wind, and most bees, away. */
export const isEnclosed = (place: Covered): boolean => ['tunnel', 'glasshouse', 'indoors'].includes(coverOf(place));
/** A tunnel or a glasshouse: warmed by the sun, aired by its doors and vents. */
export const isUnderGlass = (place: Covered): boolean => ['tunnel', 'glasshouse'].includes(coverOf(place));
/** The roots have a pot to themselves and no ground below; indoors everything stands in one. */
export const isPotted = ({ kind }: Pick<Covered, 'kind'>): boolean => kind === 'container' || kind === 'indoors';

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
