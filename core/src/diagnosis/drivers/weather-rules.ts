import { CHILL_NIGHT_C, COLD_NIGHT_C, HOT_DAY_C, STRONG_WIND_MS, WARM_NIGHT_C } from '../../climate/limits.js';
import { isCovered } from '../../records/place.js';
import type { WeatherRecord } from '../../records/record-classes.js';
import { daysBetween } from '../../units/day.js';
import { spellOn } from '../../water/season.js';
import type { CaseContext } from '../context.js';
import { ABSENT, type Because, found, type RuleParams, unknown, type Verdict } from './verdict.js';

/** Rules that read the weather. Temperatures: handbook ("Heat and cold"); each disorder may move them. */

const NO_WEATHER = 'the warmth of these weeks';

/** Enough hits in the window: found, with each hit as a reason; no weather at all: unknown. */
function counted(
  ctx: CaseContext,
  within: number,
  least: number,
  hit: (w: WeatherRecord) => boolean,
  textOf: (w: WeatherRecord) => string,
  sum: (hits: readonly WeatherRecord[]) => string,
): Verdict {
  const window = ctx.weather(within);
  if (window.length === 0) return unknown(NO_WEATHER);
  const hits = window.filter(hit);
  if (hits.length < least) return ABSENT;
  return found(
    hits.length / Math.max(4, 2 * least),
    hits.map((w): Because => ({ record: 'weather', date: w.date, text: textOf(w) })),
    sum(hits),
  );
}

export const hotDays = (ctx: CaseContext, { atC = HOT_DAY_C, days = 3, within = 10 }: RuleParams): Verdict =>
  counted(
    ctx,
    within,
    days,
    (w) => w.tMaxC >= atC,
    (w) => `${ctx.format.temperature(w.tMaxC)} on ${ctx.format.day(w.date)}`,
    (hits) =>
      `${ctx.format.temperature(atC)} or more on ${ctx.format.days(hits.map((w) => w.date))}, up to ${ctx.format.temperature(Math.max(...hits.map((w) => w.tMaxC)))}`,
  );

export const warmNights = (ctx: CaseContext, { atC, days = 3, within = 10 }: RuleParams): Verdict => {
  const limit = atC ?? WARM_NIGHT_C[ctx.case.plant.crop];
  return counted(
    ctx,
    within,
    days,
    (w) => w.tMinC > limit,
    (w) => `night at ${ctx.format.temperature(w.tMinC)}, ${ctx.format.day(w.date)}`,
    (hits) => `nights over ${ctx.format.temperature(limit)} on ${ctx.format.days(hits.map((w) => w.date))}`,
  );
};

export const coldNights = (ctx: CaseContext, { atC, days = 3, within = 14 }: RuleParams): Verdict => {
  const limit = atC ?? COLD_NIGHT_C[ctx.case.plant.crop];
  return counted(
    ctx,
    within,
    days,
    (w) => w.tMinC < limit,
    (w) => `night at ${ctx.format.temperature(w.tMinC)}, ${ctx.format.day(w.date)}`,
    (hits) =>
      `${hits.length} nights under ${ctx.format.temperature(limit)}, the last on ${ctx.format.day(hits.at(-1)!.date)}`,
  );
};

export function lowLight(ctx: CaseContext, { days = 5, within = 14 }: RuleParams): Verdict {
  const dark = ctx.weather(within).filter((w) => w.solarMj != null && w.solarMj < 10);
  const shade = spellOn(ctx.case.place.shade, ctx.case.asOf);
  const because = dark.map((w): Because => ({
    record: 'weather',
    date: w.date,
    text: `a dull day, ${ctx.format.day(w.date)}`,
  }));
  if (shade && shade.blockPct >= 50)
    because.push({ record: 'place', date: shade.from, text: `shade that takes ${shade.blockPct} % of the light` });
  else if (dark.length < days) return ctx.case.place.kind === 'indoors' ? unknown('how much light it gets') : ABSENT;
  return found(0.4 + dark.length / 20, because);
}

