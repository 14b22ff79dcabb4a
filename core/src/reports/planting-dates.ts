import type { Crop } from '../records/plant.js';
import { addDays, type Day, daysBetween } from '../units/day.js';
import { type Formatter, joined } from '../units/formatter.js';
import { capital } from '../units/text.js';
import { first, grouped, median } from '../units/lists.js';
import { roundTo } from '../units/rounding.js';

// Which planting date suits this garden: the plants of all its seasons, by the half month in which they went out.

/** A plant of any season, as the comparison of planting dates reads it. */
export interface PlantedOut {
  crop: Crop;
  /** under a roof, in a tunnel or indoors: its dates are not those of the open */
  covered: boolean;
  /** year that names its season */
  year: number;
  /** that season has ended: what it gave is all it gave */
  over: boolean;
  plantedOn: Day;
  /** first ripe fruit picked; null if none is recorded */
  firstRipe: Day | null;
  /** picked and used, kg */
  kg: number;
}

/** The plants that went out in the same half of a month. */
export interface PlantingWindow {
  /** month and day on which the half month begins, "05-16" */
  from: string;
  plants: number;
  /** seasons in which it was used */
  seasons: number[];
  /** days from planting out to the first ripe fruit, median; null if none is recorded */
  daysToRipe: number | null;
  /** kg of a plant, median over seasons that have ended; null if there is none */
  kgEach: number | null;
}

/** What the dates of one crop show, in the open or under cover. */
export interface PlantingDates {
  crop: Crop;
  covered: boolean;
  windows: PlantingWindow[];
  /** the half month whose plants gave most, if that can be said */
  best: { from: string; timesUsual: number } | null;
  /**
   * why no date is named: too few plants; each date stands for another year, so the date cannot be told from its
   * weather; or they gave about the same
   */
  because: 'too-few' | 'each-another-year' | 'the-same' | null;
}

/** Fewer plants of a half month in a season say nothing (judgement). */
const LEAST_PLANTS = 2;
/** A smaller lead over the other dates of the same seasons is chance (judgement). */
const TELLING_LEAD = 1.15;

/**
 * Returns the first day of the half month of a day.
 * @example halfMonthOf('2026-05-23') // '05-16'
 */
export const halfMonthOf = (day: Day): string => `${day.slice(5, 7)}-${day.slice(8) < '16' ? '01' : '16'}`;

/**
 * Returns, for each crop in the open and under cover, its planting dates by half months, and which of them gave most fruit.
 * A date is compared only with the other dates of the same season, as the weather was the same for both: its lead is the
 * mean, over seasons that have ended, of its median kg against the median of all these plants of that season.
 */
export function plantingDates(plants: readonly PlantedOut[]): PlantingDates[] {
  return [...grouped(plants, (p) => `${p.crop} ${p.covered}`).values()].map(datesOf);
}

function datesOf(plants: readonly PlantedOut[]): PlantingDates {
  const { crop, covered } = first(plants);
  const windows = [...grouped(plants, (p) => halfMonthOf(p.plantedOn))].map(([from, own]) => windowOf(from, own));
  // in the order of a season: it may run across New Year
  const place = (from: string): number => {
    const days = plants.filter((p) => halfMonthOf(p.plantedOn) === from);
    return Math.min(...days.map((p) => daysBetween(`${p.year}-01-01`, p.plantedOn)));
  };
  windows.sort((a, b) => place(a.from) - place(b.from));
  const base = { crop, covered, windows };
  const ended = [
    ...grouped(
      plants.filter((p) => p.over),
      (p) => halfMonthOf(p.plantedOn),
    ).values(),
  ];
  if (ended.filter((own) => own.length >= LEAST_PLANTS).length < 2) return { ...base, best: null, because: 'too-few' };
  const leads = leadsOf(plants.filter((p) => p.over));
  if (leads.length < 2) return { ...base, best: null, because: 'each-another-year' };
  const best = leads.reduce((a, b) => (b.timesUsual > a.timesUsual ? b : a));
  return best.timesUsual < TELLING_LEAD
    ? { ...base, best: null, because: 'the-same' }
    : { ...base, best, because: null };
}

