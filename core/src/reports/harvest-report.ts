import { fruitGOf } from '../varieties/variety.js';
import type { Crop, PlantType } from '../records/plant.js';
import type { PickState, PickUse, Taste } from '../records/choices.js';
import { addDays, type Day, daysBetween } from '../units/day.js';
import { at, first, grouped, last } from '../units/lists.js';
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
  taste?: Taste | null;
  brix?: number | null;
}

/** How a variety tasted. */
interface TasteRow {
  variety: string;
  /** pickings that were tasted, and how many of them were good or best */
  tasted: number;
  good: number;
  /** mean sugar, °Brix; null if not measured */
  brix: number | null;
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

interface HarvestWeek {
  from: Day;
  kg: number;
  lostKg: number;
  /** share of its weight that was split; null if nothing was picked */
  splitShare: number | null;
  /** longest pause between two waterings of a bed or pot that ended in this week or the one before; null if none did */
  gapDays: number | null;
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
  weeks: HarvestWeek[];
  /** binned fruit by its problem, most first; share of everything picked */
  losses: { state: PickState; kg: number; share: number }[];
  /** damaged but used */
  savedKg: number;
  /** used, of what was picked when frost was near or past; null where no frost ends the season */
  lateKg: number | null;
  /** of varieties that were tasted or measured, best first */
  tastes: TasteRow[];
}

/** Below a kilogram the water per kg says more about the day than the plant, g (judgement). */
const LEAST_FOR_A_SHARE_G = 1000;

const sum = (list: readonly number[]): number => list.reduce((t, x) => t + x, 0);
const kgOf = (g: number): number => Math.round(g) / 1000;

interface ReportOptions {
  weekStart?: 0 | 1 | 6;
  /** day from which fruit counts as the late crop: frost is near */
  lateFrom?: Day | null;
  /** days on which each bed or pot was watered */
  watered?: readonly (readonly Day[])[];
}

/** Returns a season's harvest, by plant, variety, week and use. Weights in kg. */
export function harvestReport(
  plants: readonly ReportPlant[],
  picks: readonly ReportPick[],
  { weekStart = 1, lateFrom = null, watered = [] }: ReportOptions = {},
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
    weeks: weeksOf(weighed, weekStart, gapsOf(watered)),
    losses: states
      .map((state) => {
        const g = sum(weighed.filter((p) => isLost(p) && p.state === state).map((p) => p.g));
        return { state, kg: kgOf(g), share: g / all };
      })
      .sort((a, b) => b.kg - a.kg),
    lateKg:
      lateFrom === null
        ? null
        : kgOf(
            grams(
              weighed.filter((p) => p.date >= lateFrom),
              false,
            ),
          ),
    tastes: tastesOf(picks, byId),
    savedKg: kgOf(sum(weighed.filter((p) => !isLost(p) && p.state !== 'sound').map((p) => p.g))),
  };
}

function tastesOf(picks: readonly ReportPick[], plants: ReadonlyMap<string, ReportPlant>): TasteRow[] {
  const noted = picks.filter((p) => plants.has(p.plantId) && (p.taste != null || p.brix != null));
  return [...grouped(noted, (p) => plants.get(p.plantId)!.variety)]
    .map(([variety, own]): TasteRow => {
      const tasted = own.filter((p) => p.taste != null);
      const measured = own.flatMap((p) => p.brix ?? []);
      return {
        variety,
        tasted: tasted.length,
        good: tasted.filter((p) => p.taste === 'good' || p.taste === 'best').length,
        brix: measured.length === 0 ? null : roundTo(sum(measured) / measured.length, 1),
      };
    })
    .sort((a, b) => b.good / Math.max(1, b.tasted) - a.good / Math.max(1, a.tasted) || (b.brix ?? 0) - (a.brix ?? 0));
}

/** 1970-01-01 was a Thursday. */
const weekdayOf = (day: Day): number => (((daysBetween('1970-01-01', day) + 4) % 7) + 7) % 7;
const weekOf = (day: Day, start: number): Day => addDays(day, -((weekdayOf(day) - start + 7) % 7));

/** A pause between two waterings, by the day that ended it. */
interface Gap {
  until: Day;
  days: number;
}

const gapsOf = (watered: readonly (readonly Day[])[]): Gap[] =>
  watered.flatMap((days) => {
    const sorted = [...new Set(days)].sort();
    return sorted.slice(1).map((until, i): Gap => ({ until, days: daysBetween(at(sorted, i), until) }));
  });

/** Fruit that a soak splits is picked within a week of it (judgement). */
const SPLITS_WITHIN_DAYS = 7;

function weeksOf(
  picks: readonly { date: Day; g: number; use: PickUse; state: PickState }[],
  start: number,
  gaps: readonly Gap[],
): HarvestWeek[] {
  if (picks.length === 0) return [];
  const days = picks.map((p) => p.date).sort();
  const firstWeek = weekOf(first(days), start);
  const n = daysBetween(firstWeek, weekOf(last(days), start)) / 7 + 1;
  return Array.from({ length: n }, (_, i) => {
    const from = addDays(firstWeek, 7 * i);
    const own = picks.filter((p) => weekOf(p.date, start) === from);
    const g = (lost: boolean): number => sum(own.filter((p) => (p.use === 'binned') === lost).map((p) => p.g));
    const all = sum(own.map((p) => p.g));
    const before = gaps.filter((x) => x.until >= addDays(from, -SPLITS_WITHIN_DAYS) && x.until < addDays(from, 7));
    return {
      from,
      kg: kgOf(g(false)),
      lostKg: kgOf(g(true)),
      splitShare: all === 0 ? null : sum(own.filter((p) => p.state === 'split').map((p) => p.g)) / all,
      gapDays: before.length === 0 ? null : Math.max(...before.map((x) => x.days)),
    };
  });
}
