/** The choices a record offers. */
export const WATERING_WAYS = ['base', 'overhead', 'drip', 'soaker', 'bottom', 'buried-bottle'] as const;
export const WATERING_ENDS = ['plain', 'ran-through'] as const;
export const CHECKED_BY = ['finger', 'probe'] as const;
export type WaterMethod = (typeof WATERING_WAYS)[number];
export const SOIL_FEELS = ['dry', 'damp', 'wet'] as const;
export const FEED_FORMS = ['granular', 'liquid', 'foliar', 'amendment'] as const;
export const CUT_KINDS = ['lower-leaves', 'suckers', 'top', 'thinning'] as const;
export const SPRAYS = [
  'neem',
  'soap',
  'bt',
  'bicarbonate',
  'copper',
  'sulfur',
  'broad-insecticide',
  'weedkiller-nearby',
  'other',
] as const;
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
  'sucker-planted',
  'slugs-looked-for',
  'last-flowers-off',
  'green-fruit-in',
] as const;

/** Condition of picked fruit. */
export const PICK_STATES = ['sound', 'split', 'dark-end', 'sunscald', 'gnawed', 'soft', 'blighted', 'frosted'] as const;
export type PickState = (typeof PICK_STATES)[number];
/** How far it had coloured. */
export const PICK_RIPENESS = ['green', 'blush', 'ripe'] as const;
export type PickRipeness = (typeof PICK_RIPENESS)[number];
/** What it was used for. */
export const PICK_USES = ['eaten', 'sauce', 'kept', 'given', 'shelf', 'binned'] as const;
export type PickUse = (typeof PICK_USES)[number];

export const NEIGHBOURS = [
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
export const NEIGHBOUR_DEEDS = ['planted', 'seen', 'cleared', 'laid-as-mulch'] as const;
