import { washedShare } from './leaching.js';
import type { WeatherDay } from '../climate/gaps.js';
import { type Random, seeded } from '../climate/random.js';
import { weatherInPlace } from '../climate/weather-in-place.js';
import type { PlaceFacts } from '../records/facts.js';
import type { PlantCase } from '../records/plant-case.js';
import { type Day, dayNumber } from '../units/day.js';
import type { BenchPlant, SeasonResult, SetUp } from './bench.js';
import { openEto } from './day-in-place.js';
import { WETTED_SHARE } from './evaporation.js';
import { evenness, FRUIT_WINDOW_DAYS } from './evenness.js';
import { type BalanceDay, NOTHING_GIVEN, startOf, stepRun } from './run.js';
import { dayNeed, type Demand, demands, etoAtPlant } from './season.js';
import { remembered, METHOD_STRATEGIES, timer, wateringLimit, type WateringStrategy } from './strategies.js';
import { DRY_SPELL_DAYS, isDryThenWet, isShortOfWater, swings, UNEVEN_SWINGS } from './stress.js';
import { at, first, last } from '../units/lists.js';

// Seasons of watering methods, day by day. Many thousands run at once, so what set-ups share is computed once.

/** One season's weather where the plant grows, with its reference evapotranspiration, computed once for all set-ups. */
interface SeasonWeather {
  days: readonly WeatherDay[];
  etoMm: readonly number[];
}

/** Returns the weather of a season where the plant grows, with evapotranspiration, mm. */
export function seasonWeather(c: Pick<PlantCase, 'garden' | 'place'>, days: readonly WeatherDay[]): SeasonWeather {
  const own = days.map((w) => weatherInPlace(c.place, w, c.garden));
  return { days: own, etoMm: days.map((w, i) => openEto(c, w, at(own, i)).etoMm) };
}

/** Fruit swells from this day after planting out (judgement). */
const FRUITING_FROM = 45;
/** A feed of 1 g of nitrogen every two weeks, and a plant's daily uptake (common habit; judgement). */
const FEED = { everyDays: 14, grams: 1, takenPerDay: 0.06 } as const;

/** Returns the bed or pot as the set-up changes it. */
export function placeWith(place: PlaceFacts, s: SetUp, from: Day): PlaceFacts {
  return {
    ...place,
    ...(s.volumeL ? { volumeL: s.volumeL } : {}),
    ...(s.texture ? { texture: s.texture } : {}),
    ...(s.mulchMm != null ? { mulch: s.mulchMm > 0 ? [{ from, depthMm: s.mulchMm }] : [] } : {}),
    ...(s.shadePct != null ? { shade: s.shadePct > 0 ? [{ from, blockPct: s.shadePct }] : [] } : {}),
  };
}

/** A day's demands, the same for every watering method. */
interface DayAsks {
  w: WeatherDay;
  etoMm: number;
  demand: Demand;
  /** the day's use without shortage, and the depletion at which to water, mm */
  useMm: number;
  limitMm: number;
}

interface SeasonAsks {
  place: PlaceFacts;
  days: readonly DayAsks[];
}

/** Returns the demands of a season's days with the set-up's changes. */
function seasonAsks(subject: BenchPlant, s: SetUp, weather: SeasonWeather): SeasonAsks {
  const firstDay = first(weather.days).date;
  const place = placeWith(subject.place, s, firstDay);
  const plant = { ...subject.plant, transplantedOn: firstDay, stage: null };
  const demandOn = demands({ place, plant, asOf: last(weather.days).date });
  const firstNo = dayNumber(firstDay);
  const days = weather.days.map((w, i): DayAsks => {
    const etoMm = etoAtPlant(place, w.date, at(weather.etoMm, i));
    const demand = demandOn(w, etoMm, firstNo + i);
    const { useMm, rawMm } = dayNeed(demand, etoMm, plant.crop);
    const stage = i >= FRUITING_FROM ? 'fruiting' : 'vegetative';
    const limitMm = wateringLimit({ crop: plant.crop, stage }, rawMm, demand.zone.tawMm);
    return { w, etoMm, demand, useMm, limitMm };
  });
  return { place, days };
}

/** Runs one season of one set-up, day by day from planting out. */
export const runSeason = (subject: BenchPlant, s: SetUp, weather: SeasonWeather, random: Random): SeasonResult =>
  run(subject, s, seasonAsks(subject, s, weather), random);

