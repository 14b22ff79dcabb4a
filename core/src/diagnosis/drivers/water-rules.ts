import type { Day } from '../../units/day.js';
import type { Formatter } from '../../units/formatter.js';
import { FRUIT_WINDOW_DAYS } from '../../water/evenness.js';
import type { BalanceDay } from '../../water/run.js';
import { SLOW_PERCOLATION_MM_H } from '../../water/soils.js';
import {
  DRY_SPELL_DAYS,
  DRY_THEN_WET,
  FULL_LEFT,
  isDryThenWet,
  isShortOfWater,
  OVERFULL_DAYS,
  swings,
  UNEVEN_SWINGS,
} from '../../water/stress.js';
import type { CaseContext } from '../context.js';
import { ABSENT, type Because, found, type RuleParams, unknown, type Verdict } from './verdict.js';

/** Rules that read the water balance. Thresholds: handbook judgement unless named. */

const NO_WEATHER = 'the weather of these weeks: without it the water in the soil cannot be reckoned';
const percent = (d: BalanceDay): string => `${Math.round(d.fractionAvailable * 100)} %`;
const modelled = (d: BalanceDay, text: string): Because => ({ record: 'water-balance', date: d.date, text });
const label = (ctx: CaseContext): string => (ctx.case.place.kind === 'container' ? 'pot' : 'soil');

/** Where no watering at all is on record in a dry time, nobody knows whether none was given or none written down. */
const wateringUnknown = (ctx: CaseContext, within: number): boolean =>
  ctx.recent(ctx.case.records.watering, within).length === 0 &&
  ctx.recent(ctx.case.records.soilChecks, within).length === 0;

function noWateringKnown(ctx: CaseContext): Verdict {
  const last = ctx.case.records.watering.at(-1)?.date;
  return unknown(
    last
      ? `whether water was given since ${ctx.format.day(last)}: record it, or say that none was given`
      : 'when and how much this plant was watered',
    'finger-test',
  );
}

export function drySpell(ctx: CaseContext, { days = DRY_SPELL_DAYS, within = FRUIT_WINDOW_DAYS }: RuleParams): Verdict {
  const window = ctx.water(within);
  if (window.length === 0)
    return ctx.present.has('soil-dry-deep')
      ? found(0.6, [{ record: 'sign', date: ctx.case.asOf, text: 'the soil is dry at a finger’s depth' }])
      : unknown(NO_WEATHER, 'finger-test');
  const short = window.filter(isShortOfWater);
  if (short.length < days) return ABSENT;
  if (wateringUnknown(ctx, within)) return noWateringKnown(ctx);
  const worst = short.reduce((a, b) => (b.fractionAvailable < a.fractionAvailable ? b : a));
  return found(
    short.length / (days * 3),
    short.map((d) => modelled(d, `${percent(d)} of the water left`)),
    `short of water on ${short.length} of the last ${within} days; driest on ${ctx.format.day(worst.date)}, ${percent(worst)} left`,
  );
}

export function unevenWatering(ctx: CaseContext, { within = FRUIT_WINDOW_DAYS }: RuleParams): Verdict {
  const window = ctx.water(within);
  if (window.length < 7) return unknown(NO_WEATHER, 'finger-test');
  if (wateringUnknown(ctx, within)) return noWateringKnown(ctx);
  const big = swings(window);
  const wet = window.filter((d) => d.waterlogged);
  if (big.length < UNEVEN_SWINGS && wet.length < OVERFULL_DAYS) return ABSENT;
  if (big.length < UNEVEN_SWINGS)
    return found(
      0.5,
      wet.map((d) => modelled(d, 'over-full')),
      `the soil stood over-full on ${wet.length} days: roots without air take up as little as dry ones`,
    );
  const floods = big.map((w): Because => {
    const given = ctx.case.records.watering.find((r) => r.date === w.high.date);
    return given
      ? {
          record: 'watering',
          date: w.high.date,
          text: `${ctx.format.litres(given.litres)} at once filled it`,
        }
      : modelled(w.high, `full again, ${percent(w.high)}`);
  });
  const lows = big.map((w) => w.low);
  const driest = lows.reduce((a, b) => (b.fractionAvailable < a.fractionAvailable ? b : a));
  return found(
    big.length / 4,
    [
      ...lows.map((d) => modelled(d, `the ${label(ctx)} was down to ${percent(d)} on ${ctx.format.day(d.date)}`)),
      ...floods,
    ],
    `the ${label(ctx)} ran dry by ${ctx.format.days(lows.map((d) => d.date))} (down to ${percent(driest)}) and was filled up again on ${ctx.format.days(big.map((w) => w.high.date))}`,
  );
}

