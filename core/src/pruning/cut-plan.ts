import type { Crop, GrowthHabit, Stage } from '../records/plant.js';
import type { Pruning } from '../records/record-classes.js';
import { addDays, type Day, daysBetween } from '../units/day.js';
import type { Training } from './methods.js';

/** Most cuts per week and plant (common practice: 3 to 4). */
export const WEEKLY_CUTS = 4;
/** Distance between leaves on a tomato's stem, m (judgement: 7 to 9 cm). */
const LEAF_EVERY_M = 0.08;
/** Target height of bare stem, m; never more than a third of the height (common practice: 30 cm, 20 to 40). */
const GOAL_CLEAR_M = 0.3;
const CLEAR_SHARE = 1 / 3;
/** From this height on no leaf may touch the soil, m (common practice). */
const TOUCHING_FROM_M = 0.6;
/**
 * Suckers a cordon makes in a week of summer (common practice: two or three). Taken while shorter than a finger they cost
 * no leaf, so the week's budget does not count them.
 */
const SUCKERS_A_WEEK = 2.5;
/** Weeks until a sucker has leaves worth counting, and what grew in them is small (judgement). */
const SMALL_WEEKS = 2;
/** Days around the topping day in which a recorded topping is this one. */
const TOPPED_WITHIN_DAYS = 14;
/**
 * Peppers are pinched once at 15 to 20 cm in a long season, and their first flowers for three weeks (common
 * practice).
 */
const PINCH_FROM_M = 0.15;
const PINCH_TO_M = 0.25;
const FIRST_FLOWERS_DAYS = 21;
/**
 * A tomato that flowers while shorter than this, m, in its first two weeks in the ground is held back by its first truss:
 * taking it is a choice (extension practice, from memory).
 */
const SMALL_IN_FLOWER_M = 0.3;
const FIRST_TRUSS_DAYS = 14;

/** What a cut removes. */
export type CutKind =
  | 'diseased'
  | 'touching'
  | 'small-suckers'
  | 'low-leaves'
  | 'suckers'
  | 'top'
  | 'pinch'
  | 'first-flowers'
  | 'first-truss';

/** Cuts that cost no leaf, or must not wait: the week's budget does not count them. */
const UNCOUNTED: ReadonlySet<CutKind> = new Set([
  'diseased',
  'top',
  'pinch',
  'small-suckers',
  'first-flowers',
  'first-truss',
]);

/** A planned cut and where it is on the plant, m above the soil. */
export interface Cut {
  kind: CutKind;
  count: number;
  /** position on the plant, m above the soil */
  fromM: number;
  toM: number;
  /** shorten a long leaf by half where leaves are scarce, instead of removing it */
  halve?: true;
  /** a plant of two stems keeps one: the sucker just under its first truss */
  keepOne?: true;
}

/** Why cuts wait, and until when. */
export type CutHold = { kind: 'heat' | 'sunscald' | 'wet'; until: Day } | { kind: 'budget'; until: Day };

/** What the cut plan depends on. Heights in m. */
export interface CutQuestion {
  today: Day;
  crop: Crop;
  habit: GrowthHabit | null;
  training: Training;
  stage: Stage | null;
  /** measured; null if not */
  heightM: number | null;
  plantedOn: Day | null;
  /** oldest first */
  pruned: readonly Pruning[];
  /** nothing recorded means not cut yet, not unknown */
  uncut?: boolean;
  /** leaves with spots or mould, as counted, or at least one */
  diseased: number;
  touchesSoil: boolean;
  /** many leaves lost or cut recently: leaves are scarce */
  leafScarce: boolean;
  sunscald: boolean;
  heatAhead: Day | null;
  wetToday: boolean;
  /** the last useful flower opens then; null where neither frost nor cold ends the season */
  topOn: Day | null;
  seasonDays: number | null;
}

/** Cuts due this week and later. */
export interface CutPlan {
  /** this week's, worst first, within the budget */
  cuts: Cut[];
  /** what is left of the week's budget before them */
  left: number;
  /** what remains for later weeks, in total, and how many weeks it takes */
  backlog: number;
  weeks: number;
  hold: CutHold | null;
  /** pruning was recorded this season; otherwise the state is unknown */
  recorded: boolean;
  /** clean blades first */
  cleanBlades: boolean;
  /** target height of bare stem now, m; null if its height is unknown */
  clearToM: number | null;
  /** day to top it */
  topOn: Day | null;
}

