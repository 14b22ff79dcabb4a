import { HOT_DAY_C } from '../climate/limits.js';
import type { CaseContext } from '../diagnosis/context.js';
import { hungryAfterDays, mostNitrogenG } from '../nutrition/limits.js';
import { LEAF_LOSS_WITHIN_DAYS } from '../pruning/leaf-loss.js';
import type { Feeding } from '../records/care-records.js';
import { coverOf, isPotted, isUnderGlass } from '../records/place.js';
import type { PlantCase } from '../records/plant-case.js';
import { isMulched } from '../records/mulch.js';
import { spellOn, USUAL_SHADE_PCT } from '../records/spells.js';
import { MULCH_DEPTH_CM } from '../soil/mulch-plan.js';
import { addDays, type Day, daysBetween } from '../units/day.js';
import { potSizeFor } from '../water/pot-size.js';

/** What might have been done differently. `water-by-plan` is in its own file: it runs the plan through those weeks. */
export const CHANGE_CODES = [
  'water-by-plan',
  'mulch',
  'shade-cloth',
  'bigger-pot',
  'vents-open',
  'rain-cover',
  'water-at-base',
  'not-cut',
  'fed-evenly',
  'planted-later',
] as const;
/** One thing done differently. */
export type ChangeCode = (typeof CHANGE_CODES)[number];

/** The same case with one thing changed. */
export interface Changed {
  change: ChangeCode;
  case: PlantCase;
  /** the day from which it differs */
  from: Day;
  /** mm of mulch, litres of pot, percent of shade, days between feeds or waterings */
  size?: number;
  /** litres each time */
  litres?: number;
  /** it changes how much water the soil holds or loses: checks of the real soil do not belong to it */
  water: boolean;
}

/** Days that the longest look back of a driver reaches; earlier days change nothing. */
export const REACH_DAYS = 64;
const MULCH_MM = 10 * MULCH_DEPTH_CM;
/** "Planted out two weeks later". */
const LATER_DAYS = 14;
/** A cut smaller than this share of the leaves is no cause, %. */
const LEAST_CUT_PCT = 15;

type Change = (ctx: CaseContext) => Omit<Changed, 'change'> | null;

/** Returns the first day of the case that is within reach; null without weather. */
function firstDay({ case: c }: CaseContext): Day | null {
  const oldest = c.records.weather[0]?.date;
  if (!oldest || oldest > c.asOf) return null;
  const reach = addDays(c.asOf, -REACH_DAYS);
  const known = [oldest, reach, c.plant.transplantedOn ?? oldest].sort();
  return known.at(-1)!;
}

const mulch: Change = (ctx) => {
  const from = firstDay(ctx);
  const { place } = ctx.case;
  if (!from || isPotted(place) || isMulched(place.mulch, from)) return null;
  return {
    case: { ...ctx.case, place: { ...place, mulch: [{ from, depthMm: MULCH_MM }] } },
    from,
    size: MULCH_MM,
    water: true,
  };
};

const shadeCloth: Change = (ctx) => {
  const { place, asOf } = ctx.case;
  const hot = ctx.own.find((w) => w.tMaxC >= HOT_DAY_C && daysBetween(w.date, asOf) <= REACH_DAYS);
  if (!hot || coverOf(place) === 'indoors' || spellOn(place.shade, hot.date)) return null;
  const kept = (place.shade ?? []).filter((s) => s.to != null && s.to < hot.date);
  return {
    case: { ...ctx.case, place: { ...place, shade: [...kept, { from: hot.date, blockPct: USUAL_SHADE_PCT }] } },
    from: hot.date,
    size: USUAL_SHADE_PCT,
    water: true,
  };
};

const biggerPot: Change = (ctx) => {
  const { place, plant } = ctx.case;
  const from = firstDay(ctx);
  const { advised } = potSizeFor(plant);
  if (!from || !isPotted(place) || place.volumeL == null || place.volumeL >= advised) return null;
  return { case: { ...ctx.case, place: { ...place, volumeL: advised } }, from, size: advised, water: true };
};

const ventsOpen: Change = (ctx) => {
  const from = firstDay(ctx);
  const { place } = ctx.case;
  if (!from || !isUnderGlass(place) || place.vents === 'open') return null;
  return { case: { ...ctx.case, place: { ...place, vents: 'open' } }, from, water: true };
};

