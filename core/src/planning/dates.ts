import { daysToMaturityOf } from '../varieties/variety.js';
import { type WeatherDay } from '../climate/gaps.js';
import { degreeDays, degreeDaySum, USUAL_DEGREE_DAYS } from '../climate/degree-days.js';
import type { Crop, GrowthHabit, PlantType } from '../records/plant.js';
import { frostFreeSeason, type FrostFreeSeason } from '../season/frost-free.js';
import { type FlowerQuestion, lastPlantingOut, lastUsefulFlower } from '../season/last-flower.js';
import { AFTER_FROST_DAYS, frostsOf, type GrowingYear, type SeasonMode, TROPICS } from '../season/growing-year.js';
import { addDays, type Day, daysBetween } from '../units/day.js';

// The dates of a year for one garden and variety, each as a band as wide as its uncertainty.

/** Code of a step in a season's plan. */
export type DateKind =
  | 'sow'
  | 'pot-on'
  | 'last-frost'
  | 'harden'
  | 'plant-out'
  | 'mulch'
  | 'first-fruit'
  | 'last-planting'
  | 'second-sowing'
  | 'last-feed'
  | 'top'
  | 'first-frost';

/** What a date is counted from. */
type CountedFrom =
  | 'frost-days'
  | 'last-frost'
  | 'first-frost'
  | 'season'
  | 'planting-out'
  | 'sowing'
  | 'warmth'
  | 'last-flower'
  | 'autumn-warmth';

/** How a band was computed. */
export interface Counted {
  from: CountedFrom;
  /** earliest and latest start date; null for a part of the year */
  on: readonly [Day, Day] | null;
  /** days to add (negative: before), least and most */
  days: readonly [number, number];
  /** for ripeness by warmth, °C·d: needed, had so far, and added per day recently */
  warmth?: { needed: number; had: number; aDay: number };
  /** where no frost falls: what the time of year keeps clear of */
  frostFree?: FrostFreeSeason;
}

/** A step of the season with its first and last good day, and how they were counted. */
export interface Band {
  what: DateKind;
  from: Day;
  to: Day;
  of: Counted;
  /** date it was done, if recorded */
  done?: Day;
}

/** What the dates of a season are computed from. */
export interface DatesQuestion {
  garden: {
    latitude: number;
    longitude?: number | null;
    elevationM?: number | null;
    lastFrost?: string | null;
    firstFrost?: string | null;
  };
  mode: SeasonMode;
  season: GrowingYear;
  today: Day;
  variety: { crop: Crop; type?: PlantType | null; habit?: GrowthHabit | null; daysToMaturity?: number | null };
  /** date it was planted out, if recorded */
  plantedOn?: Day | null;
  sownOn?: Day | null;
  /** sown in summer after, or beside, a first crop */
  second?: boolean;
  /** date the first ripe fruit was picked */
  pickedOn?: Day | null;
  /** measured and forecast, where it grows */
  weather?: readonly WeatherDay[];
  /** how far its plants are by the growth model, 1 at the first ripe fruit; by the warmth alone if left out */
  progress?: number | null;
}

/** The dates of one planting's season. */
export interface YearDates {
  bands: Band[];
  /** it can't ripen before the first frost: the longest days to maturity that would fit; null if it fits */
  tooLong: { fits: number } | null;
  /** how first fruit was estimated */
  by: 'days' | 'degree-days';
}

/** Days under cover before planting out (common practice: 6 to 8 weeks, peppers 8 to 10). */
const RAISED_DAYS: Record<Crop, readonly [number, number]> = { tomato: [42, 56], pepper: [56, 70] };
/** Days from sowing to the first larger pot: at the first true leaves (common practice). */
const POT_ON_DAYS = [21, 28] as const;
/** Common practice: 7 to 14 days. */
const HARDEN_DAYS = [7, 14] as const;
/** Days from planting out until mulching: when the soil is warm and the plant 30 cm tall (judgement). */
const MULCH_DAYS = [14, 28] as const;
/**
 * Year-to-year scatter of frost dates, days either side (common practice: the 10 and 90 % dates are about two weeks
 * apart).
 */
const FROST_SCATTER = 10;
/** A packet's days are right to about a tenth (judgement). */
const MATURITY_SHARE = 0.1;
/** Days added so fruit ripens before frost (common practice). */
const BEFORE_FROST_DAYS = 14;
/** Days to raise a second crop: quick, in warm weather (judgement). */
const SECOND_RAISED_DAYS = 30;
/** Days before frost of the last nitrogen feed: with topping, or a little before (common practice). */
const LAST_FEED_BEFORE = [70, 45] as const;
/** Days either side of the topping date: summers differ (judgement). */
const TOP_SCATTER = [-7, 7] as const;
/** Days to maturity of a fast bush variety for a second crop, if the variety itself is no bush. */
export const SECOND_CROP_DAYS = 65;

const LEAST_RATE = 2;
const RATE_DAYS = 14;

/** Planting-out season without a known frost date (judgement), month-days north of the equator. */
const FROST_FREE_PLANTING: Record<SeasonMode, readonly [string, string]> = {
  warm: ['02-15', '04-15'],
  'mild-winter': ['09-15', '11-15'],
};
const HALF_YEAR_MONTHS = 6;