/** Plans the week's cuts of one plant. Without a height only visible damage is cut. */
export function cutPlan(q: CutQuestion): CutPlan {
  const sum = (since: Day, what?: What): number => counted(q.pruned, since, (p) => !what || !!p.what?.includes(what));
  const weekAgo = addDays(q.today, -6);
  const left = Math.max(0, WEEKLY_CUTS - counted(q.pruned, weekAgo, costsLeaf));
  const clearToM = clearHeight(q);
  const wanted = wantedCuts(q, clearToM, sum);
  const cuts: Cut[] = [];
  let room = left;
  for (const cut of wanted) {
    const free = UNCOUNTED.has(cut.kind);
    const count = free ? cut.count : Math.min(room, cut.count);
    if (count > 0)
      cuts.push({
        ...cut,
        count,
        ...(q.leafScarce && isLeaf(cut.kind) && cut.kind !== 'diseased' ? { halve: true as const } : {}),
      });
    if (!free) room -= count;
  }
  const all = wanted.reduce((n, c) => n + c.count, 0);
  const backlog = all - cuts.reduce((n, c) => n + c.count, 0);
  return {
    cuts,
    left,
    backlog,
    weeks: Math.ceil(backlog / WEEKLY_CUTS),
    hold: all > 0 ? holdOf(q, wanted.some((c) => UNCOUNTED.has(c.kind)) ? 1 : left) : null,
    recorded: isRecorded(q),
    cleanBlades: q.diseased > 0,
    clearToM,
    topOn: topDay(q),
  };
}

type What = NonNullable<Pruning['what']>[number];

/** Counts the cuts of some records since a day. */
const counted = (pruned: readonly Pruning[], since: Day, which: (p: Pruning) => boolean): number =>
  pruned.filter((p) => p.date >= since && which(p)).reduce((n, p) => n + (p.cuts ?? 0), 0);

/** Cuts of nothing but suckers or the top cost hardly any leaf. */
const costsLeaf = (p: Pruning): boolean => !p.what?.length || p.what.some((w) => w !== 'suckers' && w !== 'top');

/** Whether this was cut since a day, counted or not: what is recorded without a number is done. */
const wasCut = (pruned: readonly Pruning[], since: Day, what: What): boolean =>
  pruned.some((p) => p.date >= since && p.what?.includes(what) && p.cuts !== 0);

/** Weeks until the first suckers are worth a cut (judgement). */
const FIRST_SUCKERS_WEEKS = 2;

/** Returns whether it is known what was cut this season. */
const isRecorded = (q: Pick<CutQuestion, 'pruned' | 'uncut'>): boolean => q.pruned.length > 0 || q.uncut === true;

const isLeaf = (kind: CutKind): boolean => kind === 'diseased' || kind === 'touching' || kind === 'low-leaves';

/**
 * Returns the target height of bare stem: a third of the height, up to the goal; from 60 cm at least what touches the
 * soil.
 */
function clearHeight({ heightM, crop }: CutQuestion): number | null {
  if (heightM === null) return null;
  const goal = crop === 'pepper' ? 0.1 : GOAL_CLEAR_M;
  return Math.min(goal, heightM * CLEAR_SHARE);
}

