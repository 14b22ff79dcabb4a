import type { Crop, GrowthHabit, PlantType, Stage } from '../records/plant.js';
import { STAGES } from '../records/plant.js';

// How a plant usually develops. Progress is warmth since planting out as a share of what the packet's days need: 0 on
// planting day, 1 at the first ripe fruit. So the plan's date of first fruit and the stage can't disagree.

/** A stage that a plant grows into by itself, and where on its clock it begins. */
export interface Milestone {
  stage: Stage;
  /** its clock: progress towards ripe fruit, or days of settling in */
  clock: 'progress' | 'settling';
  /** usual point on the clock: after the milestone before it, or from the beginning for the first of a clock */
  after: number;
  /** scatter between plants, standard deviation on the clock */
  sd: number;
  /** what shows that it is near, so long before, with its scatter; null if nothing does */
  sign: { before: number; sd: number } | null;
}

/**
 * Milestones in order. Judgement after common practice for transplants of six to ten weeks: new leaves show that the
 * roots have settled in, in the second week in warm weather and the third in cool (half of a day counts always, the
 * other half by its warmth); tomatoes flower about 25 days after planting, a week after their buds show, set fruit ten
 * days later and ripen 50 days after the flower (75 days in all); full-sized green fruit colours within two weeks;
 * peppers flower a little sooner and ripen more slowly.
 */
const MILESTONES: Record<Crop, readonly Milestone[]> = {
  tomato: [
    { stage: 'vegetative', clock: 'settling', after: 11, sd: 1.8, sign: null },
    { stage: 'flowering', clock: 'progress', after: 0.34, sd: 0.045, sign: { before: 0.1, sd: 0.02 } },
    { stage: 'fruiting', clock: 'progress', after: 0.14, sd: 0.018, sign: null },
    { stage: 'ripening', clock: 'progress', after: 0.46, sd: 0.07, sign: { before: 0.13, sd: 0.03 } },
  ],
  pepper: [
    { stage: 'vegetative', clock: 'settling', after: 11, sd: 1.8, sign: null },
    { stage: 'flowering', clock: 'progress', after: 0.31, sd: 0.045, sign: { before: 0.1, sd: 0.02 } },
    { stage: 'fruiting', clock: 'progress', after: 0.13, sd: 0.018, sign: null },
    { stage: 'ripening', clock: 'progress', after: 0.49, sd: 0.07, sign: { before: 0.13, sd: 0.03 } },
  ],
};

/**
 * Returns the stages a crop passes after planting out, in order.
 * @example milestonesOf('tomato')[1].stage // 'flowering'
 */
export const milestonesOf = (crop: Crop): readonly Milestone[] => MILESTONES[crop];

/**
 * Returns where a stage is in the order of stages.
 * @example rankOf('flowering') // 3
 */
export const rankOf = (stage: Stage): number => STAGES.indexOf(stage);

/** How a plant came into its place. */
export const STARTS = ['seedling', 'bought', 'cutting'] as const;
/** How a plant came into its place: raised here, bought with buds, or a rooted cutting. */
export type Start = (typeof STARTS)[number];

interface Beginning {
  /** progress on planting day, before the roots settle */
  progress: number;
  /** settling in that is behind it already, days */
  settledDays: number;
  heightM: number;
}

/**
 * What a plant brings along. Judgement: a bought plant is often in bud, a hand taller and in a pot of its own; a cutting
 * of a grown plant flowers as soon, but has few roots.
 */
export const BEGINNINGS: Record<Start, Beginning> = {
  seedling: { progress: 0, settledDays: 0, heightM: 0.18 },
  bought: { progress: 0.08, settledDays: 2, heightM: 0.3 },
  cutting: { progress: -0.04, settledDays: -3, heightM: 0.12 },
};

/**
 * Final height by habit, m, and how fast a plant grows towards it at first, m a warm day (common practice: cordons gain
 * two to three centimetres a day and pass the head where they are tied; bushes end at the hip, peppers at the knee).
 */
const SIZES = {
  determinate: { finalM: 0.95, gainM: 0.02 },
  'semi-determinate': { finalM: 1.35, gainM: 0.023 },
  indeterminate: { finalM: 2.1, gainM: 0.027 },
  pepper: { finalM: 0.7, gainM: 0.0135 },
  superhot: { finalM: 0.9, gainM: 0.0135 },
} as const;
/** Warm days before a new plant gains height (judgement). */
const STANDSTILL_DAYS = 5;
/** Pots from this size on do not hold a plant back, L; a smaller one does by the fourth root of its volume. */
const ROOMY_POT_L = 30;

/** What the usual height of a plant depends on. */
export interface Build {
  crop: Crop;
  habit?: GrowthHabit | null;
  type?: PlantType | null;
  start: Start;
  /** size of its pot, L; null in the ground */
  potL: number | null;
}

/**
 * Returns the usual height after so many warm days, m; a warm day is one of 23 °C on average.
 * @example usualHeightM({ crop: 'tomato', habit: 'determinate', start: 'seedling', potL: null }, 40) // 0.7349
 */
export function usualHeightM(build: Build, warmDays: number): number {
  const { heightM: start } = BEGINNINGS[build.start];
  const { finalM, gainM } = sizeOf(build);
  const left = Math.max(0.05, finalM - start);
  return start + left * Math.tanh((gainM * Math.max(0, warmDays - STANDSTILL_DAYS)) / left);
}

/**
 * Returns the height at which tomatoes of a habit usually end in open ground, m.
 * @example finalHeightM('determinate') // 0.95
 */
export const finalHeightM = (habit: GrowthHabit): number => SIZES[habit].finalM;

function sizeOf({ crop, habit, type, potL }: Build): { finalM: number; gainM: number } {
  const { finalM, gainM } =
    crop === 'pepper' ? SIZES[type === 'superhot' ? 'superhot' : 'pepper'] : SIZES[habit ?? 'indeterminate'];
  const held = potL === null ? 1 : Math.min(1, potL / ROOMY_POT_L) ** 0.25;
  return { finalM: finalM * held, gainM: gainM * held };
}
