import type { WeatherRecord } from '../../casefile/record-classes.js';
import { spellOn } from '../../water/season.js';
import { dayWords, daysBetween, daysInWords } from '../../day.js';
import { isCovered } from '../../plant.js';
import { showTemperature } from '../../units/units.js';
import type { Story } from '../story.js';
import { ABSENT, found, unknown, type Because, type RuleParams, type Verdict } from './verdict.js';

/** Rules that read the weather. Temperatures: handbook ("Heat and cold"); each disorder may move them. */

const NO_WEATHER = 'the warmth of these weeks';

/** Enough hits in the window: found, with each hit as a reason; no weather at all: unknown. */
function counted(
  s: Story,
  within: number,
  least: number,
  hit: (w: WeatherRecord) => boolean,
  tell: (w: WeatherRecord) => string,
  sum: (hits: readonly WeatherRecord[]) => string,
): Verdict {
  const window = s.weather(within);
  if (window.length === 0) return unknown(NO_WEATHER);
  const hits = window.filter(hit);
  if (hits.length < least) return ABSENT;
  return found(
    hits.length / Math.max(4, 2 * least),
    hits.map((w): Because => ({ record: 'weather', date: w.date, text: tell(w) })),
    sum(hits),
  );
}

export const hotDays = (s: Story, { atC = 32, days = 3, within = 10 }: RuleParams): Verdict =>
  counted(
    s,
    within,
    days,
    (w) => w.tMaxC >= atC,
    (w) => `${showTemperature(w.tMaxC, s.units)} on ${dayWords(w.date)}`,
    (hits) =>
      `${showTemperature(atC, s.units)} or more on ${daysInWords(hits.map((w) => w.date))}, up to ${showTemperature(Math.max(...hits.map((w) => w.tMaxC)), s.units)}`,
  );

export const warmNights = (s: Story, { atC, days = 3, within = 10 }: RuleParams): Verdict => {
  const limit = atC ?? (s.c.plant.crop === 'tomato' ? 21 : 24);
  return counted(
    s,
    within,
    days,
    (w) => w.tMinC > limit,
    (w) => `night at ${showTemperature(w.tMinC, s.units)}, ${dayWords(w.date)}`,
    (hits) => `nights over ${showTemperature(limit, s.units)} on ${daysInWords(hits.map((w) => w.date))}`,
  );
};

export const coldNights = (s: Story, { atC, days = 3, within = 14 }: RuleParams): Verdict => {
  const limit = atC ?? (s.c.plant.crop === 'tomato' ? 13 : 15);
  return counted(
    s,
    within,
    days,
    (w) => w.tMinC < limit,
    (w) => `night at ${showTemperature(w.tMinC, s.units)}, ${dayWords(w.date)}`,
    (hits) =>
      `${hits.length} nights under ${showTemperature(limit, s.units)}, the last on ${dayWords(hits.at(-1)!.date)}`,
  );
};

export function lowLight(s: Story, { days = 5, within = 14 }: RuleParams): Verdict {
  const dark = s.weather(within).filter((w) => w.solarMj != null && w.solarMj < 10);
  const shade = spellOn(s.c.place.shade, s.c.asOf);
  const because = dark.map((w): Because => ({
    record: 'weather',
    date: w.date,
    text: `a dull day, ${dayWords(w.date)}`,
  }));
  if (shade && shade.blockPct >= 50)
    because.push({ record: 'place', date: shade.from, text: `shade that takes ${shade.blockPct} % of the light` });
  else if (dark.length < days) return s.c.place.kind === 'indoors' ? unknown('how much light it gets') : ABSENT;
  return found(0.4 + dark.length / 20, because);
}

export function windOrHail(s: Story, { within = 14 }: RuleParams): Verdict {
  const because = [
    ...s
      .recent(s.c.records.events, within)
      .filter((e) => e.what === 'hail' || e.what === 'strong-wind')
      .map((e): Because => ({
        record: 'event',
        date: e.date,
        text: `${e.what === 'hail' ? 'hail' : 'strong wind'} on ${dayWords(e.date)}`,
      })),
    ...s
      .weather(within)
      .filter((w) => (w.windMs ?? 0) >= 8)
      .map((w): Because => ({ record: 'weather', date: w.date, text: `wind of ${Math.round(w.windMs ?? 0)} m/s` })),
  ];
  return because.length > 0 ? found(0.4 + 0.2 * because.length, because) : ABSENT;
}

export function wetFoliage(s: Story, { within = 14, days = 5 }: RuleParams): Verdict {
  const overhead = s.recent(s.c.records.watering, within).filter((w) => w.how === 'overhead');
  const open = !isCovered(s.c.place.kind);
  const rain = open ? s.weather(within).filter((w) => w.rainMm >= 1) : [];
  const longWet = s.weather(within).filter((w) => (w.wetHours ?? 0) > 8);
  const because: Because[] = [
    ...overhead.map((w): Because => ({
      record: 'watering',
      date: w.date,
      text: `watered over the leaves on ${dayWords(w.date)}`,
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
            text: `leaves wet over 8 hours on ${daysInWords(longWet.map((w) => w.date))}`,
          } as Because,
        ]
      : []),
  ];
  if (because.length > 0) return found(0.3 + overhead.length * 0.15 + rain.length / 20 + longWet.length / 10, because);
  return s.weather(within).length === 0 ? unknown('the rain of the last two weeks') : ABSENT;
}

export function humidStillAir(s: Story, { within = 14, pct = 85 }: RuleParams): Verdict {
  const damp = s.weather(within).filter((w) => (w.rhMeanPct ?? 0) > pct);
  const because: Because[] = [];
  if (isCovered(s.c.place.kind) && damp.length >= 3)
    because.push({
      record: 'weather',
      date: damp.at(-1)!.date,
      text: `air over ${pct} % humid on ${damp.length} days under cover`,
    });
  if (s.present.has('plant-dense'))
    because.push({ record: 'sign', date: s.c.asOf, text: 'so bushy that no air moves in it' });
  if (because.length > 0) return found(0.6, because);
  return isCovered(s.c.place.kind) && s.weather(within).every((w) => w.rhMeanPct == null)
    ? unknown('how humid it is under the cover')
    : ABSENT;
}

export function plantedTooEarly(s: Story): Verdict {
  const planted = s.c.plant.transplantedOn;
  if (!planted) return unknown('the day of planting out');
  const week = s.c.records.weather.filter((w) => w.date >= planted && daysBetween(planted, w.date) < 14);
  const cold = week.filter((w) => w.tMinC < 10);
  const lastFrost = s.c.garden.lastFrost;
  if (lastFrost && planted.slice(5) < lastFrost)
    return found(0.6, [
      { record: 'plant', date: planted, text: `planted out on ${dayWords(planted)}, before the usual last frost` },
    ]);
  if (cold.length < 3) return ABSENT;
  return found(cold.length / 10, [
    {
      record: 'weather',
      date: cold[0]!.date,
      text: `${cold.length} nights under ${showTemperature(10, s.units)} in the two weeks after planting out`,
    },
  ]);
}