/** Returns everything to cut, worst first. */
function wantedCuts(q: CutQuestion, clearToM: number | null, sum: (since: Day, what?: What) => number): Cut[] {
  const season = q.plantedOn ?? addDays(q.today, -365);
  const out: Cut[] = [];
  if (q.diseased > 0) out.push({ kind: 'diseased', count: q.diseased, fromM: 0, toM: Math.max(0.2, clearToM ?? 0.3) });
  if (q.heightM !== null && q.crop === 'pepper' && isRecorded(q))
    out.push(...pepperCuts(q, wasCut(q.pruned, season, 'top')));
  if (q.touchesSoil && (q.heightM === null || q.heightM >= TOUCHING_FROM_M || q.crop === 'pepper'))
    out.push({ kind: 'touching', count: 2, fromM: 0, toM: 0.1 });
  // not recorded does not mean not done: order nothing beyond visible damage
  if (q.heightM === null || clearToM === null || q.crop === 'pepper' || !isRecorded(q)) return out;
  // before everything else: what grows above it is taken away again
  const top = topDay(q);
  if (top !== null && top <= q.today && !wasCut(q.pruned, addDays(top, -TOPPED_WITHIN_DAYS), 'top'))
    out.unshift({ kind: 'top', count: 1, fromM: q.heightM * 0.9, toM: q.heightM });
  if (isSmallInFlower(q) && !wasCut(q.pruned, season, 'thinning'))
    out.push({ kind: 'first-truss', count: 1, fromM: q.heightM * 0.6, toM: q.heightM });
  const trained = q.training === 'one-stem' || q.training === 'two-stems';
  // cut without counting: all was done by then, and only what grew since counts
  const clean = q.pruned.findLast((p) => p.cuts == null && (!p.what?.length || p.what.includes('suckers')))?.date;
  const weeks = q.plantedOn ? Math.max(0, daysBetween(q.plantedOn, q.today) / 7 - FIRST_SUCKERS_WEEKS) : 0;
  const due = clean ? daysBetween(clean, q.today) / 7 : weeks;
  // minus what was cut; those of the last weeks are still short
  const made = Math.round(due * SUCKERS_A_WEEK) - (q.training === 'two-stems' && !clean ? 1 : 0);
  const grown = trained && q.habit !== 'determinate' ? Math.max(0, made - sum(clean ?? season, 'suckers')) : 0;
  const taken = q.pruned.findLast((p) => p.what?.includes('suckers') && p.cuts !== 0)?.date;
  const sinceTaken = taken ? daysBetween(taken, q.today) / 7 : SMALL_WEEKS;
  const small = Math.min(grown, Math.round(Math.min(SMALL_WEEKS, sinceTaken) * SUCKERS_A_WEEK));
  if (small > 0)
    out.push({
      kind: 'small-suckers',
      count: small,
      fromM: 0.1,
      toM: Math.max(0.3, q.heightM * 0.95),
      ...(q.training === 'two-stems' ? { keepOne: true as const } : {}),
    });
  const cleared = q.pruned.some((p) => p.cuts == null && (!p.what?.length || p.what.includes('lower-leaves')));
  const leaves = cleared
    ? 0
    : Math.floor(clearToM / LEAF_EVERY_M) - sum(season, 'lower-leaves') - (q.touchesSoil ? 2 : 0) - q.diseased;
  if (leaves > 0 && q.training !== 'leave-alone')
    out.push({ kind: 'low-leaves', count: leaves, fromM: 0, toM: clearToM });
  if (grown > small) out.push({ kind: 'suckers', count: grown - small, fromM: clearToM, toM: q.heightM * 0.85 });
  return out;
}

const isSmallInFlower = (q: CutQuestion): boolean =>
  q.stage === 'flowering' &&
  q.heightM !== null &&
  q.heightM < SMALL_IN_FLOWER_M &&
  q.plantedOn !== null &&
  daysBetween(q.plantedOn, q.today) <= FIRST_TRUSS_DAYS;

function pepperCuts(q: CutQuestion, topped: boolean): Cut[] {
  const out: Cut[] = [];
  const long = q.seasonDays === null || q.seasonDays >= 170;
  if (
    !topped &&
    long &&
    q.heightM! >= PINCH_FROM_M &&
    q.heightM! <= PINCH_TO_M &&
    // one that was just planted has enough to do
    q.stage === 'vegetative'
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

/**
 * Returns whether a plant grows on and on: only such a one is topped.
 * @example isCordon({ crop: 'tomato', habit: 'determinate' }) // false
 */
export const isCordon = (p: { crop: Crop; habit?: GrowthHabit | null }): boolean =>
  p.crop === 'tomato' && p.habit === 'indeterminate';

/** Only an indeterminate plant is topped: when its last useful flower has opened. */
const topDay = (q: CutQuestion): Day | null => (isCordon(q) ? q.topOn : null);

/**
 * Returns what must not be cut now, and why (common practice): before or in a heat wave, with sunscald, on wet
 * plants, over the budget.
 */
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

/** How each cut is recorded. */
export const RECORDED_AS: Record<CutKind, NonNullable<Pruning['what']>[number]> = {
  diseased: 'lower-leaves',
  touching: 'lower-leaves',
  'low-leaves': 'lower-leaves',
  'small-suckers': 'suckers',
  suckers: 'suckers',
  top: 'top',
  pinch: 'top',
  'first-flowers': 'thinning',
  'first-truss': 'thinning',
};
