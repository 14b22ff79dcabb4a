import { isPotted } from '../../records/place.js';
import type { Day } from '../../units/day.js';
import { daysBetween } from '../../units/day.js';
import type { Formatter } from '../../units/formatter.js';
import { FRUIT_WINDOW_DAYS } from '../../water/evenness.js';
import type { BalanceDay } from '../../water/run.js';
import { SLOW_PERCOLATION_MM_H } from '../../water/soils.js';
import {
  DRY_SPELL_DAYS,
  DRY_THEN_WET,
  FULL_LEFT,
  OVERFULL_DAYS,
  SHORT_OF_WATER_KS,
  SWING_SIZE,
  swings,
  UNEVEN_SWINGS,
} from '../../water/stress.js';
import { potSizeFor } from '../../water/pot-size.js';
import type { CaseContext } from '../context.js';
import { wetnessByHand } from '../wetness.js';
import { graded, nearness, overLimit, scored, sumOf } from './curves.js';
import { ABSENT, type Because, found, type RuleParams, unknown, type Verdict } from './verdict.js';
import { at, first, last } from '../../units/lists.js';

// Rules that read the water balance, where the watering history is known. Thresholds: judgement unless named.

const NO_WEATHER = 'the weather of these weeks: without it we can’t estimate the water in the soil';
const percent = (d: BalanceDay): string => `${Math.round(d.fractionAvailable * 100)} %`;
const modelled = (d: BalanceDay, text: string): Because => ({ record: 'water-balance', date: d.date, text });
const isPot = (ctx: CaseContext): boolean => isPotted(ctx.case.place);
const label = (ctx: CaseContext): string => (isPot(ctx) ? 'pot' : 'soil');

/** A window with less than this share of known days is ignored. */
const LEAST_KNOWN = 0.4;

/** Returns the window's known days; null with the reason if too few are known. */
function knownDays(ctx: CaseContext, within: number, from = 0): BalanceDay[] | null {
  const days = ctx.water(within).filter((d) => daysBetween(d.date, ctx.case.asOf) >= from);
  const all = ctx.recent(ctx.balance.days, within).length - from;
  return days.length >= Math.max(3, LEAST_KNOWN * all) ? days : null;
}

/** With no records in a dry time, we can't tell whether none was given or none was recorded. */
function notKnown(ctx: CaseContext): Verdict {
  if (ctx.balance.days.length === 0) return unknown(NO_WEATHER, 'finger-test');
  const last = ctx.case.records.watering.at(-1)?.date;
  return unknown(
    last
      ? `whether it was watered since ${ctx.format.day(last)}: record it, or choose “none given”`
      : 'when and how much this plant was watered',
    'finger-test',
  );
}

/** Counts a day at the Ks limit as one, halfway to no stress as a quarter. */
const shortness = (d: BalanceDay): number => Math.min(2, ((1 - d.ks) / (1 - SHORT_OF_WATER_KS)) ** 2);

/** Returns whether the root zone dried out within the window: a soil check first, else the water balance. */
export function drySpell(
  ctx: CaseContext,
  { days = DRY_SPELL_DAYS, within = FRUIT_WINDOW_DAYS, from = 0 }: RuleParams,
): Verdict {
  const felt = ctx.felt?.feel === 'dry' ? ctx.felt : null;
  const byHand = felt
    ? found(0.6, [
        {
          record: felt.by === 'sign' ? 'sign' : 'soil-check',
          date: felt.on,
          text: 'the soil is dry at a finger’s depth',
        },
      ])
    : null;
  const window = knownDays(ctx, within, from);
  if (!window) return byHand ?? notKnown(ctx);
  const short = scored(window, shortness);
  const named = short.filter((x) => x.score >= 0.3).map((x) => x.it);
  if (named.length === 0) return byHand && from === 0 && within <= 7 ? byHand : ABSENT;
  const worst = named.reduce((a, b) => (b.fractionAvailable < a.fractionAvailable ? b : a));
  return found(
    graded(sumOf(short), days, 3 * days),
    named.map((d) => modelled(d, `${percent(d)} of its water left`)),
    `short of water on ${named.length} of the last ${within} days; driest on ${ctx.format.day(worst.date)} with ${percent(worst)} left`,
  );
}

