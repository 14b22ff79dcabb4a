import { nightLowC } from '../climate/hours.js';
import { CHILL_NIGHT_C, COLD_NIGHT_C, HOT_DAY_C, TOO_HOT_FOR_CARE_C } from '../climate/limits.js';
import { potSizeFor } from '../water/pot-size.js';
import { ACID_PH, MOST_PH_FOR_LIME } from '../soil/limits.js';
import { coverOf, isEnclosed, isPotted, isRainless, isUnderGlass } from '../records/place.js';
import { isOf } from '../records/vocabulary/sign-groups.js';
import type { SignCode } from '../records/vocabulary/signs.js';
import { EVENING_LIMIT_C, eveningC, conflictOf } from '../spray/limits.js';
import { daysBetween } from '../units/day.js';
import { isMulched } from '../records/mulch.js';
import { spellOn } from '../records/spells.js';
import { AMPLE_LEFT, DRY_LEFT, isShortOfWater } from '../water/stress.js';
import type { Felt } from '../water/felt.js';
import type { CaseContext } from './context.js';
import { wetnessByHand, wetnessOf } from './wetness.js';

/**
 * Yes-or-no readings of a case that tables may name: they move priors and hold back remedies. Each reads only the
 * plant's facts, its records and the balance.
 */
const now = (ctx: CaseContext) => ctx.balance.days.at(-1);
const bearing = new Set(['fruiting', 'ripening', 'late']);
const feels = (ctx: CaseContext, feel: Felt['feel']): boolean => wetnessByHand(ctx)?.feel === feel;
const warmest = (ctx: CaseContext, days: number): number => Math.max(-99, ...ctx.weather(days).map((w) => w.tMaxC));
const rainyDays = (ctx: CaseContext, days: number): number => ctx.weather(days).filter((w) => w.rainMm >= 1).length;
const meanTemperature = (ctx: CaseContext, days: number): number | null => {
  const list = ctx.weather(days);
  return list.length === 0 ? null : list.reduce((sum, w) => sum + (w.tMinC + w.tMaxC) / 2, 0) / list.length;
};
const eveningNow = (ctx: CaseContext): number => {
  const today = ctx.weather(2).at(-1);
  return today ? eveningC(today) : -99;
};
/** Flowers that drop now met the weather of the last two weeks, days. */
const FLOWER_DAYS = 14;
const heatToSetIn = (ctx: CaseContext): boolean => warmest(ctx, FLOWER_DAYS) >= HOT_DAY_C;
const coldToSetIn = (ctx: CaseContext): boolean =>
  ctx.weather(FLOWER_DAYS).some((w) => nightLowC(w) < COLD_NIGHT_C[ctx.case.plant.crop]);
/** Largest pot one person can carry, L. */
export const PORTABLE_L = 25;
/** Signs that make fruit unfit to keep. */
const NOT_SOUND = ['fruit-soft-sour', 'fruit-patch-mould', 'fruit-grubs-inside', 'plant-grey-fur'] as SignCode[];
const sprayedWithin = (ctx: CaseContext, products: readonly string[], days: number): boolean =>
  ctx.recent(ctx.case.records.sprays, days).some((p) => products.includes(p.product));
const between = (x: number | null, low: number, high: number): boolean => x !== null && x >= low && x <= high;

