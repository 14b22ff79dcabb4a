import type { SUPPORTS } from '../records/choices.js';
import type { Crop, GrowthHabit } from '../records/plant.js';

// Ways to hold plants up (common practice, from memory).

/** How a plant grows, as far as its support depends on it. */
type Growth = 'cordon' | 'bush' | 'pepper';

/** One way to hold plants up. */
interface SupportMethod {
  code: (typeof SUPPORTS)[number];
  label: string;
  for: readonly Growth[];
  /** how it is put up, in order */
  steps: readonly string[];
  /** what it is good for, and where it fails */
  line: string;
  /** seasons it lasts, about */
  seasons: number;
}

/** All of them, in the order in which they are shown. */
export const SUPPORT_METHODS: readonly SupportMethod[] = [
  {
    code: 'string',
    label: 'String from a roof or frame',
    for: ['cordon'],
    steps: [
      'Fix a cane or wire along the roof or frame, above the row.',
      'Hang one string for each stem, with 1 m (3 ft) to spare for lowering.',
      'Loop it loosely round the base of the stem, with room for a thumb.',
      'Turn the stem round the string as it grows, always the same way.',
    ],
    line: 'Best under cover. Thin twine snaps under a full crop: use one that holds 25 kg (55 lb).',
    seasons: 1,
  },
  {
    code: 'stake',
    label: 'A stake for each plant',
    for: ['cordon', 'bush', 'pepper'],
    steps: [
      'Drive it in before planting, a spade’s depth, on the windy side.',
      'Tie in a figure of eight, with room for a finger.',
    ],
    line: 'Simple anywhere. A thin cane bends under a full cordon: take 20 mm (¾ in) or more.',
    seasons: 5,
  },
  {
    code: 'weave',
    label: 'String woven between posts',
    for: ['cordon', 'bush', 'pepper'],
    steps: [
      'Drive a post at each end of the row, and one after every second plant.',
      'Weave a string along one side of the plants, and back along the other.',
      'Add a pair of strings every 20 cm (8 in) as they grow.',
    ],
    line: 'Quick for rows of bushes. Pull it tight again after rain.',
    seasons: 5,
  },
  {
    code: 'panel',
    label: 'A mesh panel',
    for: ['cordon', 'pepper'],
    steps: [
      'Fix it upright between two posts before planting.',
      'Lead stems through the mesh, or tie them to it, every week.',
    ],
    line: 'Holds much and lasts long. Openings must let a hand and a fruit through.',
    seasons: 15,
  },
  {
    code: 'cylinder',
    label: 'A cylinder of mesh',
    for: ['cordon', 'bush'],
    steps: [
      'Roll 1.5 m (5 ft) of stiff mesh into a cylinder and hook its ends.',
      'Set it over the young plant, and hold it with two stakes.',
      'Push side stems back in each week.',
    ],
    line: 'Stronger than a bought cage, and high enough for most. Bend sharp ends away from eyes.',
    seasons: 15,
  },
  {
    code: 'cage',
    label: 'A cage',
    for: ['bush', 'pepper'],
    steps: ['Set it over the plant on planting day, and push it in firmly.', 'Lead stems inside as they grow.'],
    line: 'No tying. Once the plant is above its rim, add a stake beside it.',
    seasons: 8,
  },
];

const growthOf = (crop: Crop, habit: GrowthHabit | null | undefined): Growth =>
  crop === 'pepper' ? 'pepper' : habit === 'determinate' ? 'bush' : 'cordon';

/**
 * Returns the ways that suit a plant.
 * @example methodsToHold('pepper', null).map((m) => m.code) // ['stake', 'weave', 'panel', 'cage']
 */
export const methodsToHold = (crop: Crop, habit: GrowthHabit | null | undefined): SupportMethod[] =>
  SUPPORT_METHODS.filter((m) => m.for.includes(growthOf(crop, habit)));

/** Weight of a full-grown plant with its fruit, kg (common practice, from memory). */
const FULL_LOAD_KG: Readonly<Record<Growth, readonly [number, number]>> = {
  cordon: [5, 10],
  bush: [3, 6],
  pepper: [1, 3],
};

/**
 * Returns what its support must hold when it is full-grown, kg.
 * @example fullLoadKg('tomato', 'indeterminate') // [5, 10]
 */
export const fullLoadKg = (crop: Crop, habit: GrowthHabit | null | undefined): readonly [number, number] =>
  FULL_LOAD_KG[growthOf(crop, habit)];

/** Why a plant needs much support or little. */
const WHY_HELD: Readonly<Record<Growth, string>> = {
  cordon: 'It grows until frost: without support it breaks or lies on the ground.',
  bush: 'It stands by itself until fruit pulls it down: little support keeps fruit off the soil.',
  pepper: 'Its branches snap at the fork when fruit gets heavy.',
};
/** Returns why this plant needs much support or little. */
export const whyHeld = (crop: Crop, habit: GrowthHabit | null | undefined): string => WHY_HELD[growthOf(crop, habit)];

/** Height of the usual cage, m. */
const CAGE_M = 1.2;
/**
 * Returns whether a plant has outgrown its cage, so that it needs a stake beside it.
 * @example outgrewCage('cage', 1.5) // true
 */
export const outgrewCage = (standing: (typeof SUPPORTS)[number] | undefined, heightM: number | null): boolean =>
  standing === 'cage' && heightM !== null && heightM > CAGE_M;
