import type { Crop, GrowthHabit, Stage } from '../records/plant.js';
import type { Pruning } from '../records/record-classes.js';
import { addDays, type Day, daysBetween } from '../units/day.js';
import type { Training } from './schools.js';

/** At most so many a week and plant (handbook: 3 to 4). */
export const WEEKLY_CUTS = 4;
/** Leaves stand about so far apart on a tomato's stem (judgement: 7 to 9 cm). */
const LEAF_EVERY_M = 0.08;
/** The clear height that is aimed at, m; never more than a third of the height (handbook: 30 cm, 20 to 40). */
const GOAL_CLEAR_M = 0.3;
const CLEAR_SHARE = 1 / 3;
/** From this height on no leaf touches the soil (handbook). */
const TOUCHING_FROM_M = 0.6;
/** Topping: so many days before the first frost (handbook: 40 to 60). */
export const TOP_BEFORE_DAYS = 50;
/** Peppers are pinched once at 15 to 20 cm where the season is long, and their first flowers for three weeks (handbook). */
const PINCH_FROM_M = 0.15;
const PINCH_TO_M = 0.25;
const FIRST_FLOWERS_DAYS = 21;

export type CutKind =
  'diseased' | 'touching' | 'low-suckers' | 'low-leaves' | 'suckers' | 'top' | 'pinch' | 'first-flowers';

export interface Cut {
  kind: CutKind;
  count: number;
  /** where on the plant, m above the soil */
  fromM: number;
  toM: number;
  /** a long leaf is halved where leaf is scarce, rather than taken */
  halve?: true;
}

export type CutHold = { kind: 'heat' | 'sunscald' | 'wet'; until: Day } | { kind: 'budget'; until: Day };

export interface CutQuestion {
  today: Day;
  crop: Crop;
  habit: GrowthHabit | null;
  training: Training;
  stage: Stage | null;
  /** measured; null where nobody did */
  heightM: number | null;
  plantedOn: Day | null;
  /** the older first */
  pruned: readonly Pruning[];
  /** leaves with spots or mould, as counted or at least one */
  diseased: number;
  touchesSoil: boolean;
  /** many leaves lost or cut lately: leaf is scarce */
  leafScarce: boolean;
  sunscald: boolean;
  heatAhead: Day | null;
  wetToday: boolean;
  firstFrost: Day | null;
  seasonDays: number | null;
}

export interface CutPlan {
  /** this week's, worst first, within the budget */
  cuts: Cut[];
  /** of the week's budget, what is left before them */
  left: number;
  /** what stays for the weeks after, in all, and how many weeks that takes */
  backlog: number;
  weeks: number;
  hold: CutHold | null;
  /** somebody wrote a cut down this season; else nobody knows what is there still */
  recorded: boolean;
  /** blades are cleaned first */
  cleanBlades: boolean;
  /** how high it is to be clear by now, m; null where its height is not known */
  clearToM: number | null;
  /** the day to top it */
  topOn: Day | null;
}

/** The week's cuts of one plant. Without a height nothing but what is seen is cut. */
export function cutPlan(q: CutQuestion): CutPlan {
  const sum = (since: Day, what?: NonNullable<Pruning['what']>[number]): number =>
    q.pruned.filter((p) => p.date >= since && (!what || p.what?.includes(what))).reduce((n, p) => n + (p.cuts ?? 0), 0);
  const weekAgo = addDays(q.today, -6);
  const left = Math.max(0, WEEKLY_CUTS - sum(weekAgo));
  const clearToM = clearHeight(q);
  const wanted = wantedCuts(q, clearToM, sum);
  const cuts: Cut[] = [];
  let room = left;
  for (const cut of wanted) {
    // what is sick comes off whatever the budget (the remedy says the same)
    const count = cut.kind === 'diseased' ? cut.count : Math.min(room, cut.count);
    if (count > 0)
      cuts.push({
        ...cut,
        count,
        ...(q.leafScarce && isLeaf(cut.kind) && cut.kind !== 'diseased' ? { halve: true as const } : {}),
      });
    if (cut.kind !== 'diseased') room -= count;
  }
  const all = wanted.reduce((n, c) => n + c.count, 0);
  const backlog = all - cuts.reduce((n, c) => n + c.count, 0);
  return {
    cuts,
    left,
    backlog,
    weeks: Math.ceil(backlog / WEEKLY_CUTS),
    hold: all > 0 ? holdOf(q, q.diseased > 0 ? 1 : left) : null,
    recorded: q.pruned.length > 0,
    cleanBlades: q.diseased > 0,
    clearToM,
    topOn: topDay(q),
  };
}

const isLeaf = (kind: CutKind): boolean => kind === 'diseased' || kind === 'touching' || kind === 'low-leaves';

