import { fruitGOf } from '../varieties/variety.js';
import type { Crop, PlantType } from '../records/plant.js';
import type { PickState, PickUse } from '../records/choices.js';
import { addDays, type Day, daysBetween } from '../units/day.js';
import { first, last } from '../units/lists.js';
import { roundTo } from '../units/rounding.js';

// What a season bore, lost and saved. All weights in kg.

/** A plant as the harvest report reads it. */
export interface ReportPlant {
  id: string;
  name: string;
  /** its variety by name, else its type */
  variety: string;
  place: string;
  crop: Crop;
  type?: PlantType | null;
  /** weight of one fruit of its variety, g */
  fruitG?: number | null;
  /** recorded litres given by hand, hose or drip; null if none are recorded */
  litres: number | null;
  /** recorded nitrogen given, g; null if none is recorded */
  nitrogenG: number | null;
}

/** A picking as the harvest report reads it, grams. */
export interface ReportPick {
  plantId: string;
  date: Day;
  count?: number | null;
  grams?: number | null;
  state: PickState;
  use: PickUse;
}

interface PlantRow {
  id: string;
  name: string;
  variety: string;
  place: string;
  count: number;
  /** picked and used */
  kg: number;
  lostKg: number;
  /** litres of water per kg used; null if one is not recorded, or it bore less than a kilogram */
  litresPerKg: number | null;
  nitrogenGPerKg: number | null;
}

/** A season's harvest in numbers. */
export interface HarvestReport {
  /** used: eaten, cooked, stored, given */
  kg: number;
  /** share of all weight estimated from counts and the weight of one fruit */
  estimatedShare: number;
  /** pickings with neither weight nor count: in no sum */
  unweighed: number;
  plants: PlantRow[];
  varieties: { variety: string; kg: number; lostKg: number }[];
  /** by the first day of each week, from the first picking to the last, without gaps */
  weeks: { from: Day; kg: number; lostKg: number }[];
  /** binned fruit by its problem, most first; share of everything picked */
  losses: { state: PickState; kg: number; share: number }[];
  /** damaged but used */
  savedKg: number;
}

/** Below a kilogram the water per kg says more about the day than the plant, g (judgement). */
const LEAST_FOR_A_SHARE_G = 1000;

const sum = (list: readonly number[]): number => list.reduce((t, x) => t + x, 0);
const kgOf = (g: number): number => Math.round(g) / 1000;

/** Returns a season's harvest, by plant, variety, week and use. Weights in kg. */
export function harvestReport(
  plants: readonly ReportPlant[],
  picks: readonly ReportPick[],
  weekStart: 0 | 1 | 6 = 1,
): HarvestReport {
  const byId = new Map(plants.map((p) => [p.id, p]));
  let [estimated, unweighed] = [0, 0];
  const weighed = picks.flatMap((p) => {
    const plant = byId.get(p.plantId);
    if (!plant) return [];
    if (p.grams != null) return [{ ...p, plant, g: p.grams }];
    if (p.count == null) {
      unweighed += 1;
      return [];
    }
    const g = p.count * fruitGOf(plant);
    estimated += g;
    return [{ ...p, plant, g }];
  });
  const isLost = (p: (typeof weighed)[number]): boolean => p.use === 'binned';
  const grams = (list: typeof weighed, lost: boolean): number =>
    sum(list.filter((p) => isLost(p) === lost).map((p) => p.g));
  const all = sum(weighed.map((p) => p.g));
  const rows = plants.map((plant): PlantRow => {
    const own = weighed.filter((p) => p.plantId === plant.id);
    const used = grams(own, false);
    const perKg = (much: number | null): number | null =>
      much === null || used < LEAST_FOR_A_SHARE_G ? null : roundTo(much / (used / 1000), 1);
    return {
      id: plant.id,
      name: plant.name,
      variety: plant.variety,
      place: plant.place,
      count: sum(own.map((p) => p.count ?? 0)),
      kg: kgOf(used),
      lostKg: kgOf(grams(own, true)),
      litresPerKg: perKg(plant.litres),
      nitrogenGPerKg: perKg(plant.nitrogenG),
    };
  });
  const varieties = [...new Set(plants.map((p) => p.variety))].map((variety) => {
    const own = weighed.filter((p) => p.plant.variety === variety);
    return { variety, kg: kgOf(grams(own, false)), lostKg: kgOf(grams(own, true)) };
  });
  const states = [...new Set(weighed.filter(isLost).map((p) => p.state))];
  return {
    kg: kgOf(grams(weighed, false)),
    estimatedShare: all === 0 ? 0 : estimated / all,
    unweighed,
    plants: rows.sort((a, b) => b.kg - a.kg || (a.name < b.name ? -1 : 1)),
    varieties: varieties.sort((a, b) => b.kg - a.kg || (a.variety < b.variety ? -1 : 1)),
    weeks: weeksOf(weighed, weekStart),
    losses: states
      .map((state) => {
        const g = sum(weighed.filter((p) => isLost(p) && p.state === state).map((p) => p.g));
        return { state, kg: kgOf(g), share: g / all };
      })
      .sort((a, b) => b.kg - a.kg),
    savedKg: kgOf(sum(weighed.filter((p) => !isLost(p) && p.state !== 'sound').map((p) => p.g))),
  };
}

/** 1970-01-01 was a Thursday. */
const weekdayOf = (day: Day): number => (((daysBetween('1970-01-01', day) + 4) % 7) + 7) % 7;
const weekOf = (day: Day, start: number): Day => addDays(day, -((weekdayOf(day) - start + 7) % 7));

function weeksOf(picks: readonly { date: Day; g: number; use: PickUse }[], start: number): HarvestReport['weeks'] {
  if (picks.length === 0) return [];
  const days = picks.map((p) => p.date).sort();
  const firstWeek = weekOf(first(days), start);
  const n = daysBetween(firstWeek, weekOf(last(days), start)) / 7 + 1;
  return Array.from({ length: n }, (_, i) => {
    const from = addDays(firstWeek, 7 * i);
    const own = picks.filter((p) => weekOf(p.date, start) === from);
    const g = (lost: boolean): number => sum(own.filter((p) => (p.use === 'binned') === lost).map((p) => p.g));
    return { from, kg: kgOf(g(false)), lostKg: kgOf(g(true)) };
  });
}
