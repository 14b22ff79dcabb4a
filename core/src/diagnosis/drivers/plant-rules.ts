import { isEnclosed, isPotted } from '../../records/place.js';
import type { SignCode } from '../../records/vocabulary/signs.js';
import { addDays, type Day, daysBetween } from '../../units/day.js';
import { isSheet } from '../../records/choices.js';
import { isMulched, mulchOn } from '../../records/mulch.js';
import { spellOn } from '../../records/spells.js';
import type { CaseContext } from '../context.js';
import { keepsLog } from './care-rules.js';
import { graded } from './curves.js';
import { ABSENT, type Because, found, type RuleParams, unknown, type Verdict } from './verdict.js';
import { seasonYear } from '../../season/growing-year.js';

// Rules that read the plant, its bed or pot, its history, and signs that describe a setting rather than a problem.

const bySign = (ctx: CaseContext, signs: readonly SignCode[], text: string, strength = 0.6): Verdict =>
  signs.some((sign) => ctx.present.has(sign))
    ? found(strength, [{ record: 'sign', date: ctx.case.asOf, text }])
    : ABSENT;

/** Shade that goes at once by this much is felt, % of the light (judgement). */
const SHADE_GONE_PCT = 20;

/** Returns the day within the window on which shade was taken off; null if none was. */
function unshadedOn(ctx: CaseContext, within: number): Day | null {
  const blockPct = (day: Day): number => spellOn(ctx.case.place.shade, day)?.blockPct ?? 0;
  for (let back = 0; back < within; back++) {
    const day = addDays(ctx.case.asOf, -back);
    if (blockPct(addDays(day, -1)) - blockPct(day) >= SHADE_GONE_PCT) return day;
  }
  return null;
}

/**
 * Returns whether it suddenly got more sun: it was moved or its shade was taken off within the window, days, or a branch
 * broke.
 */
export function suddenExposure(ctx: CaseContext, { within = 14 }: RuleParams): Verdict {
  const moved = ctx.recent(ctx.case.records.events, within).filter((e) => e.what === 'moved');
  const because: Because[] = moved.map((e) => ({
    record: 'event',
    date: e.date,
    text: `moved on ${ctx.format.day(e.date)}`,
  }));
  if (ctx.present.has('stem-broken'))
    because.push({ record: 'sign', date: ctx.case.asOf, text: 'a broken or sagging branch let the sun in' });
  const unshaded = unshadedOn(ctx, within);
  if (unshaded)
    because.push({ record: 'place', date: unshaded, text: `the shade was taken off on ${ctx.format.day(unshaded)}` });
  return because.length > 0 ? found(0.7, because) : ABSENT;
}

/** Days before planting out in which hardening off would be recorded. */
const HARDENED_WITHIN_DAYS = 30;

/** Returns whether it was planted out without hardening off, within the window, days. */
export function noHardening(ctx: CaseContext, { within = 21 }: RuleParams): Verdict {
  const { plant, records, place, asOf } = ctx.case;
  const { transplantedOn } = plant;
  if (!transplantedOn || daysBetween(transplantedOn, asOf) > within) return ABSENT;
  if (isEnclosed(place)) return ABSENT; // true if it did not go out
  const hardened = records.events.some(
    (e) =>
      e.what === 'hardened-off' &&
      e.date <= transplantedOn &&
      daysBetween(e.date, transplantedOn) <= HARDENED_WITHIN_DAYS,
  );
  if (hardened) return ABSENT;
  // not recorded does not mean not done: a regular log is evidence, an empty one is a question
  return keepsLog(ctx) || records.events.length > 0
    ? found(0.5, [
        {
          record: 'plant',
          date: transplantedOn,
          text: `planted out on ${ctx.format.day(transplantedOn)}; no hardening off recorded`,
        },
      ])
    : unknown('whether it was hardened off before planting out');
}

/** Advised spacing, m: 0.45 to 0.6 tomato, 0.4 to 0.5 pepper (common practice). Crowded below two thirds of it. */
const ADVISED_SPACING_M = { tomato: 0.5, pepper: 0.45 } as const;

