import type { Crop } from '../records/plant.js';
import { type GardenFacts, SEASON_MODES, type SeasonMode } from '../records/facts.js';
import type { Fault } from '../records/faults.js';
import { type Day, daysBetween } from '../units/day.js';
import { nextAfter } from '../units/month-day.js';

export { SEASON_MODES, type SeasonMode };

/** One growing season: a year in the north; across New Year in the south, and where the mild winter is used. */
export interface GrowingYear {
  /** year of its first day; it names the season */
  year: number;
  /** "2026", or "2026/27" */
  label: string;
  from: Day;
  /** its last day */
  to: Day;
}

/** Returns whether a season of this garden runs across New Year. */
const overNewYear = (latitude: number, mode: SeasonMode): boolean => latitude < 0 !== (mode === 'mild-winter');

/**
 * Returns the growing season a year names, with its first and last day; across New Year where the season is.
 * @example growingYear(2026, -37).label // '2026/27'
 */
export function growingYear(year: number, latitude: number, mode: SeasonMode = 'warm'): GrowingYear {
  return overNewYear(latitude, mode)
    ? {
        year,
        label: `${year}/${String((year + 1) % 100).padStart(2, '0')}`,
        from: `${year}-07-01`,
        to: `${year + 1}-06-30`,
      }
    : { year, label: String(year), from: `${year}-01-01`, to: `${year}-12-31` };
}

/**
 * Returns the season a day belongs to.
 * @example growingYearOf('2027-01-20', -37).year // 2026
 */
export function growingYearOf(day: Day, latitude: number, mode: SeasonMode = 'warm'): GrowingYear {
  const year = Number(day.slice(0, 4));
  const here = growingYear(year, latitude, mode);
  return day >= here.from ? here : growingYear(year - 1, latitude, mode);
}

/**
 * Returns the year that names the season of a day in a garden: everything that counts years (earlier crops, rotation,
 * problems in the soil) counts these. South of the equator January belongs to the season that began the year before.
 * @example seasonYear({ latitude: -37 }, '2027-01-20') // 2026
 */
export const seasonYear = (garden: Pick<GardenFacts, 'latitude' | 'seasonMode'>, day: Day): number =>
  growingYearOf(day, garden.latitude, garden.seasonMode ?? 'warm').year;

/**
 * Days from last frost to planting out: soil and nights must warm up (common practice: one to four weeks, peppers a
 * week later).
 */
export const AFTER_FROST_DAYS: Record<Crop, readonly [number, number]> = { tomato: [7, 28], pepper: [14, 35] };

/** Returns the frost days of one season; null if unknown. */
export function frostsOf(
  garden: Pick<GardenFacts, 'lastFrost' | 'firstFrost'>,
  season: GrowingYear,
): { last: Day | null; first: Day | null } {
  const last = garden.lastFrost ? nextAfter(season.from, garden.lastFrost) : null;
  return { last, first: garden.firstFrost ? nextAfter(last ?? season.from, garden.firstFrost) : null };
}

/** Nearer to the equator either order of frosts may be right, and frost is rare, degrees. */
export const TROPICS = 23.5;

/** Refuses swapped frost days for the hemisphere: no midsummer lies between last and first frost. */
export function frostFaults(garden: Pick<GardenFacts, 'latitude' | 'lastFrost' | 'firstFrost'>): Fault[] {
  const { latitude, lastFrost, firstFrost } = garden;
  if (!lastFrost || !firstFrost || Math.abs(latitude) < TROPICS) return [];
  const midsummer = latitude < 0 ? '01-15' : '07-15';
  const last = `2023-${lastFrost === '02-29' ? '02-28' : lastFrost}`;
  const first = nextAfter(last, firstFrost);
  if (daysBetween(last, nextAfter(last, midsummer)) <= daysBetween(last, first)) return [];
  return [
    {
      path: 'firstFrost',
      reason: `no summer ${latitude < 0 ? 'south' : 'north'} of the equator lies between a last frost of ${lastFrost} and a first frost of ${firstFrost}. Are the two swapped?`,
    },
  ];
}
