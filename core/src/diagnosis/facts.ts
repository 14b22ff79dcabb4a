import { CHILL_NIGHT_C, COLD_NIGHT_C, FROST_NIGHT_C } from '../climate/limits.js';
import { isCovered } from '../records/place.js';
import { daysBetween } from '../units/day.js';
import { spellOn } from '../water/season.js';
import { AMPLE_LEFT, DRY_LEFT, isShortOfWater } from '../water/stress.js';
import type { CaseContext } from './context.js';

/**
 * Yes-or-no readings of a case that tables may name: they move priors and withhold remedies.
 * Each reads only the plant's facts, its records and the balance.
 */
const now = (ctx: CaseContext) => ctx.balance.days.at(-1);
const bearing = new Set(['fruiting', 'ripening', 'late']);
const lastCheck = (ctx: CaseContext) => ctx.recent(ctx.case.records.soilChecks, 5).at(-1);
const feltWet = (ctx: CaseContext): boolean =>
  ctx.present.has('soil-wet-deep') || (lastCheck(ctx)?.feel === 'wet' && !ctx.present.has('soil-dry-deep'));
const feltDry = (ctx: CaseContext): boolean =>
  ctx.present.has('soil-dry-deep') || (lastCheck(ctx)?.feel === 'dry' && !ctx.present.has('soil-wet-deep'));
const warmest = (ctx: CaseContext, days: number): number => Math.max(-99, ...ctx.weather(days).map((w) => w.tMaxC));
const rainyDays = (ctx: CaseContext, days: number): number => ctx.weather(days).filter((w) => w.rainMm >= 1).length;
const meanTemperature = (ctx: CaseContext, days: number): number | null => {
  const list = ctx.weather(days);
  return list.length === 0 ? null : list.reduce((sum, w) => sum + (w.tMinC + w.tMaxC) / 2, 0) / list.length;
};
const between = (x: number | null, low: number, high: number): boolean => x !== null && x >= low && x <= high;