/** Returns whether plants stand closer than advised, or the plant is too bushy. */
export function crowding(ctx: CaseContext): Verdict {
  const { plant, asOf } = ctx.case;
  const advised = ADVISED_SPACING_M[plant.crop];
  const tight =
    plant.spacingM != null && !isPotted(ctx.case.place) ? graded((advised * 2) / 3 / plant.spacingM, 1, 1.6) : 0;
  if (plant.spacingM != null && tight >= 0.3)
    return found(tight, [
      {
        record: 'plant',
        date: asOf,
        text: `${ctx.format.centimetres(plant.spacingM * 100)} apart; we advise ${ctx.format.centimetres(advised * 100)}`,
      },
    ]);
  return bySign(ctx, ['plant-dense'], 'too bushy for light and air to get in', 0.5);
}

/** Leaves on dry, fresh mulch: hardly any spores splash up from there (common practice; judgement). */
const ON_DRY_MULCH = 0.2;
/** Older mulch holds spores of its own, days; and so does wet mulch, for days after rain. */
const FRESH_DAYS = 60;
const WET_AFTER_RAIN_DAYS = 2;

/** Returns whether mulch lies there that is fresh and has dried since the last rain. */
function liesOnDryMulch(ctx: CaseContext): boolean {
  const { place, asOf } = ctx.case;
  const mulch = spellOn(place.mulch, asOf);
  const days = ctx.weather(WET_AFTER_RAIN_DAYS);
  // without weather nobody knows whether it is wet
  const dry = days.length > 0 && days.every((w) => w.rainMm < 1);
  return mulch !== undefined && mulch.depthMm > 0 && daysBetween(mulch.from, asOf) <= FRESH_DAYS && dry;
}

/** Returns whether leaves touch the soil, or were never cleared from it. */
export function leavesNearSoil(ctx: CaseContext): Verdict {
  if (ctx.present.has('plant-leaves-touch-soil'))
    return liesOnDryMulch(ctx)
      ? bySign(ctx, ['plant-leaves-touch-soil'], 'leaves lie on dry, fresh mulch, not on soil', ON_DRY_MULCH)
      : bySign(ctx, ['plant-leaves-touch-soil'], 'leaves touch the soil', 0.8);
  const { plant, records, asOf } = ctx.case;
  const cleared = records.pruning.some((p) => p.what?.includes('lower-leaves'));
  if ((plant.heightM ?? 0) > 0.6 && !cleared && !isPotted(ctx.case.place)) {
    if (records.pruning.length === 0 && !keepsLog(ctx)) return unknown('whether the lowest leaves were removed');
    return found(records.pruning.length > 0 ? 0.5 : 0.35, [
      {
        record: 'pruning',
        date: asOf,
        text: `no low leaves recorded as removed on a plant ${ctx.format.centimetres((plant.heightM ?? 0) * 100)} tall`,
      },
    ]);
  }
  return ABSENT;
}

/** Returns whether pollination fails for lack of wind, bees or a hand. */
export function poorPollination(ctx: CaseContext): Verdict {
  if (ctx.present.has('flower-still-air'))
    return bySign(ctx, ['flower-still-air'], 'neither wind nor bees reach the flowers', 0.8);
  if (!isEnclosed(ctx.case.place)) return ABSENT;
  const helped = ctx.recent(ctx.case.records.events, 10).some((e) => e.what === 'pollination-assist');
  return helped
    ? ABSENT
    : found(0.5, [{ record: 'place', date: ctx.case.asOf, text: 'under cover, and no record of shaking the flowers' }]);
}

/** Returns whether it has far more open flowers than it can support. */
export const heavyFlowerLoad = (ctx: CaseContext): Verdict =>
  bySign(ctx, ['flower-many-open'], 'far more open flowers than it can support', 0.8);

/** Returns whether it is small for its age. */
export function smallPlant(ctx: CaseContext): Verdict {
  const { heightM, crop } = ctx.case.plant;
  const least = crop === 'tomato' ? 0.5 : 0.3;
  if (heightM == null) return bySign(ctx, ['plant-stunted'], 'much smaller than it should be', 0.5);
  return found(graded(least / heightM, 1, 2.5), [
    { record: 'plant', date: ctx.case.asOf, text: `${ctx.format.centimetres(heightM * 100)} tall` },
  ]);
}