function run(subject: BenchPlant, s: SetUp, asks: SeasonAsks, random: Random): SeasonResult {
  const made = { place: asks.place, crop: subject.plant.crop };
  const state = startOf({ fraction: 1, sd: 0 });
  const wettedShare = WETTED_SHARE.base;
  const recorded = new Map((subject.watering ?? []).map((w) => [w.date.slice(5), w.litres ?? 0]));
  const strategy = strategyOf(s, random);
  const days: BalanceDay[] = [];
  let since = 99;
  let nitrogenG: number = FEED.grams;
  let washedG = 0;
  let visits = 0;
  let litresGiven = 0;
  for (const [i, { w, etoMm, demand, useMm, limitMm }] of asks.days.entries()) {
    const { zone } = demand;
    const litres = strategy
      ? strategy({ state, zone, useMm, limitMm, since }) * zone.soilM2
      : (recorded.get(w.date.slice(5)) ?? 0);
    const given = litres > 0 ? { litres, wettedShare } : NOTHING_GIVEN;
    const day = stepRun(state, made, { w, etoMm, demand, given });
    days.push(day);
    since = litres > 0 ? 1 : since + 1;
    if (litres > 0) visits += 1;
    litresGiven += litres;
    if (i % FEED.everyDays === 0) nitrogenG += FEED.grams;
    const out = nitrogenG * washedShare(day);
    washedG += out;
    nitrogenG = Math.max(0, nitrogenG - out - FEED.takenPerDay);
  }
  const fruiting = days.slice(FRUITING_FROM);
  return {
    litres: litresGiven,
    drainedL: days.reduce((t, d) => t + d.drainedL, 0),
    visits,
    daysShort: days.filter(isShortOfWater).length,
    daysWet: days.filter((d) => d.waterlogged).length,
    evenness: evenness(fruiting) ?? 0,
    nitrogenWashedG: washedG,
    blossomEndRotShare: blossomEndRotDays(fruiting),
    splits: splitJumps(fruiting),
  };
}

/** Usual ETo of a day for a grown plant, mm, for a timer without an amount (judgement). */
const USUAL_ETO_MM = 4.5;

/** Returns null for recorded waterings: they follow no rule. */
function strategyOf(s: SetUp, random: Random): WateringStrategy | null {
  if (s.strategy === 'recorded') return null;
  if (s.strategy !== 'timer' && s.strategy !== 'remembered') return METHOD_STRATEGIES[s.strategy];
  const every = s.strategy === 'timer' ? (s.everyDays ?? 3) : 4;
  return (m) => {
    const mm = s.litres != null ? s.litres / m.zone.soilM2 : USUAL_ETO_MM * every * (m.zone.isPot ? 3 : 1);
    return (s.strategy === 'timer' ? timer(every, mm) : remembered(random, mm))(m);
  };
}

/** Returns the share of days whose last weeks had uneven watering or a dry spell, by the rules of the drivers. */
function blossomEndRotDays(days: readonly BalanceDay[]): number {
  if (days.length === 0) return 0;
  // counts within the window, updated from day to day
  const highs = new Set(swings(days).map((swing) => swing.high));
  let short = 0;
  let swung = 0;
  let hit = 0;
  const count = (d: BalanceDay | undefined, by: 1 | -1): void => {
    if (!d) return;
    if (isShortOfWater(d)) short += by;
    if (highs.has(d)) swung += by;
  };
  for (let i = 0; i < days.length; i++) {
    count(days[i], 1);
    count(days[i - FRUIT_WINDOW_DAYS], -1);
    if (short >= DRY_SPELL_DAYS || swung >= UNEVEN_SWINGS) hit++;
  }
  return hit / days.length;
}

/** Counts how often a dry time ended with a jump that splits fruit. */
const splitJumps = (days: readonly BalanceDay[]): number => days.filter((_, i) => isDryThenWet(days, i)).length;

/** Returns a seed per year, the same for all set-ups: they differ by what they do, not by luck. */
export const yearSeed = (seed: number, year: number): number => seed * 7919 + year;

/** Runs all set-ups through one year's weather. */
export function runYear(
  subject: BenchPlant,
  setUps: readonly SetUp[],
  weather: SeasonWeather,
  seed: number,
): SeasonResult[] {
  // set-ups that differ only in when they water share the demands
  const shared = new Map<string, SeasonAsks>();
  return setUps.map((s) => {
    const key = [s.volumeL, s.texture, s.mulchMm, s.shadePct].join();
    const asks = shared.get(key) ?? seasonAsks(subject, s, weather);
    shared.set(key, asks);
    return run(subject, s, asks, seeded(seed));
  });
}
