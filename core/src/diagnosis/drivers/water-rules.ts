import { dayWords, daysInWords, type Day } from '../../day.js';
import type { BalanceDay } from '../../water/run.js';
import { swings } from '../../water/evenness.js';
import { showLitres, showRain } from '../../units/units.js';
import { SLOW_PERCOLATION_MM_H } from '../../water/soils.js';
import type { Story } from '../story.js';
import { ABSENT, found, unknown, type Because, type RuleParams, type Verdict } from './verdict.js';

/** Rules that read the water balance. Thresholds: handbook judgement unless named. */

const NO_WEATHER = 'the weather of these weeks: without it the water in the soil cannot be reckoned';
const percent = (d: BalanceDay): string => `${Math.round(d.fractionAvailable * 100)} %`;
const modelled = (d: BalanceDay, text: string): Because => ({ record: 'water-balance', date: d.date, text });
const label = (s: Story): string => (s.c.place.kind === 'container' ? 'pot' : 'soil');

/** Where no watering at all is on record in a dry time, nobody knows whether none was given or none written down. */
const wateringUnknown = (s: Story, within: number): boolean =>
  s.recent(s.c.records.watering, within).length === 0 && s.recent(s.c.records.soilChecks, within).length === 0;

function noWateringKnown(s: Story): Verdict {
  const last = s.c.records.watering.at(-1)?.date;
  return unknown(
    last
      ? `whether water was given since ${dayWords(last)}: record it, or say that none was given`
      : 'when and how much this plant was watered',
    'finger-test',
  );
}

export function drySpell(s: Story, { days = 3, within = 21 }: RuleParams): Verdict {
  const window = s.water(within);
  if (window.length === 0)
    return s.present.has('soil-dry-deep')
      ? found(0.6, [{ record: 'sign', date: s.c.asOf, text: 'the soil is dry at a finger’s depth' }])
      : unknown(NO_WEATHER, 'finger-test');
  const short = window.filter((d) => d.ks < 0.8);
  if (short.length < days) return ABSENT;
  if (wateringUnknown(s, within)) return noWateringKnown(s);
  const worst = short.reduce((a, b) => (b.fractionAvailable < a.fractionAvailable ? b : a));
  return found(
    short.length / (days * 3),
    short.map((d) => modelled(d, `${percent(d)} of the water left`)),
    `short of water on ${short.length} of the last ${within} days; driest on ${dayWords(worst.date)}, ${percent(worst)} left`,
  );
}

export function unevenWatering(s: Story, { within = 21 }: RuleParams): Verdict {
  const window = s.water(within);
  if (window.length < 7) return unknown(NO_WEATHER, 'finger-test');
  if (wateringUnknown(s, within)) return noWateringKnown(s);
  const big = swings(window, 0.5);
  const wet = window.filter((d) => d.waterlogged);
  if (big.length < 2 && wet.length < 5) return ABSENT;
  if (big.length < 2)
    return found(
      0.5,
      wet.map((d) => modelled(d, 'over-full')),
      `the soil stood over-full on ${wet.length} days: roots without air take up as little as dry ones`,
    );
  const floods = big.map((w) => {
    const given = s.c.records.watering.find((r) => r.date === w.high.date);
    return given
      ? ({
          record: 'watering',
          date: w.high.date,
          text: `${showLitres(given.litres, s.units)} at once filled it`,
        } as Because)
      : modelled(w.high, `full again, ${percent(w.high)}`);
  });
  const lows = big.map((w) => w.low);
  const driest = lows.reduce((a, b) => (b.fractionAvailable < a.fractionAvailable ? b : a));
  return found(
    big.length / 4,
    [...lows.map((d) => modelled(d, `the ${label(s)} was down to ${percent(d)} on ${dayWords(d.date)}`)), ...floods],
    `the ${label(s)} ran dry by ${daysInWords(lows.map((d) => d.date))} (down to ${percent(driest)}) and was filled up again on ${daysInWords(big.map((w) => w.high.date))}`,
  );
}

export function dryThenWet(s: Story, { within = 7 }: RuleParams): Verdict {
  const days = s.water(within + 3);
  if (days.length < 4) return unknown(NO_WEATHER);
  for (let i = days.length - 1; i >= 3; i--) {
    const [a, b, c, day] = days.slice(i - 3, i + 1) as [BalanceDay, BalanceDay, BalanceDay, BalanceDay];
    const jump = day.fractionAvailable - c.fractionAvailable;
    if ([a, b, c].every((d) => d.fractionAvailable < 0.5) && jump >= 0.35) {
      const rain = day.effectiveRainMm > day.irrigationMm;
      const source: Because = rain
        ? {
            record: 'weather',
            date: day.date,
            text: `${showRain(day.effectiveRainMm, s.units)} of rain on ${dayWords(day.date)}`,
          }
        : {
            record: 'watering',
            date: day.date,
            text: `${showLitres(day.irrigationL, s.units)} on ${dayWords(day.date)}`,
          };
      return found(
        0.5 + jump / 2,
        [...[a, b, c].map((d) => modelled(d, `${percent(d)} left`)), source],
        `down to ${percent(c)} before, then ${source.text}`,
      );
    }
  }
  return ABSENT;
}