/** A rise below this share of the store is normal watering. */
const LEAST_SWING = 0.2;

/** Returns whether water swung between dry and wet within the window. */
export function unevenWatering(ctx: CaseContext, { within = FRUIT_WINDOW_DAYS, from = 0 }: RuleParams): Verdict {
  const window = knownDays(ctx, within);
  if (!window || window.length < 7) return notKnown(ctx);
  const inTime = (d: BalanceDay): number => nearness(daysBetween(d.date, ctx.case.asOf), { from, to: within });
  // a rise at the limit counts as one; smaller ones fall with the cube, so a normal rhythm is not called uneven
  const big = swings(window, LEAST_SWING).map((it) => ({
    it,
    score: Math.min(1.4, (it.high.fractionAvailable - it.low.fractionAvailable) / SWING_SIZE) ** 3 * inTime(it.high),
  }));
  const wet = window.filter((d) => d.waterlogged);
  const swung = graded(sumOf(big), UNEVEN_SWINGS, 2 * UNEVEN_SWINGS);
  const stood = graded(wet.length, OVERFULL_DAYS, 2 * OVERFULL_DAYS);
  if (stood > swung)
    return found(
      stood,
      wet.map((d) => modelled(d, 'over-full')),
      `the soil was waterlogged on ${wet.length} days: roots without air take up no more than dry ones`,
    );
  const named = big.filter((x) => x.score >= 0.2).map((x) => x.it);
  if (named.length === 0) return ABSENT;
  const floods = named.map((w): Because => {
    const given = ctx.case.records.watering.find((r) => r.date === w.high.date);
    return given
      ? { record: 'watering', date: w.high.date, text: `${amountGiven(given, ctx.format)} in one watering filled it` }
      : modelled(w.high, `full again, ${percent(w.high)}`);
  });
  const lows = named.map((w) => w.low);
  const driest = lows.reduce((a, b) => (b.fractionAvailable < a.fractionAvailable ? b : a));
  return found(
    swung,
    [
      ...lows.map((d) => modelled(d, `the ${label(ctx)} was down to ${percent(d)} on ${ctx.format.day(d.date)}`)),
      ...floods,
    ],
    `the ${label(ctx)} dried out by ${ctx.format.days(lows.map((d) => d.date))} (to ${percent(driest)}) and was refilled on ${ctx.format.days(named.map((w) => w.high.date))}`,
  );
}

/** How strongly dry soil under a finger and a soak after it point to a crack: as three dry days do (judgement). */
const FELT_THEN_SOAKED = 0.6;
/** The soak comes on the day of the check, or at most this many days later. */
const SOAKED_WITHIN_DAYS = 2;

/** Returns a soak, of as much as the limit or more, after soil that felt dry; null if there was none. */
function feltDryThenSoaked(
  ctx: CaseContext,
  days: readonly BalanceDay[],
  within: number,
): Extract<Verdict, { state: 'found' }> | null {
  const checks = ctx.recent(ctx.case.records.soilChecks, within + SOAKED_WITHIN_DAYS).filter((c) => c.feel === 'dry');
  for (const check of checks.toReversed()) {
    const soak = days.find((d, i) => {
      const after = daysBetween(check.date, d.date);
      const before = i > 0 ? at(days, i - 1) : null;
      const isOwn = after >= 0 && after <= SOAKED_WITHIN_DAYS && daysBetween(d.date, ctx.case.asOf) <= within;
      return isOwn && before !== null && d.fractionAvailable - before.fractionAvailable >= DRY_THEN_WET.jump;
    });
    if (!soak) continue;
    const verdict = found(
      FELT_THEN_SOAKED,
      [
        { record: 'soil-check', date: check.date, text: `the soil felt dry on ${ctx.format.day(check.date)}` },
        modelled(soak, `${percent(soak)} after a soak`),
      ],
      `the soil felt dry on ${ctx.format.day(check.date)}, then a soak on ${ctx.format.day(soak.date)} filled it to ${percent(soak)}`,
    );
    return verdict.state === 'found' ? verdict : null;
  }
  return null;
}

