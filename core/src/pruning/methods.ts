import type { Crop, GrowthHabit } from '../records/plant.js';

/** How a plant is trained. The gardener chooses; the suggestion has its reason (common practice). */
export const TRAININGS = ['one-stem', 'two-stems', 'keep-suckers', 'leave-alone'] as const;
/** How a plant is trained. */
export type Training = (typeof TRAININGS)[number];

/** The training chosen where nobody chose one, and why. */
export interface TrainingChoice {
  training: Training;
  because: 'pepper' | 'determinate' | 'hot' | 'short' | 'humid' | 'long' | 'unknown-habit';
}

/** A season shorter than this between frosts is short, days (judgement). */
const SHORT_SEASON_DAYS = 150;

/** Returns the training that suits crop, habit and climate. */
export function defaultTraining(q: {
  crop: Crop;
  habit: GrowthHabit | null;
  /** days between the frosts; null without frost */
  seasonDays: number | null;
  /** share of recent days that were hot, 0 to 1 */
  hotShare: number;
  /** leaf diseases were found here */
  disease: boolean;
}): TrainingChoice {
  if (q.crop === 'pepper') return { training: 'leave-alone', because: 'pepper' };
  if (q.habit === 'determinate') return { training: 'keep-suckers', because: 'determinate' };
  if (q.habit === null) return { training: 'keep-suckers', because: 'unknown-habit' };
  if (q.disease) return { training: 'one-stem', because: 'humid' };
  if (q.hotShare >= 0.3) return { training: 'two-stems', because: 'hot' };
  if (q.seasonDays !== null && q.seasonDays < SHORT_SEASON_DAYS) return { training: 'one-stem', because: 'short' };
  return { training: 'two-stems', because: 'long' };
}

/** Trainings as shown on screen. */
export const TRAINING_WORDS: Record<Training, string> = {
  'one-stem': 'one stem',
  'two-stems': 'two stems',
  'keep-suckers': 'suckers kept, bare leaves below them removed',
  'leave-alone': 'left alone',
};
/** Reasons for a training, as shown on screen. */
export const TRAINING_BECAUSE: Record<TrainingChoice['because'], string> = {
  pepper: 'peppers branch by themselves',
  determinate: 'a bush tomato bears on its suckers: remove only lower leaves',
  hot: 'days are hot here: the second stem shades the fruit',
  short: 'the season is short: one stem ripens earlier',
  humid: 'leaf spots were found here: one stem dries faster',
  long: 'the season is long enough for two',
  'unknown-habit': 'its habit is unknown: a bush tomato bears on its suckers, so keep them',
};

/**
 * What each choice trades against two stems (common practice, from memory; the direction is surer than the numbers).
 */
export const TRADES: Record<
  Training,
  { earlier: string; size: string; perPlant: string; perM2: string; shade: string }
> = {
  'one-stem': {
    earlier: 'earliest',
    size: 'largest',
    perPlant: 'least',
    perM2: 'most, if planted close',
    shade: 'least: fruit may scald',
  },
  'two-stems': {
    earlier: 'a week later',
    size: 'large',
    perPlant: 'more',
    perM2: 'as much, if planted wider',
    shade: 'fair',
  },
  'keep-suckers': {
    earlier: 'two weeks later',
    size: 'smaller',
    perPlant: 'most',
    perM2: 'less: set it a metre (3 ft) apart',
    shade: 'good',
  },
  'leave-alone': {
    earlier: 'latest',
    size: 'smallest',
    perPlant: 'many, some lost to disease',
    perM2: 'least',
    shade: 'most; dries slowly',
  },
};