export const FACTS = {
  container: (ctx: CaseContext) => ctx.case.place.kind === 'container',
  'in-ground': (ctx: CaseContext) => ctx.case.place.kind !== 'container',
  'under-cover': (ctx: CaseContext) => isCovered(ctx.case.place.kind),
  'in-the-open': (ctx: CaseContext) => !isCovered(ctx.case.place.kind),
  seedling: (ctx: CaseContext) => ctx.case.plant.stage === 'seedling',
  young: (ctx: CaseContext) => ctx.case.plant.stage === 'seedling' || ctx.case.plant.stage === 'establishing',
  bearing: (ctx: CaseContext) => bearing.has(ctx.case.plant.stage ?? ''),
  'not-bearing': (ctx: CaseContext) => ctx.case.plant.stage != null && !bearing.has(ctx.case.plant.stage),
  'may-bear': (ctx: CaseContext) =>
    ctx.case.plant.stage == null ||
    bearing.has(ctx.case.plant.stage) ||
    [...ctx.present].some((x) => x.startsWith('fruit-')),
  ripening: (ctx: CaseContext) => ctx.case.plant.stage === 'ripening' || ctx.case.plant.stage === 'late',
  'paste-type': (ctx: CaseContext) => ctx.case.plant.type === 'paste',
  'sweet-pepper': (ctx: CaseContext) => ctx.case.plant.type === 'sweet',
  'cherry-type': (ctx: CaseContext) => ctx.case.plant.type === 'cherry',
  'large-fruited': (ctx: CaseContext) => ctx.case.plant.type === 'beefsteak',
  'hot-type': (ctx: CaseContext) => ctx.case.plant.type === 'hot',
  pepper: (ctx: CaseContext) => ctx.case.plant.crop === 'pepper',
  'just-planted': (ctx: CaseContext) =>
    ctx.case.plant.transplantedOn != null && daysBetween(ctx.case.plant.transplantedOn, ctx.case.asOf) <= 21,
  'long-in-pot': (ctx: CaseContext) =>
    ctx.case.place.kind === 'container' &&
    ctx.case.plant.transplantedOn != null &&
    daysBetween(ctx.case.plant.transplantedOn, ctx.case.asOf) >= 45,
  'water-under-quarter': (ctx: CaseContext) => (now(ctx)?.fractionAvailable ?? 1) < DRY_LEFT,
  'water-ample': (ctx: CaseContext) => (now(ctx)?.fractionAvailable ?? 0) > AMPLE_LEFT,
  'soil-felt-wet': feltWet,
  'soil-felt-damp': (ctx: CaseContext) => ctx.present.has('soil-damp-deep') || lastCheck(ctx)?.feel === 'damp',
  'soil-felt-dry': feltDry,
  // a limp plant is not watered before somebody has felt its soil or lifted its pot
  'felt-dry': (ctx: CaseContext) => feltDry(ctx) || ctx.present.has('pot-light'),
  // a dry plant is watered, not shaded to see what happens
  'not-felt-dry': (ctx: CaseContext) => !feltDry(ctx) && !ctx.present.has('pot-light'),
  'sunscald-open': (ctx: CaseContext) =>
    ctx.present.has('fruit-pale-papery-patch') || ctx.present.has('leaf-bleached-patches'),
  'hot-now': (ctx: CaseContext) => warmest(ctx, 2) >= 30,
  'cool-wet-weather': (ctx: CaseContext) => rainyDays(ctx, 14) >= 5 && between(meanTemperature(ctx, 14), 8, 20),
  'warm-wet-weather': (ctx: CaseContext) => rainyDays(ctx, 14) >= 4 && between(meanTemperature(ctx, 14), 18, 29),
  'dry-warm-weather': (ctx: CaseContext) => rainyDays(ctx, 14) <= 1 && between(meanTemperature(ctx, 14), 20, 40),
  'no-rain-lately': (ctx: CaseContext) => ctx.weather(14).length > 0 && rainyDays(ctx, 14) === 0,
  'frost-night': (ctx: CaseContext) => ctx.weather(5).some((w) => w.tMinC <= FROST_NIGHT_C),
  'no-frost': (ctx: CaseContext) => ctx.weather(5).length > 0 && ctx.weather(5).every((w) => w.tMinC > 4),
  'cold-nights-lately': (ctx: CaseContext) => ctx.weather(10).filter((w) => w.tMinC < CHILL_NIGHT_C).length >= 2,
  'warm-lately': (ctx: CaseContext) =>
    ctx.weather(10).length > 0 && ctx.weather(10).every((w) => w.tMinC >= COLD_NIGHT_C.tomato),
  'fed-lately': (ctx: CaseContext) => ctx.recent(ctx.case.records.feeding, 14).length > 0,
  mulched: (ctx: CaseContext) => spellOn(ctx.case.place.mulch, ctx.case.asOf) !== undefined,
  shaded: (ctx: CaseContext) => (spellOn(ctx.case.place.shade, ctx.case.asOf)?.blockPct ?? 0) >= 25,
  'short-of-water': (ctx: CaseContext) => isShortOfWater(now(ctx) ?? { ks: 1 }),
  'test-low-nitrogen': (ctx: CaseContext) => ctx.case.place.soilTest?.nitrogen === 'low',
  'test-low-phosphorus': (ctx: CaseContext) => ctx.case.place.soilTest?.phosphorus === 'low',
  'test-low-potassium': (ctx: CaseContext) => ctx.case.place.soilTest?.potassium === 'low',
  'test-low-magnesium': (ctx: CaseContext) => ctx.case.place.soilTest?.magnesium === 'low',
  'test-sound-phosphorus': (ctx: CaseContext) => ['ok', 'high'].includes(ctx.case.place.soilTest?.phosphorus ?? ''),
  'test-sound-potassium': (ctx: CaseContext) => ['ok', 'high'].includes(ctx.case.place.soilTest?.potassium ?? ''),
  'test-sound-magnesium': (ctx: CaseContext) => ['ok', 'high'].includes(ctx.case.place.soilTest?.magnesium ?? ''),
  'untested-unfed-pot': (ctx: CaseContext) =>
    ctx.case.place.kind === 'container' &&
    ctx.case.place.soilTest == null &&
    ctx.case.plant.transplantedOn != null &&
    daysBetween(ctx.case.plant.transplantedOn, ctx.case.asOf) >= 60 &&
    ctx.recent(ctx.case.records.feeding, 42).length === 0,
} satisfies Record<string, (ctx: CaseContext) => boolean>;

export type FactCode = keyof typeof FACTS;