function windowOf(from: string, own: readonly PlantedOut[]): PlantingWindow {
  const ended = own.filter((p) => p.over);
  const days = own.flatMap((p) => (p.firstRipe ? [daysBetween(p.plantedOn, p.firstRipe)] : []));
  return {
    from,
    plants: own.length,
    seasons: [...new Set(own.map((p) => p.year))].sort((a, b) => a - b),
    daysToRipe: days.length === 0 ? null : Math.round(median(days)),
    kgEach: ended.length === 0 ? null : roundTo(median(ended.map((p) => p.kg)), 2),
  };
}

/** The lead of each half month over all plants of its seasons; only of seasons with at least two. */
function leadsOf(plants: readonly PlantedOut[]): { from: string; timesUsual: number }[] {
  const ratios = new Map<string, number[]>();
  for (const own of grouped(plants, (p) => p.year).values()) {
    const usual = median(own.map((p) => p.kg));
    const dates = [...grouped(own, (p) => halfMonthOf(p.plantedOn))].filter(([, list]) => list.length >= LEAST_PLANTS);
    if (dates.length < 2 || usual <= 0) continue;
    for (const [from, list] of dates)
      ratios.set(from, [...(ratios.get(from) ?? []), median(list.map((p) => p.kg)) / usual]);
  }
  return [...ratios].map(([from, list]) => ({
    from,
    timesUsual: roundTo(list.reduce((t, x) => t + x, 0) / list.length, 2),
  }));
}

/** Only month and day are shown. */
const ANY_YEAR = 2025;

/**
 * Returns a half month in words.
 * @param from its first month and day, as `halfMonthOf` returns it: '02-16' is "16 to 28 February"
 */
export function halfMonthInWords(from: string, f: Formatter): string {
  const [month, day] = [Number(from.slice(0, 2)), Number(from.slice(3))];
  const next = month === 12 ? `${ANY_YEAR + 1}-01-01` : `${ANY_YEAR}-${String(month + 1).padStart(2, '0')}-01`;
  const to = day === 1 ? `${ANY_YEAR}-${from.slice(0, 2)}-15` : addDays(next, -1);
  const all = daysBetween(`${ANY_YEAR}-${from}`, to) + 1;
  return f.days(Array.from({ length: all }, (_, i) => addDays(`${ANY_YEAR}-${from}`, i)));
}

const WHY: Record<NonNullable<PlantingDates['because']>, string> = {
  'too-few': 'too few plants on different dates yet. A season counts once it has ended',
  'each-another-year':
    'each date is from another year, so date and weather cannot be separated. Plant some two weeks apart in one season',
  'the-same': 'the dates gave about the same',
};

/**
 * Returns what grew, in words.
 * @example grownInWords({ crop: 'tomato', covered: true }) // 'Tomato under cover'
 */
export const grownInWords = ({ crop, covered }: Pick<PlantingDates, 'crop' | 'covered'>): string =>
  `${capital(crop)}${covered ? ' under cover' : ''}`;

/** Returns which date gave most, or why that cannot be said: what holds for several crops is one line. */
export function datesInWords(dates: readonly PlantingDates[], f: Formatter): string[] {
  const lines = grouped(dates, ({ best, because }) =>
    best
      ? `plants set out ${halfMonthInWords(best.from, f)} gave most, ${Math.round((best.timesUsual - 1) * 100)} % more than a usual plant of their season`
      : WHY[because ?? 'too-few'],
  );
  return [...lines].map(([text, own]) =>
    lines.size === 1 && own.length > 1
      ? `${capital(text)}.`
      : `${capital(joined(own.map(grownInWords)).toLowerCase())}: ${text}.`,
  );
}
