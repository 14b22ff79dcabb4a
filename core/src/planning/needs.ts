import { expectedFruitKg } from '../nutrition/uptake.js';
import { isPotted, type PlaceKind } from '../records/place.js';
import type { Crop, GrowthHabit } from '../records/plant.js';
import { compostDepth } from '../soil/preparation.js';
import { layer } from '../soil/volumes.js';
import { MULCH_DEPTH_CM } from '../soil/mulch-plan.js';
import { type Stock, supportPlan, type SupportQuestion } from '../support/support-plan.js';
import { roundTo } from '../units/rounding.js';

/** Two seeds per cell; the weaker is snipped (common practice). */
const SEEDS_A_CELL = 2;
/** Share lost between cell and bed (judgement). */
const LOST_SHARE = 0.15;
/** The same where seedlings were eaten before (judgement). */
const NIBBLED_SHARE = 0.35;

/** Cells to sow, and seeds for them. */
export interface SeedNeed {
  cells: number;
  seeds: number;
}

/**
 * Returns cells and seeds for a number of plants, with spares for losses: at least one cell more than plants.
 * @param nibbled seedlings were eaten in this garden before
 * @example seedsFor(6) // { cells: 8, seeds: 16 }
 */
export function seedsFor(plants: number, nibbled = false): SeedNeed {
  if (plants <= 0) return { cells: 0, seeds: 0 };
  const cells = Math.max(plants + 1, Math.ceil(plants / (1 - (nibbled ? NIBBLED_SHARE : LOST_SHARE))));
  return { cells, seeds: cells * SEEDS_A_CELL };
}

/** A planting as far as its needs depend on it. */
export interface Planned {
  crop: Crop;
  habit: GrowthHabit | null;
  count: number;
  place: Parameters<typeof compostDepth>[0] & {
    kind: PlaceKind;
    volumeL?: number | null;
    lengthM?: number | null;
    widthM?: number | null;
  };
}

/** Supports as the shed counts them. */
export interface Supports {
  stringM: number;
  stakes: number;
  cages: number;
  canes: number;
}

/** A plant that has its support already. */
export interface Supported {
  crop: Crop;
  habit: GrowthHabit | null;
  standing: NonNullable<SupportQuestion['standing']>;
}

/** What a season needs, and the fruit it may give. */
export interface Needs extends Supports {
  /** kg of fruit in a season, low and high */
  fruitKg: readonly [number, number];
  /** supports that neither stand yet nor are in the shed; none for what was not counted there */
  short: Partial<Supports>;
  /** once for every planted bed */
  mulchL: number;
  compostL: number;
}

/** Adds the support of some plants to a count. */
function addSupport(
  to: Supports,
  { crop, habit, count, isPot }: Pick<Planned, 'crop' | 'habit' | 'count'> & { isPot: boolean },
  { today, stock, standing }: { today: string; stock: Stock; standing?: Supported['standing'] },
): void {
  const plan = supportPlan({
    today,
    crop,
    habit,
    stage: 'vegetative',
    heightM: null,
    isPot,
    tiedOn: null,
    tieCuts: false,
    windOn: null,
    stock,
    ...(standing ? { standing } : {}),
  });
  if (plan.kind === 'string') to.stringM += plan.lengthM * count;
  else if (plan.kind === 'stake') to.stakes += count;
  else if (plan.kind === 'small-stake') to.canes += count;
  else to.cages += count;
}

const none = (): Supports => ({ stringM: 0, stakes: 0, cages: 0, canes: 0 });

/**
 * Returns the supplies a plan needs. Each bed counts once, however many varieties grow in it. `supported` are plants
 * of this season whose support stands: it is not missing.
 */
export function needsOf(
  planned: readonly (Planned & { placeId: string })[],
  today: string,
  stock: Stock = {},
  supported: readonly Supported[] = [],
): Needs {
  const [supports, there] = [none(), none()];
  const needs = { low: 0, high: 0, mulchL: 0, compostL: 0 };
  const beds = new Map(planned.map((p) => [p.placeId, p.place]));
  for (const p of planned) {
    const [low, high] = expectedFruitKg(p, p.place);
    needs.low += low * p.count;
    needs.high += high * p.count;
    addSupport(supports, { ...p, isPot: isPotted(p.place) }, { today, stock });
  }
  for (const p of supported)
    addSupport(there, { ...p, count: 1, isPot: false }, { today, stock, standing: p.standing });
  for (const bed of beds.values()) {
    const area = (bed.lengthM ?? 0) * (bed.widthM ?? 0);
    if (isPotted(bed) || area === 0) continue;
    needs.mulchL += layer(area, MULCH_DEPTH_CM, 0).litres;
    needs.compostL += layer(area, compostDepth(bed).depthCm, 0).litres;
  }
  const { low, high, ...rest } = needs;
  return {
    fruitKg: [round(low), round(high)],
    ...rest,
    ...supports,
    stringM: Math.ceil(supports.stringM),
    short: shortOf(supports, there, stock),
  };
}

function shortOf(needed: Supports, there: Supports, stock: Stock): Partial<Supports> {
  const short: Partial<Supports> = {};
  for (const what of Object.keys(needed) as (keyof Supports)[]) {
    const counted = stock[what];
    if (counted == null) continue;
    const missing = Math.ceil(needed[what] - there[what] - counted);
    if (missing > 0) short[what] = missing;
  }
  return short;
}
const round = (kg: number): number => (kg >= 10 ? Math.round(kg) : roundTo(kg, 1));