export function windOrHail(ctx: CaseContext, { within = 14 }: RuleParams): Verdict {
  const because = [
    ...ctx
      .recent(ctx.case.records.events, within)
      .filter((e) => e.what === 'hail' || e.what === 'strong-wind')
      .map((e): Because => ({
        record: 'event',
        date: e.date,
        text: `${e.what === 'hail' ? 'hail' : 'strong wind'} on ${ctx.format.day(e.date)}`,
      })),
    ...ctx
      .weather(within)
      .filter((w) => (w.windMs ?? 0) >= STRONG_WIND_MS)
      .map((w): Because => ({
        record: 'weather',
        date: w.date,
        text: `wind of ${ctx.format.windSpeed(w.windMs ?? 0)}`,
      })),
  ];
  return because.length > 0 ? found(0.4 + 0.2 * because.length, because) : ABSENT;
}

export function wetFoliage(ctx: CaseContext, { within = 14, days = 5 }: RuleParams): Verdict {
  const overhead = ctx.recent(ctx.case.records.watering, within).filter((w) => w.how === 'overhead');
  const open = !isCovered(ctx.case.place.kind);
  const rain = open ? ctx.weather(within).filter((w) => w.rainMm >= 1) : [];
  const longWet = ctx.weather(within).filter((w) => (w.wetHours ?? 0) > 8);
  const because: Because[] = [
    ...overhead.map((w): Because => ({
      record: 'watering',
      date: w.date,
      text: `watered over the leaves on ${ctx.format.day(w.date)}`,
    })),
    ...(rain.length >= days
      ? [
          {
            record: 'weather',
            date: rain.at(-1)!.date,
            text: `rain on ${rain.length} of the last ${within} days`,
          } as Because,
        ]
      : []),
    ...(longWet.length >= 3
      ? [
          {
            record: 'weather',
            date: longWet.at(-1)!.date,
            text: `leaves wet over 8 hours on ${ctx.format.days(longWet.map((w) => w.date))}`,
          } as Because,
        ]
      : []),
  ];
  if (because.length > 0) return found(0.3 + overhead.length * 0.15 + rain.length / 20 + longWet.length / 10, because);
  return ctx.weather(within).length === 0 ? unknown('the rain of the last two weeks') : ABSENT;
}

export function humidStillAir(ctx: CaseContext, { within = 14, pct = 85 }: RuleParams): Verdict {
  const damp = ctx.weather(within).filter((w) => (w.rhMeanPct ?? 0) > pct);
  const because: Because[] = [];
  if (isCovered(ctx.case.place.kind) && damp.length >= 3)
    because.push({
      record: 'weather',
      date: damp.at(-1)!.date,
      text: `air over ${pct} % humid on ${damp.length} days under cover`,
    });
  if (ctx.present.has('plant-dense'))
    because.push({ record: 'sign', date: ctx.case.asOf, text: 'so bushy that no air moves in it' });
  if (because.length > 0) return found(0.6, because);
  return isCovered(ctx.case.place.kind) && ctx.weather(within).every((w) => w.rhMeanPct == null)
    ? unknown('how humid it is under the cover')
    : ABSENT;
}

export function plantedTooEarly(ctx: CaseContext): Verdict {
  const planted = ctx.case.plant.transplantedOn;
  if (!planted) return unknown('the day of planting out');
  const week = ctx.case.records.weather.filter((w) => w.date >= planted && daysBetween(planted, w.date) < 14);
  const cold = week.filter((w) => w.tMinC < CHILL_NIGHT_C);
  const lastFrost = ctx.case.garden.lastFrost;
  if (lastFrost && planted.slice(5) < lastFrost)
    return found(0.6, [
      {
        record: 'plant',
        date: planted,
        text: `planted out on ${ctx.format.day(planted)}, before the usual last frost`,
      },
    ]);
  if (cold.length < 3) return ABSENT;
  return found(cold.length / 10, [
    {
      record: 'weather',
      date: cold[0]!.date,
      text: `${cold.length} nights under ${ctx.format.temperature(CHILL_NIGHT_C)} in the two weeks after planting out`,
    },
  ]);
}
