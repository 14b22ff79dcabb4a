import { evennessInWords } from './evenness.js';
import type { PlaceFacts } from '../records/facts.js';
import type { PlantCase } from '../records/plant-case.js';
import { addDays, type Day, daysBetween } from '../units/day.js';
import { nextAfter } from '../units/month-day.js';
import type { MethodCode } from './methods.js';
import { at, first } from '../units/lists.js';

/** A watering method or change to try: fields left out stay as they are. */
export interface SetUp {
  name: string;
  strategy: MethodCode | 'timer' | 'remembered' | 'recorded';
  /** timer: every this many days */
  everyDays?: number | null;
  /** timer and remembered: litres per plant each time; by default the average use of those days */
  litres?: number | null;
  mulchMm?: number | null;
  volumeL?: number | null;
  texture?: PlaceFacts['texture'] | null;
  shadePct?: number | null;
}

/** One simulated season of a set-up. */
export interface SeasonResult {
  /** all per plant */
  litres: number;
  drainedL: number;
  visits: number;
  /** days with Ks under 0.8, and days above field capacity */
  daysShort: number;
  daysWet: number;
  evenness: number;
  nitrogenWashedG: number;
  /** share of fruiting days on which the records would point to blossom end rot (the rules of the diagnosis) */
  blossomEndRotShare: number;
  /** jumps from dry to wet that split fruit, in the season */
  splits: number;
}

/** A plant as the comparison of watering methods needs it. */
export type BenchPlant = Pick<PlantCase, 'place' | 'plant' | 'garden'> & {
  watering?: PlantCase['records']['watering'];
};

/** A set-up and its simulated seasons. */
export interface BenchRow {
  setUp: SetUp;
  seasons: SeasonResult[];
}

/**
 * Returns the tenth, fiftieth and ninetieth percentile.
 * @example middle([1, 2, 3, 4, 5]) // { low: 1, mid: 3, high: 5 }
 */
export const middle = (list: readonly number[]): { low: number; mid: number; high: number } => {
  const sorted = [...list].sort((a, b) => a - b);
  const at = (share: number): number =>
    sorted[Math.min(sorted.length - 1, Math.max(0, Math.round(share * (sorted.length - 1))))] ?? 0;
  return { low: at(0.1), mid: at(0.5), high: at(0.9) };
};

/** A measure of the comparison of watering methods. */
export type BenchMeasure =
  | 'litres'
  | 'drainedL'
  | 'visits'
  | 'daysShort'
  | 'daysWet'
  | 'evenness'
  | 'nitrogenWashedG'
  | 'blossomEndRotShare'
  | 'splits';

/** Returns the verdict: which set-up keeps the plant best, and a line about each, in the order of the rows. */
export function verdict(rows: readonly BenchRow[]): { best: number; each: string[] } | null {
  if (rows.length === 0 || first(rows).seasons.length === 0) return null;
  const mid = (row: BenchRow, key: BenchMeasure): number => middle(row.seasons.map((s) => s[key])).mid;
  // shortage of water weighs most, then a rhythm that harms fruit, then waterlogging; water and visits only decide
  // ties
  const cost = (row: BenchRow): number =>
    mid(row, 'daysShort') +
    30 * mid(row, 'blossomEndRotShare') +
    3 * mid(row, 'splits') +
    mid(row, 'daysWet') +
    10 * (1 - mid(row, 'evenness')) +
    mid(row, 'litres') / 100 +
    mid(row, 'visits') / 20;
  const best = rows.reduce((b, row, i) => (cost(row) < cost(at(rows, b)) ? i : b), 0);
  const says = (r: BenchRow): string => {
    const [short, wet] = [Math.round(mid(r, 'daysShort')), Math.round(mid(r, 'daysWet'))];
    const days = `${short} ${short === 1 ? 'day' : 'days'} short of water${wet > 0 ? `, ${wet} too wet` : ''}`;
    return `${days}, ${evennessInWords(mid(r, 'evenness'))}, ${Math.round(mid(r, 'visits'))} waterings`;
  };
  return { best, each: rows.map(says) };
}

/** Returns the season's calendar: from planting out (or the last frost and two weeks) on. */
export function seasonSpan(
  garden: PlantCase['garden'],
  year: number,
  plantedOn?: Day | null,
): { from: Day; days: number } {
  const south = garden.latitude < 0;
  const start = plantedOn ? plantedOn.slice(5) : (garden.lastFrost ?? (south ? '10-20' : '04-25'));
  const from = `${year}-${start === '02-29' ? '02-28' : start}`;
  const end = garden.firstFrost ? nextAfter(from, garden.firstFrost) : addDays(from, 160);
  return { from, days: Math.min(200, Math.max(90, daysBetween(from, end))) };
}