/** Clear from the soil up as it grows: a third of its height, up to the goal; from 60 cm on at least what touches. */
function clearHeight({ heightM, crop }: CutQuestion): number | null {
  if (heightM === null) return null;
  const goal = crop === 'pepper' ? 0.1 : GOAL_CLEAR_M;
  return Math.min(goal, heightM * CLEAR_SHARE);
}

/** All that is to be cut, worst first. */
function wantedCuts(
  q: CutQuestion,
  clearToM: number | null,
  sum: (since: Day, what?: NonNullable<Pruning['what']>[number]) => number,
): Cut[] {
  const season = q.plantedOn ?? addDays(q.today, -365);
  const out: Cut[] = [];
  if (q.diseased > 0) out.push({ kind: 'diseased', count: q.diseased, fromM: 0, toM: Math.max(0.2, clearToM ?? 0.3) });
  if (q.heightM !== null && q.crop === 'pepper' && q.pruned.length > 0) out.push(...pepperCuts(q, sum(season, 'top')));
  if (q.touchesSoil && (q.heightM === null || q.heightM >= TOUCHING_FROM_M || q.crop === 'pepper'))
    out.push({ kind: 'touching', count: 2, fromM: 0, toM: 0.1 });
  // none recorded is not none made: beyond what is seen nothing is ordered
  if (q.heightM === null || clearToM === null || q.crop === 'pepper' || q.pruned.length === 0) return out;
  const trained = q.training === 'one-stem' || q.training === 'two-stems';
  const weeks = q.plantedOn ? Math.max(0, daysBetween(q.plantedOn, q.today) / 7) : 0;
  // suckers: about one a week and stem that is kept, less what was cut
  const grown = trained && q.habit !== 'determinate' ? Math.max(0, Math.round(weeks - 2) - sum(season, 'suckers')) : 0;
  if (grown > 0) out.push({ kind: 'low-suckers', count: Math.min(grown, 2), fromM: 0.1, toM: Math.max(0.3, clearToM) });
  const leaves =
    Math.floor(clearToM / LEAF_EVERY_M) - sum(season, 'lower-leaves') - (q.touchesSoil ? 2 : 0) - q.diseased;
  if (leaves > 0 && q.training !== 'leave-alone')
    out.push({ kind: 'low-leaves', count: leaves, fromM: 0, toM: clearToM });
  if (grown > 2) out.push({ kind: 'suckers', count: grown - 2, fromM: clearToM, toM: q.heightM * 0.85 });
  const top = topDay(q);
  if (top !== null && top <= q.today && sum(addDays(top, -14), 'top') === 0)
    out.push({ kind: 'top', count: 1, fromM: q.heightM * 0.9, toM: q.heightM });
  return out;
}

function pepperCuts(q: CutQuestion, topped: number): Cut[] {
  const out: Cut[] = [];
  const long = q.seasonDays === null || q.seasonDays >= 170;
  if (
    topped === 0 &&
    long &&
    q.heightM! >= PINCH_FROM_M &&
    q.heightM! <= PINCH_TO_M &&
    (q.stage === 'vegetative' || q.stage === 'establishing')
  )
    out.push({ kind: 'pinch', count: 1, fromM: q.heightM! * 0.85, toM: q.heightM! });
  if (
    q.stage === 'flowering' &&
    long &&
    q.plantedOn !== null &&
    daysBetween(q.plantedOn, q.today) <= FIRST_FLOWERS_DAYS
  )
    out.push({ kind: 'first-flowers', count: 2, fromM: q.heightM! * 0.5, toM: q.heightM! });
  return out;
}

/** Only an indeterminate plant is topped, dated back from the first frost. */
function topDay({ habit, crop, firstFrost }: CutQuestion): Day | null {
  return crop === 'tomato' && habit === 'indeterminate' && firstFrost !== null
    ? addDays(firstFrost, -TOP_BEFORE_DAYS)
    : null;
}

/** What is not to be cut now, and why (handbook): in a heat wave or before it, with open sunscald, on wet plants, over the budget. */
function holdOf(q: CutQuestion, left: number): CutHold | null {
  if (q.sunscald) return { kind: 'sunscald', until: addDays(q.today, 7) };
  if (q.heatAhead !== null) return { kind: 'heat', until: addDays(q.heatAhead, 1) };
  if (q.wetToday) return { kind: 'wet', until: addDays(q.today, 1) };
  if (left === 0) {
    const oldest = q.pruned.filter((p) => p.date >= addDays(q.today, -6) && (p.cuts ?? 0) > 0)[0];
    return { kind: 'budget', until: addDays(oldest?.date ?? q.today, 7) };
  }
  return null;
}

/** What a cut is written down as. */
export const RECORDED_AS: Record<CutKind, NonNullable<Pruning['what']>[number]> = {
  diseased: 'lower-leaves',
  touching: 'lower-leaves',
  'low-leaves': 'lower-leaves',
  'low-suckers': 'suckers',
  suckers: 'suckers',
  top: 'top',
  pinch: 'top',
  'first-flowers': 'thinning',
};
