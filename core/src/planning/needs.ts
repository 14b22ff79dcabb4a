import { expectedFruitKg } from '../nutrition/uptake.js';
import { isPotted, type PlaceKind } from '../records/place.js';
import type { Crop, GrowthHabit } from '../records/plant.js';
import { layer } from '../soil/volumes.js';
import { MULCH_DEPTH_CM } from '../soil/mulch-plan.js';
import { type Stock, supportPlan } from '../support/support-plan.js';
import { roundTo } from '../units/rounding.js';

/** Two seeds per cell; the weaker is snipped (common practice). */
const SEEDS_A_CELL = 2;
/** Share lost between cell and bed (judgement). */
const LOST_SHARE = 0.15;

/** Cells to sow, and seeds for them. */
export interface SeedNeed {
  cells: number;
  seeds: number;
}

/**
 * Returns cells and seeds for a number of plants, with spares for losses: at least one cell more than plants.
 * @example seedsFor(6) // { cells: 8, seeds: 16 }
 */
export function seedsFor(plants: number): SeedNeed {
  if (plants <= 0) return { cells: 0, seeds: 0 };
  const cells = Math.max(plants + 1, Math.ceil(plants / (1 - LOST_SHARE)));
  return { cells, seeds: cells * SEEDS_A_CELL };
}

/** A planting as far as its needs depend on it. */
export interface Planned {
  crop: Crop;
  habit: GrowthHabit | null;
  count: number;
  place: { kind: PlaceKind; volumeL?: number | null; lengthM?: number | null; widthM?: number | null };
}

/** What a season needs, and the fruit it may give. */
export interface Needs {
  /** kg of fruit in a season, low and high */
  fruitKg: readonly [number, number];
  stringM: number;
  stakes: number;
  cages: number;
  canes: number;
  /** once for every planted bed */
  mulchL: number;
  compostL: number;
}

/** Compost depth in spring (common practice: 2.5 cm a year). */
const COMPOST_CM = 2.5;

/** Returns the supplies a plan needs. Each bed counts once, however many varieties grow in it. */
export function needsOf(planned: readonly (Planned & { placeId: string })[], today: string, stock: Stock = {}): Needs {
  const needs = { low: 0, high: 0, stringM: 0, stakes: 0, cages: 0, canes: 0, mulchL: 0, compostL: 0 };
  const beds = new Map(planned.map((p) => [p.placeId, p.place]));
  for (const p of planned) {
    const [low, high] = expectedFruitKg(p.crop, p.place);
    needs.low += low * p.count;
    needs.high += high * p.count;
    const plan = supportPlan({
      today,
      crop: p.crop,
      habit: p.habit,
      stage: 'vegetative',
      heightM: null,
      isPot: isPotted(p.place),
      tiedOn: null,
      tieCuts: false,
      windOn: null,
      stock,
    });
    if (plan.kind === 'string') needs.stringM += plan.lengthM * p.count;
    else if (plan.kind === 'stake') needs.stakes += p.count;
    else if (plan.kind === 'small-stake') needs.canes += p.count;
    else needs.cages += p.count;
  }
  for (const bed of beds.values()) {
    const area = (bed.lengthM ?? 0) * (bed.widthM ?? 0);
    if (isPotted(bed) || area === 0) continue;
    needs.mulchL += layer(area, MULCH_DEPTH_CM, 0).litres;
    needs.compostL += layer(area, COMPOST_CM, 0).litres;
  }
  const { low, high, ...rest } = needs;
  return { fruitKg: [round(low), round(high)], ...rest, stringM: Math.ceil(needs.stringM) };
}
const round = (kg: number): number => (kg >= 10 ? Math.round(kg) : roundTo(kg, 1));