/** Facts about a case that remedies and settings ask for, each true or false. */
export const FACTS = {
  container: (ctx: CaseContext) => isPotted(ctx.case.place),
  // no repotting from a pot already as large as advised, or of unknown size
  'pot-could-be-larger': ({ case: c }: CaseContext) =>
    isPotted(c.place) && (c.place.volumeL ?? Infinity) < potSizeFor(c.plant).advised,
  'in-ground': (ctx: CaseContext) => !isPotted(ctx.case.place),
  'under-cover': (ctx: CaseContext) => isEnclosed(ctx.case.place),
  'under-glass': (ctx: CaseContext) => isUnderGlass(ctx.case.place),
  indoors: (ctx: CaseContext) => coverOf(ctx.case.place) === 'indoors',
  'in-the-open': (ctx: CaseContext) => !isRainless(ctx.case.place),
  'by-a-path': (ctx: CaseContext) => ctx.case.place.footpath === true,
  'wind-gets-at-it': (ctx: CaseContext) => ctx.case.place.windy === true,
  'host-plants-near': (ctx: CaseContext) => ctx.case.place.hostsNear === true,
  portable: (ctx: CaseContext) => isPotted(ctx.case.place) && (ctx.case.place.volumeL ?? 10) <= PORTABLE_L,
  seedling: (ctx: CaseContext) => ctx.case.plant.stage === 'seedling',
  young: (ctx: CaseContext) => ctx.case.plant.stage === 'seedling' || ctx.case.plant.stage === 'establishing',
  bearing: (ctx: CaseContext) => bearing.has(ctx.case.plant.stage ?? ''),
  'not-bearing': (ctx: CaseContext) => ctx.case.plant.stage != null && !bearing.has(ctx.case.plant.stage),
  'may-bear': (ctx: CaseContext) =>
    ctx.case.plant.stage == null || bearing.has(ctx.case.plant.stage) || [...ctx.present].some((x) => isOf(x, 'fruit')),
  ripening: (ctx: CaseContext) => ctx.case.plant.stage === 'ripening' || ctx.case.plant.stage === 'late',
  'late-season': (ctx: CaseContext) => ctx.case.plant.stage === 'late',
  'paste-type': (ctx: CaseContext) => ctx.case.plant.type === 'paste',
  'sweet-pepper': (ctx: CaseContext) => ctx.case.plant.type === 'sweet',
  'cherry-type': (ctx: CaseContext) => ctx.case.plant.type === 'cherry',
  'large-fruited': (ctx: CaseContext) => ctx.case.plant.type === 'beefsteak',
  'hot-type': (ctx: CaseContext) => ctx.case.plant.type === 'hot',
  'variety-gets-dark-ends': (ctx: CaseContext) => ctx.case.plant.tendencies?.darkEnds === 'more',
  'variety-seldom-dark-ends': (ctx: CaseContext) => ctx.case.plant.tendencies?.darkEnds === 'less',
  'variety-splits': (ctx: CaseContext) => ctx.case.plant.tendencies?.splits === 'more',
  'variety-seldom-splits': (ctx: CaseContext) => ctx.case.plant.tendencies?.splits === 'less',
  // how a variety sets matters only in weather in which others fail
  'variety-fails-in-this-heat': (ctx: CaseContext) => ctx.case.plant.tendencies?.heatSet === 'less' && heatToSetIn(ctx),
  'variety-sets-in-this-heat': (ctx: CaseContext) => ctx.case.plant.tendencies?.heatSet === 'more' && heatToSetIn(ctx),
  'variety-fails-in-this-cold': (ctx: CaseContext) => ctx.case.plant.tendencies?.coldSet === 'less' && coldToSetIn(ctx),
  'variety-sets-in-this-cold': (ctx: CaseContext) => ctx.case.plant.tendencies?.coldSet === 'more' && coldToSetIn(ctx),
  pepper: (ctx: CaseContext) => ctx.case.plant.crop === 'pepper',
  'just-planted': (ctx: CaseContext) =>
    ctx.case.plant.transplantedOn != null && daysBetween(ctx.case.plant.transplantedOn, ctx.case.asOf) <= 21,
  'long-in-pot': (ctx: CaseContext) =>
    isPotted(ctx.case.place) &&
    ctx.case.plant.transplantedOn != null &&
    daysBetween(ctx.case.plant.transplantedOn, ctx.case.asOf) >= 45,
  // no conclusion where watering is unknown; a finger check of today overrides the model
  'water-under-quarter': (ctx: CaseContext) =>
    ctx.waterKnown && (wetnessByHand(ctx)?.feel ?? 'dry') === 'dry' && (now(ctx)?.fractionAvailable ?? 1) < DRY_LEFT,
  'water-ample': (ctx: CaseContext) =>
    ctx.waterKnown && !feels(ctx, 'dry') && (now(ctx)?.fractionAvailable ?? 0) > AMPLE_LEFT,
  'water-not-known': (ctx: CaseContext) => wetnessOf(ctx) === null,
  'soil-felt-wet': (ctx: CaseContext) => feels(ctx, 'wet'),
  'soil-felt-damp': (ctx: CaseContext) => feels(ctx, 'damp'),
  'soil-felt-dry': (ctx: CaseContext) => feels(ctx, 'dry'),
  // a drooping plant is not watered before someone checks its soil or lifts its pot
  'felt-dry': (ctx: CaseContext) => feels(ctx, 'dry'),
  // water a dry plant; do not shade it as a test
  'not-felt-dry': (ctx: CaseContext) => !feels(ctx, 'dry'),
  'sunscald-open': (ctx: CaseContext) =>
    ctx.present.has('fruit-pale-papery-patch') || ctx.present.has('leaf-bleached-patches'),
  'hot-now': (ctx: CaseContext) => warmest(ctx, 2) >= TOO_HOT_FOR_CARE_C,
  // sprays are for the evening: what counts is how warm it still is then
  'evening-too-warm': (ctx: CaseContext) => eveningNow(ctx) >= EVENING_LIMIT_C,
  'cool-wet-weather': (ctx: CaseContext) => rainyDays(ctx, 14) >= 5 && between(meanTemperature(ctx, 14), 8, 20),
  'warm-wet-weather': (ctx: CaseContext) => rainyDays(ctx, 14) >= 4 && between(meanTemperature(ctx, 14), 18, 29),
  'dry-warm-weather': (ctx: CaseContext) => rainyDays(ctx, 14) <= 1 && between(meanTemperature(ctx, 14), 20, 40),
  'no-rain-recently': (ctx: CaseContext) => ctx.weather(14).length > 0 && rainyDays(ctx, 14) === 0,
  'cold-nights-recently': (ctx: CaseContext) => ctx.weather(10).filter((w) => w.tMinC < CHILL_NIGHT_C).length >= 2,
  'warm-recently': (ctx: CaseContext) =>
    ctx.weather(10).length > 0 && ctx.weather(10).every((w) => nightLowC(w) >= COLD_NIGHT_C.tomato),
  'fed-recently': (ctx: CaseContext) => ctx.recent(ctx.case.records.feeding, 14).length > 0,
  mulched: (ctx: CaseContext) => isMulched(ctx.case.place.mulch, ctx.case.asOf),
  shaded: (ctx: CaseContext) => (spellOn(ctx.case.place.shade, ctx.case.asOf)?.blockPct ?? 0) >= 25,
  'short-of-water': (ctx: CaseContext) =>
    feels(ctx, 'dry') || (wetnessOf(ctx)?.by === 'balance' && isShortOfWater(now(ctx) ?? { ks: 1 })),
  'test-low-nitrogen': (ctx: CaseContext) => ctx.case.place.soilTest?.nitrogen === 'low',
  'test-low-phosphorus': (ctx: CaseContext) => ctx.case.place.soilTest?.phosphorus === 'low',
  'test-low-potassium': (ctx: CaseContext) => ctx.case.place.soilTest?.potassium === 'low',
  'test-low-magnesium': (ctx: CaseContext) => ctx.case.place.soilTest?.magnesium === 'low',
  'test-sound-phosphorus': (ctx: CaseContext) => ['ok', 'high'].includes(ctx.case.place.soilTest?.phosphorus ?? ''),
  'test-sound-potassium': (ctx: CaseContext) => ['ok', 'high'].includes(ctx.case.place.soilTest?.potassium ?? ''),
  'test-sound-magnesium': (ctx: CaseContext) => ['ok', 'high'].includes(ctx.case.place.soilTest?.magnesium ?? ''),
  'untested-unfed-pot': (ctx: CaseContext) =>
    isPotted(ctx.case.place) &&
    ctx.case.place.soilTest == null &&
    ctx.case.plant.transplantedOn != null &&
    daysBetween(ctx.case.plant.transplantedOn, ctx.case.asOf) >= 60 &&
    ctx.recent(ctx.case.records.feeding, 42).length === 0,
  'sour-pot': (ctx: CaseContext) => isPotted(ctx.case.place) && (ctx.case.place.soilTest?.pH ?? 7) < ACID_PH,
  'ph-high': (ctx: CaseContext) => (ctx.case.place.soilTest?.pH ?? 0) > MOST_PH_FOR_LIME,
  'not-for-suckering': (ctx: CaseContext) => ctx.case.plant.habit === 'determinate' || ctx.case.plant.crop === 'pepper',
  'soil-stays-wet': (ctx: CaseContext) =>
    feels(ctx, 'wet') ||
    // a finger that found it damp or dry overrides the balance
    (wetnessOf(ctx)?.by === 'balance' && ctx.water(7).filter((d) => d.fractionAvailable >= 0.95).length >= 5),
  'roots-rotten': (ctx: CaseContext) =>
    (['root-brown-slimy', 'root-sour-smell'] as const).some((sign) => ctx.present.has(sign)),
  'aphids-parasitised': (ctx: CaseContext) => ctx.present.has('pest-aphid-mummies'),
  'cocoons-seen': (ctx: CaseContext) => ctx.present.has('pest-hornworm-cocoons'),
  'fruit-not-sound': (ctx: CaseContext) => NOT_SOUND.some((sign) => ctx.present.has(sign)),
  'fruit-fouled': (ctx: CaseContext) =>
    ['fruit-gnawed-or-gone', 'fruit-droppings-on-bites'].some((sign) => ctx.present.has(sign as never)),
  'warm-nights-ahead': (ctx: CaseContext) =>
    ctx.coldestAhead >= 10 && ctx.weather(3).length > 0 && ctx.weather(3).every((w) => w.tMinC >= 10),
  'frost-ahead': (ctx: CaseContext) => ctx.coldestAhead <= 5,
  'oil-recently': (ctx: CaseContext) => sprayedWithin(ctx, ['neem'], conflictOf('neem', 'sulfur')!.days),
  'sulfur-recently': (ctx: CaseContext) => sprayedWithin(ctx, ['sulfur'], conflictOf('neem', 'sulfur')!.days),
  'oil-in-three-days': (ctx: CaseContext) => sprayedWithin(ctx, ['neem'], conflictOf('neem', 'soap')!.days),
  'soap-in-three-days': (ctx: CaseContext) => sprayedWithin(ctx, ['soap'], conflictOf('neem', 'soap')!.days),
  'sprayed-today': (ctx: CaseContext) =>
    ctx.recent(ctx.case.records.sprays, 1).some((p) => p.product !== 'weedkiller-nearby'),
} satisfies Record<string, (ctx: CaseContext) => boolean>;

/** Code of a fact. */
export type FactCode = keyof typeof FACTS;