const rainCover: Change = (ctx) => {
  const { place, asOf } = ctx.case;
  const wet = ctx.own.find((w) => w.rainMm >= 1 && daysBetween(w.date, asOf) <= REACH_DAYS);
  if (!wet || coverOf(place) !== 'none') return null;
  return {
    case: { ...ctx.case, place: { ...place, roofed: [{ from: wet.date }] } },
    from: wet.date,
    // a roof keeps rain from the soil too, and who has one waters: only the leaves are judged
    water: false,
  };
};

const waterAtBase: Change = (ctx) => {
  const { records } = ctx.case;
  const above = ctx.recent(records.watering, REACH_DAYS).find((w) => w.how === 'overhead');
  if (!above) return null;
  const watering = records.watering.map((w) => (w.how === 'overhead' ? { ...w, how: 'base' as const } : w));
  return { case: { ...ctx.case, records: { ...records, watering } }, from: above.date, water: false };
};

const notCut: Change = (ctx) => {
  const { records, observations } = ctx.case;
  const cuts = ctx
    .recent(records.pruning, 2 * LEAF_LOSS_WITHIN_DAYS)
    .filter((p) => (p.leafSharePct ?? 0) >= LEAST_CUT_PCT || (p.cuts ?? 0) > 8);
  if (cuts.length === 0) return null;
  const worst = cuts.reduce((a, b) => ((b.leafSharePct ?? 0) > (a.leafSharePct ?? 0) ? b : a));
  return {
    case: {
      ...ctx.case,
      records: { ...records, pruning: records.pruning.filter((p) => p !== worst) },
      observations: observations.filter((o) => o.sign !== 'after-pruning'),
    },
    from: worst.date,
    water: false,
  };
};

/** A balanced feed: parts of N, P₂O₅ and K₂O in a hundred, and the share of the safe nitrogen given each time. */
const EVEN_FEED = { n: 4, p2o5: 4, k2o: 6, share: 0.2 } as const;

const fedEvenly: Change = (ctx) => {
  const from = firstDay(ctx);
  const { place, records, asOf } = ctx.case;
  // without any record of a feed nobody knows what another feed would have changed
  if (!from || records.feeding.length === 0) return null;
  const everyDays = hungryAfterDays(isPotted(place)) / 2;
  const nitrogenG = EVEN_FEED.share * mostNitrogenG(isPotted(place) ? (place.volumeL ?? null) : null);
  const { n, p2o5, k2o } = EVEN_FEED;
  const feeding: Feeding[] = [];
  for (let date = from; date <= asOf; date = addDays(date, everyDays))
    feeding.push({ date, n, p2o5, k2o, grams: (100 * nitrogenG) / n });
  return {
    case: { ...ctx.case, records: { ...records, feeding } },
    from,
    size: everyDays,
    water: false,
  };
};

const plantedLater: Change = (ctx) => {
  const { plant, records, asOf } = ctx.case;
  const planted = plant.transplantedOn;
  if (!planted || daysBetween(planted, asOf) < LATER_DAYS + 1) return null;
  const from = addDays(planted, LATER_DAYS);
  // the weather before it would have been out never met it
  const since = <T extends { date: Day }>(list: readonly T[]): T[] => list.filter((r) => r.date >= from);
  const then = { ...records, watering: since(records.watering), weather: since(records.weather) };
  return {
    case: { ...ctx.case, plant: { ...plant, transplantedOn: from }, records: then },
    from,
    size: LATER_DAYS,
    // the weather it met is judged, not how a smaller plant would have used its water
    water: false,
  };
};

/** Every change but the watering by the plan, with the case it makes; null where it does not apply. */
export const CHANGES: Readonly<Record<Exclude<ChangeCode, 'water-by-plan'>, Change>> = {
  mulch,
  'shade-cloth': shadeCloth,
  'bigger-pot': biggerPot,
  'vents-open': ventsOpen,
  'rain-cover': rainCover,
  'water-at-base': waterAtBase,
  'not-cut': notCut,
  'fed-evenly': fedEvenly,
  'planted-later': plantedLater,
};