export function dryThenWet(ctx: CaseContext, { within = 7 }: RuleParams): Verdict {
  const days = ctx.water(within + DRY_THEN_WET.dryDays);
  if (days.length < 4) return unknown(NO_WEATHER);
  for (let i = days.length - 1; i >= DRY_THEN_WET.dryDays; i--) {
    if (isDryThenWet(days, i)) {
      const dry = days.slice(i - DRY_THEN_WET.dryDays, i);
      const before = dry.at(-1)!;
      const day = days[i]!;
      const jump = day.fractionAvailable - before.fractionAvailable;
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
        0.5 + jump / 2,
        [...dry.map((d) => modelled(d, `${percent(d)} left`)), source],
        `down to ${percent(before)} before, then ${source.text}`,
      );
    }
  }
  return ABSENT;
}

export function overwatering(ctx: CaseContext, { within = 10 }: RuleParams): Verdict {
  const window = ctx.water(within);
  const wetChecks = ctx.recent(ctx.case.records.soilChecks, within).filter((r) => r.feel === 'wet');
  const felt: Because[] = wetChecks.map((r) => ({
    record: 'soil-check',
    date: r.date,
    text: `felt wet on ${ctx.format.day(r.date)}`,
  }));
  const onWet = ctx
    .recent(ctx.case.records.watering, within)
    .filter((w) => window.some((d) => d.date === w.date && d.drainedL > 0.5 * w.litres));
  const full = window.filter((d) => d.fractionAvailable >= FULL_LEFT);
  const saidWet = ctx.present.has('soil-wet-deep');
  if (window.length === 0 && felt.length === 0) {
    if (saidWet)
      return found(0.5, [{ record: 'sign', date: ctx.case.asOf, text: 'the soil is wet at a finger’s depth' }]);
    return unknown(NO_WEATHER, 'finger-test');
  }
  const mostly = full.length > window.length / 2;
  if (!mostly && !(felt.length >= 2 && onWet.length > 0) && !(saidWet && onWet.length >= 2)) return ABSENT;
  const brimful: Because[] = mostly
    ? full.slice(-1).map((d) => modelled(d, `full to the brim on ${full.length} of the last ${window.length} days`))
    : [];
  return found(
    0.4 + full.length / (2 * within),
    [
      ...brimful,
      ...felt,
      ...onWet.map((w): Because => ({
        record: 'watering',
        date: w.date,
        text: `${ctx.format.litres(w.litres)} on soil still full`,
      })),
    ],
    overwateredInWords(
      ctx.format,
      full.length,
      window.length,
      wetChecks.map((r) => r.date),
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
    full > of / 2 ? `full to the brim on ${full} of the last ${of} days` : '',
    felt.length > 0 ? `felt wet on ${f.days(felt)}` : '',
    onWet.length > 0 ? `watered all the same on ${f.days(onWet)}` : '',
  ]
    .filter(Boolean)
    .join('; ');
}

export function poorDrainage(ctx: CaseContext): Verdict {
  const { place, asOf } = ctx.case;
  const because: Because[] = [];
  if (place.drainageMmPerH != null && place.drainageMmPerH < SLOW_PERCOLATION_MM_H)
    because.push({
      record: 'place',
      date: asOf,
      text: `water sinks ${ctx.format.rain(place.drainageMmPerH)} an hour, under ${ctx.format.rain(SLOW_PERCOLATION_MM_H)}`,
    });
  if (ctx.present.has('soil-pooling')) because.push({ record: 'sign', date: asOf, text: 'water stands on top' });
  if (because.length > 0) return found(0.7 + 0.2 * (because.length - 1), because);
  const heavy = place.texture === 'clay' || place.texture === 'clay-loam';
  return place.drainageMmPerH == null && heavy
    ? unknown('how fast water sinks in a dug hole', 'percolation-test')
    : ABSENT;
}

const LEAST_POT_L = { tomato: 15, pepper: 10 } as const;

export function smallContainer(ctx: CaseContext): Verdict {
  const { place, plant, asOf } = ctx.case;
  const least = LEAST_POT_L[plant.crop];
  if (place.kind !== 'container' || place.volumeL == null || place.volumeL >= least) return ABSENT;
  return found(0.4 + 0.6 * (1 - place.volumeL / least), [
    {
      record: 'place',
      date: asOf,
      text: `${ctx.format.litres(place.volumeL)} of soil; a ${plant.crop} wants ${ctx.format.litres(least)} or more`,
    },
  ]);
}

export function leaching(ctx: CaseContext, { within = 28 }: RuleParams): Verdict {
  const days = ctx.water(within);
  if (days.length === 0) return unknown(NO_WEATHER);
  const drained = days.filter((d) => d.drainedMm > 0);
  const total = drained.reduce((sum, d) => sum + d.drainedMm, 0);
  const taw = days.at(-1)!.tawMm;
  if (total < 1.5 * taw) return ABSENT;
  const dates: Day[] = drained.map((d) => d.date);
  return found(total / (5 * taw), [
    modelled(
      drained.at(-1)!,
      `water ran through on ${drained.length} days (${ctx.format.days(dates.slice(-3))} last) and took feed along`,
    ),
  ]);
}
