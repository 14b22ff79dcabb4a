import { daysToMaturityOf } from '../cultivars/cultivar.js';
import { type WeatherDay } from '../climate/gaps.js';
import { degreeDays, degreeDaySum } from '../climate/degree-days.js';
import { TOP_BEFORE_DAYS } from '../pruning/cut-plan.js';
import type { Crop, GrowthHabit, PlantType } from '../records/plant.js';
import { frostsOf, type GrowingYear, type SeasonMode } from '../season/growing-year.js';
import { addDays, type Day, daysBetween } from '../units/day.js';

/** The dates of a year, reckoned for one garden and one kind, each as a band as wide as it is uncertain. */

export const DATE_KINDS = [
  'sow',
  'pot-on',
  'last-frost',
  'harden',
  'plant-out',
  'mulch',
  'first-fruit',
  'last-planting',
  'second-sowing',
  'last-feed',
  'top',
  'first-frost',
] as const;
export type DateKind = (typeof DATE_KINDS)[number];

export interface Band {
  what: DateKind;
  from: Day;
  to: Day;
  /** the day it was done, where it is written down */
  done?: Day;
}

export interface DatesQuestion {
  garden: { latitude: number; lastFrost?: string | null; firstFrost?: string | null };
  mode: SeasonMode;
  season: GrowingYear;
  today: Day;
  kind: { crop: Crop; type?: PlantType | null; habit?: GrowthHabit | null; daysToMaturity?: number | null };
  /** the day it was set out, where that is written down */
  plantedOn?: Day | null;
  sownOn?: Day | null;
  /** sown in summer after a first crop, or beside it */
  second?: boolean;
  /** the day on which the first ripe fruit was picked */
  pickedOn?: Day | null;
  /** measured and foreseen, where it stands */
  weather?: readonly WeatherDay[];
}

export interface YearDates {
  bands: Band[];
  /** it cannot ripen before the first frost: the longest kind that would, days from planting out; null where it fits */
  tooLong: { fits: number } | null;
  /** how first fruit was reckoned */
  by: 'days' | 'degree-days';
}

/** Weeks under glass before planting out (handbook: 6 to 8, peppers 8 to 10), days. */
export const RAISED_DAYS: Record<Crop, readonly [number, number]> = { tomato: [42, 56], pepper: [56, 70] };
/** Planting out after the last frost, days: soil and nights have to follow (common practice: one to four weeks, peppers a week later). */
const AFTER_FROST_DAYS: Record<Crop, readonly [number, number]> = { tomato: [7, 28], pepper: [14, 35] };
/** From sowing to the first larger pot: at the first true leaves (common practice). */
const POT_ON_DAYS = [21, 28] as const;
/** Handbook: 7 to 14 days. */
export const HARDEN_DAYS = [7, 14] as const;
/** Mulch when the soil is warm and the plant 30 cm tall (handbook): about so long after planting out (judgement). */
const MULCH_DAYS = [14, 28] as const;
/** What frost dates scatter by from year to year, days to each side (common practice: the 10 and 90 % dates lie about two weeks apart). */
const FROST_SCATTER = 10;
/** A packet's days are right to about a tenth (judgement). */
const MATURITY_SHARE = 0.1;
/** Fruit before frost needs two weeks on top (handbook). */
export const BEFORE_FROST_DAYS = 14;
/** A second crop is raised quickly, in warmth (judgement). */
const SECOND_RAISED_DAYS = 30;
/** Nitrogen ends with topping (handbook: late), and a little before at the earliest. */
const LAST_FEED_BEFORE = [70, 45] as const;
/** Ten days to each side of the day that the cuts go by (handbook: 40 to 60 days). */
const TOP_BAND = [TOP_BEFORE_DAYS + 10, TOP_BEFORE_DAYS - 10] as const;
/** A fast bush kind for a second crop, days from planting out, where the kind itself is no bush. */
export const SECOND_CROP_DAYS = 65;

/**
 * Warmth of a usual day in the weeks for which packets count their days, °C·d: a mean of about 23 °C over the base of 10 °C
 * (judgement; 75 days then take about 1,000 °C·d, within what processing tomatoes take from transplant to first ripe fruit, UC IPM, from memory).
 */
