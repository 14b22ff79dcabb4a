import type { WeatherDay } from '../climate/gaps.js';
import { USUAL_DEGREE_DAYS } from '../climate/degree-days.js';
import type { GardenFacts } from '../records/facts.js';
import type { Crop, GrowthHabit, PlantType, Stage } from '../records/plant.js';
import { AFTER_FROST_DAYS, frostsOf, growingYearOf } from '../season/growing-year.js';
import { addDays, type Day, daysBetween } from '../units/day.js';
import { byDate } from '../records/dated.js';
import { daysToMaturityOf } from '../varieties/variety.js';
import { coveredM2, rootDepthM } from '../water/crops.js';
import { BEGINNINGS, type Build, type Start } from './course.js';
import { estimateHeight } from './height.js';
import type { GrowthNote } from './notes.js';
import { type Clocks, estimateStage, type StageEstimate } from './stage.js';
import { warmthFrom } from './warmth.js';

/** What growth is estimated from. */
export interface GrowthQuestion {
  asOf: Day;
  garden: Pick<GardenFacts, 'latitude' | 'lastFrost' | 'firstFrost' | 'seasonMode'>;
  plant: {
    crop: Crop;
    habit?: GrowthHabit | null;
    type?: PlantType | null;
    daysToMaturity?: number | null;
    transplantedOn?: Day | null;
    /** the planting day is a guess ("this spring") */
    plantedAbout?: boolean | null;
    start?: Start | null;
  };
  /** size of its pot, L; null in the ground */
  potL: number | null;
  /** measured, where the plant grows */
  weather: readonly WeatherDay[];
  notes: readonly GrowthNote[];
}

/** A plant's growth on a day. */
export interface Growth {
  /** null: too little is known to name one */
  stage: Stage | null;
  /** chance that it is in this stage, 0 to 1 */
  stageChance: number;
  heightM: number;
  heightSdM: number;
  /** ground covered by its leaves, m², with its standard deviation */
  coverM2: number;
  coverSdM2: number;
  /** usual rooting depth in open ground, m; a pot or a raised bed may end it sooner */
  rootDepthM: number;
  rootSdM: number;
  /** warmth so far as a share of what the first ripe fruit takes */
  progress: number;
  /** what it goes by: something seen, the warmth since planting, or only the time of year */
  from: 'seen' | 'warmth' | 'season';
  /** day of the last note about its stage or height */
  seenOn: Day | null;
  /** the milestone that is least certain, for a question; null if all is clear */
  unsure: { stage: Stage; chance: number } | null;
}

/** Scatter of a planting day by how it is known, days (judgement). */
const START_SD = { exact: 0, about: 12, unknown: 25 } as const;
/** Without frost days: how long ago plants usually went out, days (judgement). */
const USUAL_AGE_DAYS = 60;
/** A stage below this chance is not named. */
const NAMED_FROM = 0.45;
/** A stage from this chance on is not asked about. */
const CLEAR_STAGE_FROM = 0.9;
/** Days of FAO-56 from planting out to full roots, over the progress they take; see `rootDepthM`. */
const DAYS_TO_RIPE = 75;

/**
 * Returns stage, height, cover and roots on a day, each with its uncertainty. Everything that depends on a plant's size
 * or age reads this. An entered stage or height is a note with a day: it corrects the estimate, which goes on from
 * there.
 * @example
 * growthOf({ asOf: '2026-05-03', garden: { latitude: 45 }, potL: null, weather: [], notes: [],
 *   plant: { crop: 'tomato', transplantedOn: '2026-05-01' } }).stage // 'establishing'
 */
