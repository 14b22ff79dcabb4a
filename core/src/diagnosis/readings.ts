import { nightLowC } from '../climate/hours.js';
import { COLD_NIGHT_C, WARM_NIGHT_C } from '../climate/limits.js';
import { hungryAfterDays } from '../nutrition/limits.js';
import { coverOf, isEnclosed, isPotted, isUnderGlass } from '../records/place.js';
import { BURNS_FROM_C, burnsInHeat } from '../spray/limits.js';
import { daysBetween } from '../units/day.js';
import { SLOW_PERCOLATION_MM_H, SOILS } from '../water/soils.js';
import { FULL_LEFT } from '../water/stress.js';
import { keepsLog } from './drivers/care-rules.js';
import type { CaseContext } from './context.js';
import { isWetByHand, wetnessByHand } from './wetness.js';
import type { DisorderCode } from '../records/vocabulary/disorders.js';
import { seasonYear } from '../season/growing-year.js';

/**
 * What the records say about a problem's necessary conditions and triggers. Yes, no or unknown: a factor counts only
 * if known; where the records are silent the priors stay flat.
 */
export type Reading = 'yes' | 'no' | 'unknown';

const known = (is: boolean): Reading => (is ? 'yes' : 'no');

/** Share of the window's days with weather needed to say "none". */
const LEAST_WEATHER = 0.6;
const coversWindow = (ctx: CaseContext, days: number): boolean => ctx.weather(days).length >= LEAST_WEATHER * days;

/** Yes if one day meets it; no if the window's weather is known and none does. */
function anyDay(ctx: CaseContext, days: number, hit: (w: CaseContext['own'][number]) => boolean): Reading {
  if (ctx.weather(days).some(hit)) return 'yes';
  return coversWindow(ctx, days) ? 'no' : 'unknown';
}

/** Leaves or air were wet at some time: rain, water over the leaves, measured dew or damp air. */
function wetWithin(ctx: CaseContext, days: number, leastDays: number): Reading {
  const { place, records } = ctx.case;
  const overhead = ctx.recent(records.watering, days).filter((w) => w.how === 'overhead').length;
  const weather = ctx.weather(days);
  const wet = weather.filter((w) => w.rainMm >= 1 || (w.wetHours ?? 0) >= 4 || (w.rhMeanPct ?? 0) >= 85).length;
  if (overhead + wet >= leastDays) return 'yes';
  // under film or glass water condenses, unseen from outside
  if (isEnclosed(place) && coverOf(place) !== 'indoors' && weather.every((w) => w.rhMeanPct == null)) return 'unknown';
  return coversWindow(ctx, days) ? 'no' : 'unknown';
}

const hasFrostEvent = (ctx: CaseContext, days: number): boolean =>
  ctx.recent(ctx.case.records.events, days).some((e) => e.what === 'frost');

/** Ground frost is possible from 3 °C on the screen, in a hollow from 5 (common practice). */
export const frostFromC = (place: CaseContext['case']['place']): number => (place.hollow ? 5 : 3);

const sprayed = (ctx: CaseContext, days: number) => ctx.recent(ctx.case.records.sprays, days);
const warmthOf = (ctx: CaseContext, p: { date: string; tMaxC?: number }): number | undefined =>
  p.tMaxC ?? ctx.own.find((w) => w.date === p.date)?.tMaxC;

/** Soil-borne problems that stay in a bed for years. */
function hereBefore(ctx: CaseContext, code: DisorderCode): Reading {
  if (isPotted(ctx.case.place)) return 'unknown';
  const year = seasonYear(ctx.case.garden, ctx.case.asOf);
  const past = (ctx.case.place.history ?? []).filter((h) => h.year < year && h.year >= year - 5);
  if (past.some((h) => h.problems?.includes(code))) return 'yes';
  return past.some((h) => h.problems) ? 'no' : 'unknown';
}

/** Nights or days of the last ten at which flowers cannot set: most, or hardly any. */
function settingWeather(ctx: CaseContext): Reading {
  const days = ctx.weather(10);
  if (days.length < 6) return 'unknown';
  const { crop, type } = ctx.case.plant;
  const hot = type === 'hot' ? 36 : 32;
  const bad = days.filter(
    (w) => nightLowC(w) > WARM_NIGHT_C[crop] + 0.5 || w.tMaxC >= hot + 0.5 || nightLowC(w) < COLD_NIGHT_C[crop] - 1.5,
  ).length;
  return bad >= 4 ? 'no' : bad <= 1 ? 'yes' : 'unknown';
}