/** Returns whether a soak followed a dry spell within the window, days. */
export function dryThenWet(ctx: CaseContext, { within = 7 }: RuleParams): Verdict {
  const { dryDays, left, jump: least } = DRY_THEN_WET;
  const days = ctx.water(within + dryDays + 4);
  if (days.length < dryDays + 1) return notKnown(ctx);
  let best: { score: number; at: number } = { score: 0, at: -1 };
  for (let i = dryDays; i < days.length; i++) {
    const before = days.slice(i - dryDays, i);
    if (daysBetween(first(before).date, at(days, i).date) !== dryDays) continue; // unknown days in between
    const jump = at(days, i).fractionAvailable - last(before).fractionAvailable;
    const wettest = Math.max(...before.map((d) => d.fractionAvailable));
    const back = daysBetween(at(days, i).date, ctx.case.asOf);
    const score =
      overLimit(-wettest, -left, 0.2) *
      Math.min(1.6, Math.max(0, jump / least)) ** 2 *
      nearness(back, { from: 0, to: within });
    if (score > best.score) best = { score, at: i };
  }
  const byHand = feltDryThenSoaked(ctx, days, within);
  if (byHand && graded(best.score, 1, 2.5) < byHand.strength) return byHand;
  if (best.at < 0) return ABSENT;
  const dry = days.slice(best.at - dryDays, best.at);
  const before = last(dry);
  const day = at(days, best.at);
  const rain = day.effectiveRainMm > day.irrigationMm;
  const source: Because = rain
    ? {
        record: 'weather',
        date: day.date,
        text: `${ctx.format.rain(day.effectiveRainMm)} of rain on ${ctx.format.day(day.date)}`,
      }
    : {
        record: 'watering',
        date: day.date,
        text: `${ctx.format.litres(day.irrigationL)} on ${ctx.format.day(day.date)}`,
      };
  return found(
    graded(best.score, 1, 2.5),
    [...dry.map((d) => modelled(d, `${percent(d)} left`)), source],
    `${percent(before)} before, then ${source.text}`,
  );
}

/**
 * Returns whether the soil stayed too wet within the window. A soil check that found it drier wins over the
 * estimate.
 */
export function overwatering(ctx: CaseContext, { within = 10 }: RuleParams): Verdict {
  const window = knownDays(ctx, within) ?? [];
  const wetChecks = ctx.recent(ctx.case.records.soilChecks, within).filter((r) => r.feel === 'wet');
  // a recent finger check that found it drier overrides the model for these days
  const byHandNow = wetnessByHand(ctx);
  const newest = byHandNow?.feel ?? ctx.recent(ctx.case.records.soilChecks, within).at(-1)?.feel;
  const drier = newest === 'dry' ? 0 : newest === 'damp' ? 0.5 : 1;
  const felt: Because[] = wetChecks.map((r) => ({
    record: 'soil-check',
    date: r.date,
    text: `felt wet on ${ctx.format.day(r.date)}`,
  }));
  const onWet = ctx
    .recent(ctx.case.records.watering, within)
    .filter((w) => window.some((d) => d.date === w.date && d.drainedL > 0.5 * (w.litres ?? Infinity)));
  const full = window.filter((d) => d.fractionAvailable >= FULL_LEFT);
  const nearlyFull = sumOf(scored(window, (d) => overLimit(d.fractionAvailable, FULL_LEFT, 0.03)));
  const heavy = ctx.present.has('pot-heavy');
  const saidWet = byHandNow?.feel === 'wet' && !heavy;
  if (saidWet && felt.length === 0)
    felt.push({ record: 'sign', date: byHandNow.on, text: 'the soil is wet at a finger’s depth' });
  if (heavy) felt.push({ record: 'sign', date: ctx.case.asOf, text: 'the pot is heavy' });
  if (window.length === 0 && felt.length === 0) return notKnown(ctx);
  const stood =
    window.length > 0 ? drier * graded(Math.min(nearlyFull, full.length + 1) / window.length, 0.5, 0.95) : 0;
  const byHand = graded(wetChecks.length / 2 + (saidWet ? 0.5 : 0) + (heavy ? 0.4 : 0) + onWet.length / 4, 1, 2.5);
  const mostly = stood >= 0.5;
  const brimful: Because[] =
    full.length > 0
      ? full.slice(-1).map((d) => modelled(d, `full to the limit on ${full.length} of the last ${window.length} days`))
      : [];
  return found(
    Math.max(stood, byHand),
    [
      ...(mostly ? brimful : []),
      ...felt,
      ...onWet.map((w): Because => ({
        record: 'watering',
        date: w.date,
        text: `${amountGiven(w, ctx.format)} given while the soil was still full`,
      })),
      ...(!mostly && felt.length === 0 && onWet.length === 0 ? brimful : []),
    ],
    overwateredInWords(
      ctx.format,
      full.length,
      window.length,
      felt.map((r) => r.date),
      onWet.map((w) => w.date),
    ),
  );
}

