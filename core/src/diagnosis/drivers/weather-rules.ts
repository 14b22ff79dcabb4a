import { CHILL_NIGHT_C, COLD_NIGHT_C, HOT_DAY_C, STRONG_WIND_MS, WARM_NIGHT_C } from '../../climate/limits.js';
import type { WeatherDay } from '../../climate/gaps.js';
import { nightLowC } from '../../climate/hours.js';
import { warmthNote } from '../../climate/weather-in-place.js';
import { coverOf, isEnclosed, isRainless } from '../../records/place.js';
import { plantedBeforeLastFrost } from '../../season/frost-days.js';
import { daysBetween } from '../../units/day.js';
import { spellOn } from '../../records/spells.js';
import type { CaseContext } from '../context.js';
import { graded, nearness, overLimit, reachOf, scored, sumOf, underLimit } from './curves.js';
import { ABSENT, type Because, found, type RuleParams, unknown, type Verdict } from './verdict.js';
import { first, last } from '../../units/lists.js';

// Rules that read the weather where the plant grows. Temperatures: common practice; each problem may shift them.

const NO_WEATHER = 'the temperatures of these weeks';
/** °C below a limit at which a day or night stops counting. */
const SOFT_DAY_C = 2;
const SOFT_NIGHT_C = 1.5;

interface Counted {
  within: number;
  from: number;
  /** number at strength one half */
  half: number;
  score: (w: WeatherDay) => number;
  textOf: (w: WeatherDay) => string;
  sum: (hits: readonly WeatherDay[]) => string;
}

/** Counts days by how far beyond the limit and how near in time they are; no weather in the window: unknown. */
function counted(ctx: CaseContext, { within, from, half, score, textOf, sum }: Counted): Verdict {
  const span = { from, to: within - 1 };
  const { first, last } = reachOf(span, ctx.case.asOf);
  const window = ctx.own.filter((w) => w.date >= first && w.date <= last);
  if (window.length === 0) return unknown(NO_WEATHER);
  const hits = scored(window, (w) => score(w) * nearness(daysBetween(w.date, ctx.case.asOf), span));
  const named = hits.filter((x) => x.score >= 0.4).map((x) => x.it);
  if (named.length === 0) return ABSENT;
  return found(
    graded(sumOf(hits), half, Math.max(half + 2, 2 * half)),
    named.map((w): Because => ({ record: 'weather', date: w.date, text: textOf(w) })),
    sum(named) + warmthNote(ctx.case.place),
  );
}

/**
 * Degrees by which leaves and fruit stay cooler at noon for each percent of light that a cloth takes: about 3 °C under
 * the usual 30 % (extension guides on shading peppers and tomatoes, from memory).
 */
const COOLER_PER_PCT_C = 0.1;
const shadeCoolsC = (ctx: CaseContext, { date }: WeatherDay): number =>
  COOLER_PER_PCT_C * (spellOn(ctx.case.place.shade, date)?.blockPct ?? 0);

/**
 * Returns whether recent days were too hot for fruit set, by default 3 days of 32 °C within 10 days; under shade cloth
 * it takes hotter ones.
 */
export const hotDays = (ctx: CaseContext, { atC = HOT_DAY_C, days = 3, within = 10, from = 0 }: RuleParams): Verdict =>
  counted(ctx, {
    within,
    from,
    half: days,
    score: (w) => overLimit(w.tMaxC - shadeCoolsC(ctx, w), atC, SOFT_DAY_C),
    textOf: (w) => `${ctx.format.temperature(w.tMaxC)} on ${ctx.format.day(w.date)}`,
    sum: (hits) =>
      `${ctx.format.temperature(Math.floor(Math.min(...hits.map((w) => w.tMaxC))))} or more on ${ctx.format.days(hits.map((w) => w.date))}, up to ${ctx.format.temperature(Math.max(...hits.map((w) => w.tMaxC)))}`,
  });

/** Returns whether recent nights were too warm for fruit set; the limit depends on the crop, °C. */
export const warmNights = (ctx: CaseContext, { atC, days = 3, within = 10, from = 0 }: RuleParams): Verdict => {
  const limit = atC ?? WARM_NIGHT_C[ctx.case.plant.crop];
  return counted(ctx, {
    within,
    from,
    half: days,
    score: (w) => overLimit(nightLowC(w), limit, SOFT_NIGHT_C),
    textOf: (w) => `night at ${ctx.format.temperature(nightLowC(w))}, ${ctx.format.day(w.date)}`,
    sum: (hits) =>
      `nights of ${ctx.format.temperature(Math.min(...hits.map((w) => nightLowC(w))))} or more on ${ctx.format.days(hits.map((w) => w.date))}`,
  });
};

