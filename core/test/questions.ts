import type { FeedQuestion } from '../src/nutrition/index.js';
import type { CutQuestion } from '../src/pruning/index.js';
import type { SprayQuestion } from '../src/spray/index.js';
import { addDays, type Day } from '../src/units/index.js';

// Questions to parts of the core, as a plain case asks them; each test changes what it is about.

/** A bed or pot without any rules of its own for water. */
export const NO_RULES = {
  irrigation: null,
  flowLPerH: null,
  moisture: null,
  drierRipening: false,
  allowedDays: null,
  weeklyCapL: null,
  byTimer: false,
};

/** A tomato feed some days before. */
export const fedBefore = (today: Day, back: number, more: object = {}) => ({
  date: addDays(today, -back),
  product: 'Tomato feed',
  n: 4,
  p2o5: 3,
  k2o: 8,
  grams: 10,
  form: 'liquid' as const,
  ...more,
});

/** A tomato in fruit, two months after planting. */
export const feedQuestion = (today: Day, more: Partial<FeedQuestion> = {}): FeedQuestion => ({
  today,
  crop: 'tomato',
  isPot: false,
  stage: 'fruiting',
  plantedOn: addDays(today, -60),
  fed: [fedBefore(today, 40)],
  method: 'compost-balanced',
  test: null,
  paleOn: null,
  lush: false,
  hottest: null,
  left: 0.7,
  waterOn: null,
  wet: false,
  paused: null,
  burnt: false,
  ...more,
});

/** A cordon on one stem, two months after planting; it is written down that nothing was cut 40 days ago. */
export const cutQuestion = (today: Day, more: Partial<CutQuestion> = {}): CutQuestion => ({
  today,
  crop: 'tomato',
  habit: 'indeterminate',
  training: 'one-stem',
  stage: 'fruiting',
  heightM: 1.2,
  plantedOn: addDays(today, -60),
  pruned: [{ date: addDays(today, -40), cuts: 0, what: ['suckers'] }],
  diseased: 0,
  touchesSoil: false,
  leafScarce: false,
  sunscald: false,
  heatAhead: null,
  wetToday: false,
  topOn: null,
  seasonDays: 190,
  ...more,
});

/** A day and the two after it, mild, still and dry but for what is said. */
export const mildDays = (on: Day, ...differ: object[]): SprayQuestion['ahead'] =>
  [0, 1, 2].map((n) => ({
    date: addDays(on, n),
    tMinC: 12,
    tMaxC: 24,
    rainMm: 0,
    windMs: 1.5,
    ...differ[n],
  }));

/** Neem on a mild evening, by a usual label. */
export const sprayQuestion = (on: Day, more: Partial<SprayQuestion> = {}): SprayQuestion => ({
  spray: 'neem',
  label: { everyDays: 7, mostUses: 3, harvestDays: 3, reentryHours: 4, organic: true },
  on,
  hour: 'evening',
  ahead: mildDays(on),
  enclosed: false,
  thirsty: false,
  flowersOpen: false,
  pondNear: false,
  earlier: [],
  pickOn: null,
  organicOnly: false,
  ...more,
});