export function growthOf(q: GrowthQuestion): Growth {
  const { plant, asOf } = q;
  const notes = q.notes.filter((n) => n.date <= asOf).sort(byDate);
  const start: Start = plant.start ?? 'seedling';
  const build: Build = { crop: plant.crop, habit: plant.habit, type: plant.type, start, potL: q.potL };
  const { days, sure } = daysToMaturityOf(plant);
  const warmth = warmthFrom(q.weather);
  const planted = plant.transplantedOn ?? usualPlanting(plant.crop, q);
  const age = plant.transplantedOn ? (plant.plantedAbout ? 'about' : 'exact') : 'unknown';
  const clocksOn = (day: Day, laterDays: number): Clocks => {
    const out = addDays(planted, Math.round(laterDays));
    const had = day < out ? 0 : warmth(out, day) / USUAL_DEGREE_DAYS;
    return {
      warmDays: had,
      progress: BEGINNINGS[start].progress + had / days,
      settling: BEGINNINGS[start].settledDays + (had + Math.max(0, daysBetween(out, day))) / 2,
    };
  };
  const estimate = estimateStage({
    crop: plant.crop,
    sure,
    days,
    startSdDays: START_SD[age],
    clocksOn,
    asOf,
    notes,
  });
  const own = (day: Day): number => clocksOn(day, estimate.laterDays).warmDays * estimate.pace;
  const height = estimateHeight(build, notes, asOf, own, estimate.progressSd / Math.max(0.1, estimate.progress));
  const { stage, chance } = namedStage(q, notes, estimate);
  // without a planting day and with nothing but a height, the stage would be a guess from the time of year
  const guessed = age === 'unknown' && !notes.some((n) => n.stage ?? n.atLeast);
  const seenOn = notes.findLast((n) => n.stage ?? n.atLeast ?? n.heightM)?.date ?? null;
  const seasonDay = Math.max(0, estimate.progress) * DAYS_TO_RIPE;
  const depth = rootDepthM(plant.crop, seasonDay);
  const cover = coveredM2(plant.crop, height.heightM);
  return {
    stage: chance >= NAMED_FROM && !guessed ? stage : null,
    stageChance: chance,
    heightM: height.heightM,
    heightSdM: height.sdM,
    coverM2: cover,
    coverSdM2: coveredM2(plant.crop, height.heightM + height.sdM) - cover,
    rootDepthM: depth,
    rootSdM: rootDepthM(plant.crop, seasonDay + estimate.progressSd * DAYS_TO_RIPE) - depth,
    progress: estimate.progress,
    from: seenOn !== null ? 'seen' : age === 'unknown' ? 'season' : 'warmth',
    seenOn,
    unsure: leastCertain(estimate, chance),
  };
}

/**
 * Returns the day on which plants of this garden usually went out: the middle of the usual weeks after the last frost.
 * @example usualPlanting('tomato', { garden: { latitude: 45, lastFrost: '04-18' }, asOf: '2026-07-18' }) // '2026-05-06'
 */
export function usualPlanting(crop: Crop, { garden, asOf }: Pick<GrowthQuestion, 'garden' | 'asOf'>): Day {
  const season = growingYearOf(asOf, garden.latitude, garden.seasonMode ?? 'warm');
  const { last } = frostsOf(garden, season);
  const usual = last && addDays(last, Math.round((AFTER_FROST_DAYS[crop][0] + AFTER_FROST_DAYS[crop][1]) / 2));
  // a plant that is there today was not planted after today
  return usual && usual <= asOf ? usual : addDays(asOf, -USUAL_AGE_DAYS);
}

/** Returns the likeliest stage and its chance. */
function namedStage(
  { plant }: GrowthQuestion,
  notes: readonly GrowthNote[],
  { reached }: StageEstimate,
): { stage: Stage; chance: number } {
  const said = notes.findLast((n) => n.stage !== undefined)?.stage;
  if (said === 'late') return { stage: 'late', chance: 1 };
  const young = plant.transplantedOn || said !== 'seedling' ? 'establishing' : 'seedling';
  const stages: { stage: Stage; chance: number }[] = [{ stage: young, chance: 1 }, ...reached];
  let best = { stage: young as Stage, chance: 0 };
  stages.forEach(({ stage, chance }, i) => {
    const here = Math.max(0, chance - (stages[i + 1]?.chance ?? 0));
    if (here > best.chance) best = { stage, chance: here };
  });
  return best;
}

/** Returns the milestone nearest to even odds, if the stage is not clear. */
const leastCertain = ({ reached }: StageEstimate, chance: number): Growth['unsure'] =>
  chance >= CLEAR_STAGE_FROM
    ? null
    : reached.reduce((a, b) => (Math.abs(b.chance - 0.5) < Math.abs(a.chance - 0.5) ? b : a));