/** Returns whether recent nights were too cold for fruit set; the limit depends on the crop, °C. */
export const coldNights = (ctx: CaseContext, { atC, days = 3, within = 14, from = 0 }: RuleParams): Verdict => {
  const limit = atC ?? COLD_NIGHT_C[ctx.case.plant.crop];
  return counted(ctx, {
    within,
    from,
    half: days,
    score: (w) => underLimit(nightLowC(w), limit, SOFT_NIGHT_C),
    textOf: (w) => `night at ${ctx.format.temperature(nightLowC(w))}, ${ctx.format.day(w.date)}`,
    sum: (hits) =>
      `${hits.length === 1 ? 'a night' : `${hits.length} nights`} down to ${ctx.format.temperature(Math.min(...hits.map((w) => nightLowC(w))))}, the last on ${ctx.format.day(last(hits).date)}`,
  });
};

/** A day this dull feeds no flowers, MJ/m² (judgement). */
const DULL_MJ = 10;

/**
 * Strength of "indoors" as evidence of little light when not measured: usually the window is too small, sometimes
 * there is a lamp (judgement).
 */
const ROOM_LIGHT = 0.6;

/** Fewer hours of sun a day count as shade: tomatoes and peppers are grown for six to eight (common practice). */
const FEW_SUN_HOURS = 6;

/** Returns whether light was too low: dull days (MJ/m²), shade over the plant, or few hours of sun. */
export function lowLight(ctx: CaseContext, { days = 5, within = 14 }: RuleParams): Verdict {
  const measured = ctx.weather(within).filter((w) => w.solarMj != null);
  const dark = scored(measured, (w) => underLimit(w.solarMj!, DULL_MJ, 4));
  const shade = spellOn(ctx.case.place.shade, ctx.case.asOf);
  const because = dark
    .filter((x) => x.score >= 0.4)
    .map(({ it }): Because => ({ record: 'weather', date: it.date, text: `a dull day on ${ctx.format.day(it.date)}` }));
  const shaded = shade ? graded(shade.blockPct, 50, 90) : 0;
  if (shade && shade.blockPct >= 35)
    because.push({ record: 'place', date: shade.from, text: `shade that takes ${shade.blockPct} % of the light` });
  const inRoom = coverOf(ctx.case.place) === 'indoors';
  if (inRoom)
    because.push({
      record: 'place',
      date: ctx.case.asOf,
      text: 'it is indoors, where a window lets in a fraction of the daylight',
    });
  const { sunHours } = ctx.case.place;
  const short = sunHours != null ? graded(FEW_SUN_HOURS / Math.max(0.5, sunHours), 1, 3) : 0;
  if (sunHours != null && short >= 0.4)
    because.push({
      record: 'place',
      date: ctx.case.asOf,
      text: `${sunHours} hours of sun a day; fruit wants ${FEW_SUN_HOURS} or more`,
    });
  const strength = Math.max(graded(sumOf(dark), days, 2 * days), shaded, short, inRoom ? ROOM_LIGHT : 0);
  return because.length > 0 ? found(strength, because) : ABSENT;
}

/** Returns whether wind or hail may have damaged it within the window, days. */
export function windOrHail(ctx: CaseContext, { within = 14 }: RuleParams): Verdict {
  const span = { from: 0, to: 4 };
  const near = (date: string): number => Math.max(0.3, nearness(daysBetween(date, ctx.case.asOf), span));
  const events = ctx
    .recent(ctx.case.records.events, within)
    .filter((e) => e.what === 'hail' || e.what === 'strong-wind');
  const windy = scored(ctx.weather(within), (w) => overLimit(w.windMs ?? 0, STRONG_WIND_MS, 2));
  const because = [
    ...events.map((e): Because => ({
      record: 'event',
      date: e.date,
      text: `${e.what === 'hail' ? 'hail' : 'strong wind'} on ${ctx.format.day(e.date)}`,
    })),
    ...windy.map(({ it }): Because => ({
      record: 'weather',
      date: it.date,
      text: `wind of ${ctx.format.windSpeed(it.windMs ?? 0)} on ${ctx.format.day(it.date)}`,
    })),
  ];
  const much =
    events.reduce((sum, e) => sum + 1.6 * near(e.date), 0) +
    windy.reduce((sum, x) => sum + x.score * near(x.it.date), 0);
  return because.length > 0 ? found(graded(much, 1, 3), because) : ABSENT;
}

