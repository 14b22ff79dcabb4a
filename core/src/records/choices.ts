/** The choices a record offers. */
export const WATERING_WAYS = ['base', 'overhead', 'drip', 'soaker', 'bottom', 'buried-bottle'] as const;
/** How a watering ended: as planned, or when water ran out below. */
export const WATERING_ENDS = ['plain', 'ran-through'] as const;
/** What a soil check was made with. */
export const CHECKED_BY = ['finger', 'probe'] as const;
/** How water is given. */
export type WaterMethod = (typeof WATERING_WAYS)[number];
/** What the soil feels like two knuckles deep. */
export const SOIL_FEELS = ['dry', 'damp', 'wet'] as const;
/** Forms of feed. */
export const FEED_FORMS = ['granular', 'liquid', 'foliar', 'amendment'] as const;
/** What was cut. */
export const CUT_KINDS = ['lower-leaves', 'suckers', 'top', 'thinning'] as const;
/** Sprays that can be recorded. */
export const SPRAYS = [
  'neem',
  'soap',
  'bt',
  'bicarbonate',
  'copper',
  'sulfur',
  'oil',
  'spinosad',
  'pyrethrin',
  'phosphonate',
  'iron-phosphate',
  'broad-insecticide',
  'weedkiller-nearby',
  'other',
] as const;
/** Events that can be recorded. */
export const EVENTS = [
  'hail',
  'strong-wind',
  'frost',
  'hardened-off',
  'pollination-assist',
  'staked',
  'moved',
  'harvest',
  'tied',
  'sucker-in-water',
  'roots-looked-for',
  'roots-seen',
  'sucker-planted',
  'sucker-lost',
  'water-held',
  'slugs-looked-for',
  'last-flowers-off',
  'green-fruit-in',
  'not-tied-yet',
  'not-cut-yet',
  'tip-ended',
  'compost-dug-in',
  'compost-in-hole',
] as const;

/** Condition of picked fruit. */
export const PICK_STATES = ['sound', 'split', 'dark-end', 'sunscald', 'gnawed', 'soft', 'blighted', 'frosted'] as const;
/** State of picked fruit. */
export type PickState = (typeof PICK_STATES)[number];
/** How far it had coloured. */
export const PICK_RIPENESS = ['green', 'blush', 'ripe'] as const;
/** Ripeness of picked fruit. */
export type PickRipeness = (typeof PICK_RIPENESS)[number];
/** What it was used for. */
export const PICK_USES = ['eaten', 'sauce', 'kept', 'given', 'shelf', 'binned'] as const;
/** What picked fruit was used for. */
export type PickUse = (typeof PICK_USES)[number];

/** How picked fruit tasted, worst first. */
export const TASTES = ['poor', 'fair', 'good', 'best'] as const;
/** How picked fruit tasted. */
export type Taste = (typeof TASTES)[number];

/** What holds plants up. */
export const SUPPORTS = ['stake', 'cage', 'string', 'panel', 'weave', 'cylinder'] as const;

/** What is laid on a bed or hung over it. */
export const COVERINGS = ['mulch', 'shade', 'roof', 'net'] as const;
/** Where shade cloth hangs: over the plants, or on one side only. */
export const SHADE_SIDES = ['over', 'afternoon', 'morning'] as const;
/** Materials of mulch. */
export const MULCHES = [
  'straw',
  'leaves',
  'clippings',
  'compost',
  'bark',
  'fabric',
  'dark-fabric',
  'white-fabric',
  'paper',
  'sand',
  'weeds',
  'other',
] as const;

/** Mulches that lie flat as a sheet: their depth says nothing. */
const SHEETS: ReadonlySet<string> = new Set(['fabric', 'dark-fabric', 'white-fabric', 'paper']);
/**
 * Returns whether a mulch is a sheet of fabric or paper.
 * @example isSheet('dark-fabric') // true
 */
export const isSheet = (material: string | null | undefined): boolean => material != null && SHEETS.has(material);

/** Companion plants and weeds that can be recorded. */
export const COMPANIONS = [
  'french-marigold',
  'basil',
  'sweet-alyssum',
  'dill',
  'borage',
  'chives',
  'garlic',
  'coriander',
  'weeds',
  'nightshade-weeds',
  'potatoes',
  'other-host',
] as const;
/** What was done with a companion plant or weed. */
export const COMPANION_DEEDS = ['planted', 'seen', 'cleared', 'laid-as-mulch'] as const;