const PESTS: readonly SignCode[] = ['pest-aphids', 'pest-whitefly', 'pest-mites', 'pest-thrips', 'flower-tiny-insects'];
const DISEASES: readonly SignCode[] = [
  'leaf-target-spots',
  'leaf-small-grey-spots',
  'leaf-greasy-blotches',
  'leaf-small-dark-spots',
  'leaf-mottle',
  'leaf-bronze-rings',
];
const LEAF_LOSS: readonly SignCode[] = ['leaf-target-spots', 'leaf-small-grey-spots', 'leaf-yellow-fast'];

/** Insects are unknown if no one looked for them. */
export const pestsPresent = (ctx: CaseContext): Verdict =>
  ctx.present.has('pest-none-found') ||
  PESTS.some((sign) => ctx.present.has(sign)) ||
  PESTS.every((x) => ctx.absent.has(x))
    ? bySign(ctx, PESTS, 'insects were seen on the plant', 0.7)
    : unknown('whether insects sit under the leaves or in the flowers', 'look-under-leaves');
/** Returns whether it shows signs of a leaf disease. */
export const diseasePresent = (ctx: CaseContext): Verdict => bySign(ctx, DISEASES, 'signs of a leaf disease', 0.6);
/** Returns whether it loses leaves to spots or yellowing. */
export const leafLossByDisease = (ctx: CaseContext): Verdict =>
  bySign(ctx, LEAF_LOSS, 'leaves are lost to spots or yellowing', 0.6);

/** Returns whether ripe fruit was left hanging. Without any recorded picking this stays unknown. */
export function overripeOnPlant(ctx: CaseContext): Verdict {
  const { stage } = ctx.case.plant;
  if (stage !== 'ripening' && stage !== 'late') return ABSENT;
  const harvests = ctx.case.records.events.filter((e) => e.what === 'harvest');
  const last = harvests.at(-1);
  // without any recorded picking we can't say that none was made
  if (!last) return unknown('when it was picked last');
  return found(graded(daysBetween(last.date, ctx.case.asOf) / 10, 1, 2) * 0.9, [
    {
      record: 'event',
      date: last.date,
      text: `ripe fruit, and the last recorded picking was ${ctx.format.day(last.date)}`,
    },
  ]);
}

/** Returns whether tomatoes, peppers or relatives grew here within the last three seasons. */
export function sameFamilyBefore(ctx: CaseContext): Verdict {
  const { place, asOf } = ctx.case;
  if (isPotted(place)) return ABSENT;
  const year = seasonYear(ctx.case.garden, asOf);
  const before = (place.history ?? []).filter((h) => h.family === 'nightshade' && h.year < year && h.year >= year - 3);
  if (before.length > 0) {
    const newest = Math.max(...before.map((h) => h.year));
    return found(Math.min(0.8, 0.4 + 0.1 * before.length + (newest === year - 1 ? 0.1 : 0)), [
      {
        record: 'place',
        date: asOf,
        text: `tomatoes, peppers or relatives grew here in ${before.map((h) => h.year).join(', ')}`,
      },
    ]);
  }
  return (place.history ?? []).length === 0 ? unknown('what grew here in earlier years') : ABSENT;
}

/** So thin it may be gone, mm (judgement). */
const ROTTED_MM = 10;

/** Returns whether the soil is bare. Bare only if a record says so; otherwise unknown. */
export function noMulch(ctx: CaseContext): Verdict {
  const { mulch } = ctx.case.place;
  const lies = isMulched(mulch, ctx.case.asOf) ? mulchOn(mulch, ctx.case.asOf) : undefined;
  if (lies && (isSheet(lies.kind) || lies.depthMm >= ROTTED_MM)) return ABSENT;
  if (ctx.present.has('soil-bare')) return bySign(ctx, ['soil-bare'], 'the soil is bare', 0.6);
  if (lies) return unknown('whether the mulch has rotted away');
  // bare only if mulch, or its absence, was recorded; otherwise unknown
  return mulch
    ? found(0.3, [{ record: 'place', date: ctx.case.asOf, text: 'no mulch recorded' }])
    : unknown('whether the soil is covered');
}