export function overwatering(s: Story, { within = 10 }: RuleParams): Verdict {
  const window = s.water(within);
  const wetChecks = s.recent(s.c.records.soilChecks, within).filter((r) => r.feel === 'wet');
  const felt: Because[] = wetChecks.map((r) => ({
    record: 'soil-check',
    date: r.date,
    text: `felt wet on ${dayWords(r.date)}`,
  }));
  const onWet = s
    .recent(s.c.records.watering, within)
    .filter((w) => window.some((d) => d.date === w.date && d.drainedL > 0.5 * w.litres));
  const full = window.filter((d) => d.fractionAvailable >= 0.97);
  const saidWet = s.present.has('soil-wet-deep');
  if (window.length === 0 && felt.length === 0) {
    if (saidWet) return found(0.5, [{ record: 'sign', date: s.c.asOf, text: 'the soil is wet at a finger’s depth' }]);
    return unknown(NO_WEATHER, 'finger-test');
  }
  const mostly = full.length > window.length / 2;
  if (!mostly && !(felt.length >= 2 && onWet.length > 0) && !(saidWet && onWet.length >= 2)) return ABSENT;
  const standing: Because[] = mostly
    ? full.slice(-1).map((d) => modelled(d, `full to the brim on ${full.length} of the last ${window.length} days`))
    : [];
  return found(
    0.4 + full.length / (2 * within),
    [
      ...standing,
      ...felt,
      ...onWet.map((w): Because => ({
        record: 'watering',
        date: w.date,
        text: `${showLitres(w.litres, s.units)} on soil still full`,
      })),
    ],
    overwateredInWords(
      full.length,
      window.length,
      wetChecks.map((r) => r.date),
      onWet.map((w) => w.date),
    ),
  );
}

function overwateredInWords(full: number, of: number, felt: readonly Day[], onWet: readonly Day[]): string {
  return [
    full > of / 2 ? `full to the brim on ${full} of the last ${of} days` : '',
    felt.length > 0 ? `felt wet on ${daysInWords(felt)}` : '',
    onWet.length > 0 ? `watered all the same on ${daysInWords(onWet)}` : '',
  ]
    .filter(Boolean)
    .join('; ');
}

export function poorDrainage(s: Story): Verdict {
  const { place, asOf } = s.c;
  const because: Because[] = [];
  if (place.drainageMmPerH != null && place.drainageMmPerH < SLOW_PERCOLATION_MM_H)
    because.push({
      record: 'place',
      date: asOf,
      text: `water sinks ${showRain(place.drainageMmPerH, s.units)} an hour, under ${showRain(SLOW_PERCOLATION_MM_H, s.units)}`,
    });
  if (s.present.has('soil-pooling')) because.push({ record: 'sign', date: asOf, text: 'water stands on top' });
  if (because.length > 0) return found(0.7 + 0.2 * (because.length - 1), because);
  const heavy = place.texture === 'clay' || place.texture === 'clay-loam';
  return place.drainageMmPerH == null && heavy
    ? unknown('how fast water sinks in a dug hole', 'percolation-test')
    : ABSENT;
}

const LEAST_POT_L = { tomato: 15, pepper: 10 } as const;

export function smallContainer(s: Story): Verdict {
  const { place, plant, asOf } = s.c;
  const least = LEAST_POT_L[plant.crop];
  if (place.kind !== 'container' || place.volumeL == null || place.volumeL >= least) return ABSENT;
  return found(0.4 + 0.6 * (1 - place.volumeL / least), [
    {
      record: 'place',
      date: asOf,
      text: `${showLitres(place.volumeL, s.units)} of soil; a ${plant.crop} wants ${showLitres(least, s.units)} or more`,
    },
  ]);
}

export function leaching(s: Story, { within = 28 }: RuleParams): Verdict {
  const days = s.water(within);
  if (days.length === 0) return unknown(NO_WEATHER);
  const drained = days.filter((d) => d.drainedMm > 0);
  const total = drained.reduce((sum, d) => sum + d.drainedMm, 0);
  const taw = days.at(-1)!.tawMm;
  if (total < 1.5 * taw) return ABSENT;
  const dates: Day[] = drained.map((d) => d.date);
  return found(total / (5 * taw), [
    modelled(
      drained.at(-1)!,
      `water ran through on ${drained.length} days (${daysInWords(dates.slice(-3))} last) and took feed along`,
    ),
  ]);
}