export const USUAL_DEGREE_DAYS = 13;
const LEAST_RATE = 2;
const RATE_DAYS = 14;

/** Where no frost day is known: the part of the year in which one plants out (judgement), month-days north of the equator. */
const FROST_FREE_PLANTING: Record<SeasonMode, readonly [string, string]> = {
  warm: ['02-15', '04-15'],
  'mild-winter': ['09-15', '11-15'],
};
const HALF_YEAR_MONTHS = 6;

export function yearDates(q: DatesQuestion): YearDates {
  const { crop } = q.kind;
  const { days: usual, sure } = daysToMaturityOf(q.kind);
  // a second crop is of a fast bush kind, where its packet does not say
  const days = q.second && !sure ? SECOND_CROP_DAYS : usual;
  const frosts = frostsOf(q.garden, q.season);
  // in the mild winter frost is a guest, not the end of the season
  const end = q.mode === 'warm' ? frosts.first : null;
  const second = q.second && end ? secondWindow(end, days) : null;
  const window = second?.out ?? plantingWindow(q, frosts.last);
  const band = (what: DateKind, from: Day, to: Day, done?: Day | null): Band => ({
    what,
    from,
    to,
    ...(done ? { done } : {}),
  });
  const [raisedLeast, raisedMost] = second ? SECOND_RAISED : RAISED_DAYS[crop];
  const sown = q.sownOn ?? null;
  const planted = q.plantedOn ?? null;
  const [out, outTo] = planted
    ? [planted, planted]
    : whenRaised(window, sown && addDays(sown, raisedLeast), second !== null);
  const bands: Band[] = [
    band('sow', sown ?? addDays(window[0], -raisedMost), sown ?? addDays(window[0], -raisedLeast), sown),
    band(
      'pot-on',
      addDays(sown ?? addDays(window[0], -raisedMost), POT_ON_DAYS[0]),
      addDays(sown ?? addDays(window[0], -raisedLeast), POT_ON_DAYS[1]),
    ),
    band('harden', addDays(out, -HARDEN_DAYS[1]), addDays(out, -1)),
    band('plant-out', out, outTo, planted),
    band('mulch', addDays(out, MULCH_DAYS[0]), addDays(outTo, MULCH_DAYS[1])),
  ];
  const first = firstFruit(q, days, out, outTo);
  const picked = q.pickedOn ?? null;
  bands.push(band('first-fruit', picked ?? first.from, picked ?? first.to, picked));
  if (frosts.last && q.mode === 'warm')
    bands.push(band('last-frost', addDays(frosts.last, -FROST_SCATTER), addDays(frosts.last, FROST_SCATTER)));
  if (end) {
    bands.push(band('first-frost', addDays(end, -FROST_SCATTER), addDays(end, FROST_SCATTER)));
    const lastPlanting = addDays(end, -(days + BEFORE_FROST_DAYS));
    if (lastPlanting >= out && !second) bands.push(band('last-planting', addDays(lastPlanting, -7), lastPlanting));
    bands.push(band('last-feed', addDays(end, -LAST_FEED_BEFORE[0]), addDays(end, -LAST_FEED_BEFORE[1])));
    if (crop === 'tomato') {
      if (q.kind.habit === 'indeterminate' || !q.kind.habit)
        bands.push(band('top', addDays(end, -TOP_BAND[0]), addDays(end, -TOP_BAND[1])));
      const by = secondSowing(end, q.kind.habit === 'determinate' && sure ? days : SECOND_CROP_DAYS);
      // sown while the first crop is still raised it would be no second one
      if (by > addDays(outTo, RAISED_DAYS.tomato[0])) bands.push(band('second-sowing', addDays(by, -10), by));
    }
  }
  const fits = end ? daysBetween(out, end) - BEFORE_FROST_DAYS : Infinity;
  return {
    bands: bands.sort((a, b) => (a.from === b.from ? 0 : a.from < b.from ? -1 : 1)),
    tooLong: days > fits ? { fits } : null,
    by: first.by,
  };
}

/** Latest sowing of a second crop of a bush kind: raised in a month, its days, and two weeks before frost. */
export const secondSowing = (firstFrost: Day, days: number): Day =>
  addDays(firstFrost, -(days + BEFORE_FROST_DAYS + SECOND_RAISED_DAYS));