/** Returns the dates of a planting's season, from sowing to the last harvest. Days: garden days. */
export function yearDates(q: DatesQuestion): YearDates {
  const { crop } = q.variety;
  const { days: usual, sure } = daysToMaturityOf(q.variety);
  // a second crop uses a fast bush variety unless its packet says otherwise
  const days = q.second && !sure ? SECOND_CROP_DAYS : usual;
  const frosts = frostsOf(q.garden, q.season);
  // in the mild winter frost is occasional, not the end of the season
  const end = q.mode === 'warm' ? frosts.first : null;
  const autumn: FlowerQuestion = {
    ...q.garden,
    firstFrost: end,
    today: end ?? q.season.to,
    recorded: (q.weather ?? []).filter((w) => w.date <= q.today),
  };
  const first = plantingWindow(q, frosts.last);
  // plants that must go out with the first crop are no second one
  const lastOut = q.second ? lastPlantingOut(autumn, days) : null;
  const follows = lastOut !== null && lastOut > addDays(first[1], SECOND_RAISED_DAYS) ? lastOut : null;
  const second = q.second && end ? secondWindow(follows, end, days) : null;
  const window = second?.out ?? first;
  /** Returns a band some days after its start dates, earliest and latest; the recorded day if it was done. */
  const band = (what: DateKind, of: Counted & { on: readonly [Day, Day] }, done?: Day | null): Band => ({
    what,
    from: done ?? addDays(of.on[0], of.days[0]),
    to: done ?? addDays(of.on[1], of.days[1]),
    of,
    ...(done ? { done } : {}),
  });
  const both = (day: Day): readonly [Day, Day] => [day, day];
  const [raisedLeast, raisedMost] = second ? SECOND_RAISED : RAISED_DAYS[crop];
  const sown = q.sownOn ?? null;
  const planted = q.plantedOn ?? null;
  const [out, outTo] = planted
    ? [planted, planted]
    : whenRaised(window, sown && addDays(sown, raisedLeast), second !== null);
  const sow = band('sow', { from: 'planting-out', on: both(window[0]), days: [-raisedMost, -raisedLeast] }, sown);
  const ripe = firstFruit(q, days, out, outTo);
  const bands: Band[] = [
    sow,
    band('pot-on', { from: 'sowing', on: [sow.from, sow.to], days: POT_ON_DAYS }),
    band('harden', { from: 'planting-out', on: both(out), days: [-HARDEN_DAYS[1], -1] }),
    {
      what: 'plant-out',
      from: out,
      to: outTo,
      of:
        sown && (second || out > window[0])
          ? { from: 'sowing', on: both(sown), days: [raisedLeast, daysBetween(sown, outTo)] }
          : outFrom(q, frosts.last, second !== null, window),
      ...(planted ? { done: planted } : {}),
    },
    band('mulch', { from: 'planting-out', on: [out, outTo], days: MULCH_DAYS }),
    band('first-fruit', ripe, q.pickedOn),
  ];
  const scatter = [-FROST_SCATTER, FROST_SCATTER] as const;
  if (frosts.last && q.mode === 'warm')
    bands.push(band('last-frost', { from: 'frost-days', on: both(frosts.last), days: scatter }));
  if (end) {
    const before = (what: DateKind, most: number, least: number): Band =>
      band(what, { from: 'first-frost', on: both(end), days: [-most, -least] });
    bands.push(band('first-frost', { from: 'frost-days', on: both(end), days: scatter }));
    const least = days + BEFORE_FROST_DAYS;
    if (addDays(end, -least) >= out && !second) bands.push(before('last-planting', least + 7, least));
    bands.push(before('last-feed', ...LAST_FEED_BEFORE));
    if (crop === 'tomato') {
      const flower = lastUsefulFlower(autumn);
      if (flower && (q.variety.habit === 'indeterminate' || !q.variety.habit))
        bands.push(band('top', { from: 'last-flower', on: both(flower), days: TOP_SCATTER }));
      const by = secondSowing(autumn, q.variety.habit === 'determinate' && sure ? days : SECOND_CROP_DAYS);
      // sown while the first crop is still raised it would not be a second one
      if (by && by > addDays(outTo, RAISED_DAYS.tomato[0]))
        bands.push(band('second-sowing', { from: 'autumn-warmth', on: both(by), days: [-SECOND_BAND_DAYS, 0] }));
    }
  }
  const fits = second && !second.ripens ? 0 : end ? daysBetween(out, end) - BEFORE_FROST_DAYS : Infinity;
  return {
    bands: bands.sort((a, b) => (a.from === b.from ? 0 : a.from < b.from ? -1 : 1)),
    tooLong: days > fits ? { fits } : null,
    by: ripe.from === 'warmth' ? 'degree-days' : 'days',
  };
}

/**
 * Returns whether seed sown on a day would come too late to ripen before frost, and the last day on which bought plants
 * still would; null while there is time, or where there is no frost.
 */