function overwateredInWords(
  f: Formatter,
  full: number,
  of: number,
  felt: readonly Day[],
  onWet: readonly Day[],
): string {
  return [
    full > 0 && (full > of / 2 || (felt.length === 0 && onWet.length === 0))
      ? `full to the limit on ${full} of the last ${of} days`
      : '',
    felt.length > 0 ? `felt wet on ${f.days(felt)}` : '',
    onWet.length > 0 ? `and watered anyway on ${f.days(onWet)}` : '',
  ]
    .filter(Boolean)
    .join('; ');
}

/** As strong as soil that drains somewhat slowly (judgement). */
const LOW_END = 0.5;

/** Returns whether water stands: slow percolation, pooling, or a low spot. Clay alone leaves it unknown. */
export function poorDrainage(ctx: CaseContext): Verdict {
  const { place, asOf } = ctx.case;
  const because: Because[] = [];
  const rate = place.drainageMmPerH;
  const slow = rate != null ? graded(SLOW_PERCOLATION_MM_H / rate, 1, 2.5) : 0;
  if (rate != null && slow > 0.3)
    because.push({
      record: 'place',
      date: asOf,
      text: `water drains ${ctx.format.rain(rate)} an hour; under ${ctx.format.rain(SLOW_PERCOLATION_MM_H)} is slow`,
    });
  const stands = ctx.present.has('soil-pooling');
  if (stands) because.push({ record: 'sign', date: asOf, text: 'water stands on the surface' });
  if (place.lowEnd) because.push({ record: 'place', date: asOf, text: 'it is in a low spot where water collects' });
  if (because.length > 0) return found(Math.max(slow, stands ? 0.7 : 0, place.lowEnd ? LOW_END : 0), because);
  const heavy = place.texture === 'clay' || place.texture === 'clay-loam';
  return place.drainageMmPerH == null && heavy && !isPot(ctx)
    ? unknown('how fast water drains from a test hole', 'percolation-test')
    : ABSENT;
}

/** Returns whether the pot is too small for the plant. */
export function smallContainer(ctx: CaseContext): Verdict {
  const { place, plant, asOf } = ctx.case;
  if (!isPot(ctx) || place.volumeL == null) return ABSENT;
  // a seedling belongs in a small cell
  if (plant.stage === 'seedling' || (plant.heightM ?? 1) < 0.2) return ABSENT;
  const least = potSizeFor(plant).least;
  return found(graded(least / place.volumeL, 1, 2), [
    {
      record: 'place',
      date: asOf,
      text: `${ctx.format.litres(place.volumeL)} of soil; a ${plant.crop} needs ${ctx.format.litres(least)} or more`,
    },
  ]);
}

/** Returns whether water washed feed out of the root zone within the window, days. */
export function leaching(ctx: CaseContext, { within = 28 }: RuleParams): Verdict {
  const days = knownDays(ctx, within);
  if (!days) return notKnown(ctx);
  const drained = days.filter((d) => d.drainedMm > 0);
  const total = drained.reduce((sum, d) => sum + d.drainedMm, 0);
  const taw = last(days).tawMm;
  if (drained.length === 0) return ABSENT;
  const dates: Day[] = drained.map((d) => d.date);
  return found(graded(total / (1.5 * taw), 1, 3.5), [
    modelled(
      last(drained),
      `water ran out below on ${drained.length} days (${ctx.format.days(dates.slice(-3))} most recently) and washed out feed`,
    ),
  ]);
}

const amountGiven = ({ litres }: { litres?: number }, f: CaseContext['format']): string =>
  litres == null ? 'an unknown amount' : f.litres(litres);