/** So long one may wait with the sowing of a second crop, days before its last day. */
const SECOND_BAND_DAYS = 10;
const SECOND_RAISED = [SECOND_RAISED_DAYS, SECOND_RAISED_DAYS] as const;
/** A second crop is set out as soon as it is raised, so that it ripens two weeks before frost. */
function secondWindow(firstFrost: Day, days: number): { out: readonly [Day, Day] } {
  const last = addDays(secondSowing(firstFrost, days), SECOND_RAISED_DAYS);
  return { out: [addDays(last, -SECOND_BAND_DAYS), last] };
}

/** Seedlings go out no sooner than they are raised; those of a second crop as soon as they are. */
function whenRaised(window: readonly [Day, Day], raised: Day | null, second: boolean): readonly [Day, Day] {
  if (raised === null) return window;
  const from = second || raised > window[0] ? raised : window[0];
  const aWeekOn = addDays(from, 7);
  return [from, aWeekOn > window[1] ? aWeekOn : window[1]];
}

/** When one may expect to plant out. */
function plantingWindow(q: DatesQuestion, lastFrost: Day | null): readonly [Day, Day] {
  if (lastFrost && q.mode === 'warm') {
    const [least, most] = AFTER_FROST_DAYS[q.kind.crop];
    return [addDays(lastFrost, least), addDays(lastFrost, most)];
  }
  const [from, to] = FROST_FREE_PLANTING[q.mode].map((md) =>
    inSeason(q.season, q.garden.latitude < 0 ? opposite(md) : md),
  );
  return [from!, to! < from! ? addDays(to!, 365) : to!];
}

const opposite = (monthDay: string): string => {
  const month = ((Number(monthDay.slice(0, 2)) - 1 + HALF_YEAR_MONTHS) % 12) + 1;
  return `${String(month).padStart(2, '0')}${monthDay.slice(2)}`;
};
const inSeason = (season: GrowingYear, monthDay: string): Day => {
  const day = `${season.year}-${monthDay}`;
  return day >= season.from ? day : `${season.year + 1}-${monthDay}`;
};

/**
 * The first ripe fruit. Before it is set out: by the packet's days. After: what warmth it has had by now counts, and the rest comes at the rate of
 * the newest two weeks (with what is foreseen); what is uncertain shrinks as the day nears.
 */
function firstFruit(
  q: DatesQuestion,
  days: number,
  out: Day,
  outTo: Day,
): { from: Day; to: Day; by: 'days' | 'degree-days' } {
  const margin = Math.round(days * MATURITY_SHARE);
  const had = q.plantedOn && q.weather ? warmthSince(q.weather, out, q.today) : null;
  if (had === null) return { from: addDays(out, days - margin), to: addDays(outTo, days + margin), by: 'days' };
  const needed = days * USUAL_DEGREE_DAYS;
  const left = needed - had.sum;
  if (left <= 0) {
    const on = had.reached(needed);
    return { from: on, to: on, by: 'degree-days' };
  }
  const more = left / had.rate;
  const spread = Math.max(3, more * MATURITY_SHARE + 2);
  return {
    from: addDays(q.today, Math.max(1, Math.round(more - spread))),
    to: addDays(q.today, Math.round(more + spread)),
    by: 'degree-days',
  };
}

function warmthSince(
  weather: readonly WeatherDay[],
  from: Day,
  today: Day,
): { sum: number; rate: number; reached: (needed: number) => Day } | null {
  const until = from > today ? from : today;
  const sum = degreeDaySum(weather, from, until);
  if (sum === null) return null;
  const near = weather.filter((w) => w.date > addDays(today, -RATE_DAYS));
  const rate = near.reduce((t, w) => t + degreeDays(w), 0) / Math.max(1, near.length);
  return {
    sum,
    // neither does a cold week stop it for good, nor a hot one outrun the usual by much
    rate: Math.min(USUAL_DEGREE_DAYS * 1.4, Math.max(LEAST_RATE, rate)),
    reached: (needed) => {
      let so = 0;
      for (const w of [...weather].sort((a, b) => (a.date < b.date ? -1 : 1))) {
        if (w.date < from) continue;
        so += degreeDays(w);
        if (so >= needed) return w.date;
      }
      return today;
    },
  };
}