export function tooLateToSow(bands: readonly Band[], day: Day): { buyBy: Day | null } | null {
  const [sow, last] = (['sow', 'last-planting'] as const).map((what) => bands.find((b) => b.what === what));
  if (!sow || !last || day <= sow.to) return null;
  // a sowing band is counted back from planting out by the days it takes to raise
  const raisedDays = -sow.of.days[1];
  if (addDays(day, raisedDays) <= last.to) return null;
  return { buyBy: day <= last.to ? last.to : null };
}

/**
 * Returns the latest sowing of a second bush crop: a month to raise, then its days to maturity in the warmth that autumn
 * still has. Null where that does not fit into a year.
 */
export function secondSowing(autumn: FlowerQuestion, days: number): Day | null {
  const out = lastPlantingOut(autumn, days);
  return out && addDays(out, -SECOND_RAISED_DAYS);
}

/** Days before its last sowing day that a second crop may be sown. */
const SECOND_BAND_DAYS = 10;
const SECOND_RAISED = [SECOND_RAISED_DAYS, SECOND_RAISED_DAYS] as const;
/** Returns when to plant out a second crop: as soon as raised, so it ripens before the cold; where it can't, by the days alone. */
function secondWindow(
  byWarmth: Day | null,
  firstFrost: Day,
  days: number,
): { out: readonly [Day, Day]; ripens: boolean } {
  const last = byWarmth ?? addDays(firstFrost, -(days + BEFORE_FROST_DAYS));
  return { out: [addDays(last, -SECOND_BAND_DAYS), last], ripens: byWarmth !== null };
}

/** Seedlings go out no earlier than they are raised; those of a second crop as soon as they are. */
function whenRaised(window: readonly [Day, Day], raised: Day | null, second: boolean): readonly [Day, Day] {
  if (raised === null) return window;
  const from = second || raised > window[0] ? raised : window[0];
  const aWeekOn = addDays(from, 7);
  return [from, aWeekOn > window[1] ? aWeekOn : window[1]];
}

/** Returns what the planting-out window is counted from; a second crop is counted back by the warmth of autumn. */
function outFrom(q: DatesQuestion, lastFrost: Day | null, second: boolean, window: readonly [Day, Day]): Counted {
  if (second)
    return { from: 'autumn-warmth', on: [window[1], window[1]], days: [daysBetween(window[1], window[0]), 0] };
  if (lastFrost && q.mode === 'warm')
    return { from: 'last-frost', on: [lastFrost, lastFrost], days: AFTER_FROST_DAYS[q.variety.crop] };
  const frostFree = withoutFrost(q);
  return { from: 'season', on: null, days: [0, 0], ...(frostFree ? { frostFree } : {}) };
}

/** The planting time of a garden in the tropics without frost; null elsewhere, where the frost may only be unknown. */
const withoutFrost = (q: DatesQuestion): FrostFreeSeason | null =>
  Math.abs(q.garden.latitude) >= TROPICS || q.mode !== 'warm'
    ? null
    : frostFreeSeason(
        q.garden,
        (q.weather ?? []).filter((w) => w.date <= q.today),
      );

/** Returns when to expect planting out. */
function plantingWindow(q: DatesQuestion, lastFrost: Day | null): readonly [Day, Day] {
  if (lastFrost && q.mode === 'warm') {
    const [least, most] = AFTER_FROST_DAYS[q.variety.crop];
    return [addDays(lastFrost, least), addDays(lastFrost, most)];
  }
  const own = withoutFrost(q)?.window;
  const [from, to] = (own ?? FROST_FREE_PLANTING[q.mode]).map((md) =>
    inSeason(q.season, q.garden.latitude < 0 && !own ? opposite(md) : md),
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
 * Returns the first ripe fruit. Before planting out: by the packet's days. After: by the warmth so far, then at the
 * rate of the last two weeks (and the forecast); the uncertainty shrinks as the day nears.
 */
function firstFruit(q: DatesQuestion, days: number, out: Day, outTo: Day): Counted & { on: readonly [Day, Day] } {
  const margin = Math.round(days * MATURITY_SHARE);
  const had = q.plantedOn && q.weather ? warmthSince(q.weather, out, q.today) : null;
  if (had === null) return { from: 'planting-out', on: [out, outTo], days: [days - margin, days + margin] };
  const needed = days * USUAL_DEGREE_DAYS;
  // what was seen of the plants counts more than the warmth they had
  const sum = q.progress == null ? had.sum : q.progress * needed;
  const left = needed - sum;
  const warmth = { needed, had: sum, aDay: had.rate };
  if (left <= 0) {
    const on = q.progress == null ? had.reached(needed) : addDays(q.today, -Math.round(-left / had.rate));
    return { from: 'warmth', on: [on, on], days: [0, 0], warmth };
  }
  const more = left / had.rate;
  const spread = Math.max(3, more * MATURITY_SHARE + 2);
  const ahead = [Math.max(1, Math.round(more - spread)), Math.round(more + spread)] as const;
  return { from: 'warmth', on: [q.today, q.today], days: ahead, warmth };
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
    // a cold week does not stop it for good, nor does a hot one far outrun the usual
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