/** Returns whether leaves were often wet within the window: rain, dew or watering from above. */
export function wetFoliage(ctx: CaseContext, { within = 14, days = 5 }: RuleParams): Verdict {
  const overhead = ctx.recent(ctx.case.records.watering, within).filter((w) => w.how === 'overhead');
  const weather = ctx.weather(within);
  const rain = weather.filter((w) => w.rainMm >= 1);
  const longWet = weather.filter((w) => (w.wetHours ?? 0) > 8);
  const because: Because[] = [
    ...overhead.map((w): Because => ({
      record: 'watering',
      date: w.date,
      text: `watered over the leaves on ${ctx.format.day(w.date)}`,
    })),
    ...(rain.length > 0
      ? [
          {
            record: 'weather',
            date: last(rain).date,
            text: `rain on ${rain.length} of the last ${within} days`,
          } as Because,
        ]
      : []),
    ...(longWet.length > 0
      ? [
          {
            record: 'weather',
            date: last(longWet).date,
            text: `leaves wet over 8 hours on ${ctx.format.days(longWet.map((w) => w.date))}`,
          } as Because,
        ]
      : []),
  ];
  if (because.length > 0)
    return found(graded(rain.length / days + overhead.length / 2 + longWet.length / 3, 1, 2.5), because);
  return weather.length === 0 ? unknown('the rain of the last two weeks') : ABSENT;
}

/** Returns whether the air around it is humid and still: measured humidity under cover, or crowding. */
export function humidStillAir(ctx: CaseContext, { within = 14, pct = 85 }: RuleParams): Verdict {
  const enclosed = isEnclosed(ctx.case.place);
  const measured = ctx.weather(within).filter((w) => w.rhMeanPct != null);
  const damp = enclosed ? scored(measured, (w) => overLimit(w.rhMeanPct!, pct, 5)) : [];
  const because: Because[] = [];
  const named = damp.filter((x) => x.score >= 0.4);
  if (named.length > 0)
    because.push({
      record: 'weather',
      date: last(named).it.date,
      text: `humidity of about ${pct} % or more on ${named.length} days under cover`,
    });
  const dense = ctx.present.has('plant-dense') ? 0.6 : 0;
  if (dense > 0) because.push({ record: 'sign', date: ctx.case.asOf, text: 'too bushy for air to move' });
  if (because.length > 0) return found(Math.max(dense, graded(sumOf(damp), 3, 8)), because);
  return enclosed && measured.length === 0 ? unknown('how humid it is under the cover') : ABSENT;
}

/** Returns whether it was planted out before the last frost, or into cold nights. */
export function plantedTooEarly(ctx: CaseContext): Verdict {
  const { plant, garden, place } = ctx.case;
  const planted = plant.transplantedOn;
  if (!planted) return unknown('the planting-out date');
  if (isRainless(place) && coverOf(place) === 'indoors') return ABSENT;
  const week = ctx.own.filter((w) => w.date >= planted && daysBetween(planted, w.date) < 14);
  const cold = scored(week, (w) => underLimit(w.tMinC, CHILL_NIGHT_C, SOFT_NIGHT_C));
  const because: Because[] = [];
  if (plantedBeforeLastFrost(garden, planted) && !isEnclosed(place))
    because.push({
      record: 'plant',
      date: planted,
      text: `planted out on ${ctx.format.day(planted)}, before the usual last frost`,
    });
  const nights = cold.filter((x) => x.score >= 0.4);
  if (nights.length > 0)
    because.push({
      record: 'weather',
      date: first(nights).it.date,
      text: `${nights.length} nights of about ${ctx.format.temperature(CHILL_NIGHT_C)} or colder in the two weeks after planting out`,
    });
  if (because.length === 0) return week.length === 0 && ctx.own.length === 0 ? unknown(NO_WEATHER) : ABSENT;
  return found(Math.max(first(because).record === 'plant' ? 0.6 : 0, graded(sumOf(cold), 3, 7)), because);
}