/** Readings of the records: yes, no, or unknown where nothing is recorded. */
export const READINGS = {
  /** leaves, or the air around them, were wet within three weeks */
  'wet-within-three-weeks': (ctx: CaseContext) => wetWithin(ctx, 21, 1),
  /** wet often enough for a leaf disease to spread: on three days of the last three weeks */
  'wet-spell': (ctx: CaseContext) => wetWithin(ctx, 21, 3),
  'damp-air': (ctx: CaseContext): Reading => {
    const measured = ctx.weather(21).filter((w) => w.rhMeanPct != null);
    if (measured.filter((w) => w.rhMeanPct! >= 80).length >= 3) return 'yes';
    return measured.length >= 10 ? 'no' : wetWithin(ctx, 21, 3);
  },
  /** humidity under half on most measured days */
  'dry-air': (ctx: CaseContext): Reading => {
    const measured = ctx.weather(14).filter((w) => w.rhMeanPct != null);
    if (measured.length < 7) return 'unknown';
    return known(measured.filter((w) => w.rhMeanPct! < 50).length > measured.length / 2);
  },
  'cool-and-wet': (ctx: CaseContext): Reading => {
    const wet = wetWithin(ctx, 14, 3);
    if (wet !== 'yes') return wet;
    const cool = ctx.weather(14).filter((w) => (w.tMinC + w.tMaxC) / 2 <= 21).length;
    return known(cool >= 4);
  },
  /** soil too cold for warm-soil rots: mean of day and night under 16 °C over two weeks */
  'cool-fortnight': (ctx: CaseContext): Reading => {
    const days = ctx.weather(14);
    if (!coversWindow(ctx, 14)) return 'unknown';
    return known(days.reduce((sum, w) => sum + (w.tMinC + w.tMaxC) / 2, 0) / days.length < 16);
  },
  'hot-recently': (ctx: CaseContext) => anyDay(ctx, 5, (w) => w.tMaxC >= 30),
  'freeze-within-three-days': (ctx: CaseContext) =>
    hasFrostEvent(ctx, 3) ? 'yes' : anyDay(ctx, 3, (w) => w.tMinC < 0),
  'night-near-frost': (ctx: CaseContext): Reading =>
    hasFrostEvent(ctx, 5) ? 'yes' : anyDay(ctx, 5, (w) => w.tMinC < frostFromC(ctx.case.place)),
  'cold-night-recently': (ctx: CaseContext) => anyDay(ctx, 14, (w) => w.tMinC < 11),
  'cold-when-those-flowers-opened': (ctx: CaseContext): Reading => {
    const then = ctx.own.filter((w) => {
      const back = daysBetween(w.date, ctx.case.asOf);
      return back >= 28 && back <= 70;
    });
    if (then.length < 14) return 'unknown';
    return known(then.filter((w) => nightLowC(w) < 13.5).length >= 2);
  },
  'burning-spray-recently': (ctx: CaseContext): Reading => {
    const within = sprayed(ctx, 8).filter((p) => burnsInHeat(p.product));
    if (within.some((p) => (warmthOf(ctx, p) ?? 0) >= BURNS_FROM_C)) return 'yes';
    if (within.length > 0) return 'unknown';
    return ctx.case.records.sprays.length > 0 ? 'no' : 'unknown';
  },
  'weedkiller-near': (ctx: CaseContext): Reading => {
    if (sprayed(ctx, 35).some((p) => p.product === 'weedkiller-nearby')) return 'yes';
    return ctx.case.records.sprays.length > 0 ? 'no' : 'unknown';
  },
  'storm-yesterday': (ctx: CaseContext): Reading => {
    const events = ctx.recent(ctx.case.records.events, 3).some((e) => e.what === 'hail' || e.what === 'strong-wind');
    if (events || ctx.weather(3).some((w) => (w.windMs ?? 0) >= 10)) return 'yes';
    return ctx.weather(3).length > 0 && ctx.weather(3).every((w) => w.windMs != null) ? 'no' : 'unknown';
  },
  /** a recorded feed is still working */
  fed: (ctx: CaseContext): Reading => {
    const { feeding } = ctx.case.records;
    const limit = hungryAfterDays(isPotted(ctx.case.place));
    const last = feeding.filter((f) => f.grams > 0).at(-1);
    if (last) return known(daysBetween(last.date, ctx.case.asOf) < limit);
    // it was recorded that none was given
    return feeding.length > 0 ? 'no' : 'unknown';
  },
  /** a pot planted long ago with a regular log that has no feed: evidence, though weaker than a record */
  'no-feed-in-a-kept-log': (ctx: CaseContext): Reading => {
    const since = ctx.case.plant.transplantedOn;
    const long = since != null && daysBetween(since, ctx.case.asOf) >= hungryAfterDays(isPotted(ctx.case.place));
    return ctx.case.records.feeding.length === 0 && long && isPotted(ctx.case.place) && keepsLog(ctx)
      ? 'yes'
      : 'unknown';
  },
  'grown-plant': (ctx: CaseContext): Reading => {
    const { stage, heightM } = ctx.case.plant;
    if (stage) return known(!['seedling', 'establishing'].includes(stage));
    return heightM != null ? known(heightM >= 0.5) : 'unknown';
  },
  'flowers-could-set': settingWeather,
  /** a pot or bed that never dries: felt wet, lifted heavy, or full by a known balance */
  'stays-wet': (ctx: CaseContext): Reading => {
    const checks = ctx.recent(ctx.case.records.soilChecks, 10);
    const newest = checks.at(-1);
    const wetChecks = checks.filter((s) => s.feel === 'wet').length;
    const byHand = wetnessByHand(ctx);
    if (byHand) return known(byHand.feel === 'wet');
    if (wetChecks >= 2 && newest?.feel === 'wet') return 'yes';
    // felt damp or dry within the week: it does dry
    if (newest && newest.feel !== 'wet' && daysBetween(newest.date, ctx.case.asOf) <= 6) return 'no';
    const week = ctx.water(10);
    if (!ctx.waterKnown || week.length < 6) return 'unknown';
    const full = week.filter((d) => d.fractionAvailable >= FULL_LEFT).length / week.length;
    // soil that drains within the day does not count as wet for daily watering
    const stands = week.filter((d) => d.waterlogged).length / week.length;
    const slow =
      SOILS[ctx.case.place.texture].drainsPerDay < 0.8 ||
      ctx.case.place.lowEnd === true ||
      (ctx.case.place.drainageMmPerH ?? 99) < SLOW_PERCOLATION_MM_H;
    if (stands >= 0.3 || (slow && full >= 0.7)) return 'yes';
    return full <= 0.3 ? 'no' : 'unknown';
  },
  /** felt or seen to be wet; unknown without a finger or a sign */
  'wet-by-hand': (ctx: CaseContext): Reading => (isWetByHand(ctx) ? 'yes' : 'unknown'),
  'dry-at-the-roots': (ctx: CaseContext): Reading => {
    const byHand = wetnessByHand(ctx);
    if (byHand) return known(byHand.feel === 'dry');
    const left = ctx.balance.days.at(-1)?.fractionAvailable;
    if (!ctx.waterKnown || left === undefined) return 'unknown';
    return left < 0.3 ? 'yes' : left > 0.6 ? 'no' : 'unknown';
  },
  'planted-recently': (ctx: CaseContext): Reading => {
    const { transplantedOn } = ctx.case.plant;
    return transplantedOn ? known(daysBetween(transplantedOn, ctx.case.asOf) <= 25) : 'unknown';
  },
  'cut-hard-recently': (ctx: CaseContext): Reading => {
    const { pruning } = ctx.case.records;
    if (ctx.recent(pruning, 16).some((p) => (p.leafSharePct ?? 0) >= 20 || (p.cuts ?? 0) > 8)) return 'yes';
    return pruning.length > 0 ? 'no' : 'unknown';
  },
  'under-glass': (ctx: CaseContext) => known(isUnderGlass(ctx.case.place)),
} satisfies Record<string, (ctx: CaseContext) => Reading>;

/** Code of a reading. */
export type ReadingCode = keyof typeof READINGS;

/** The same disease in this soil in one of the five years before. */
export const SAME_TROUBLE_BEFORE = hereBefore;
