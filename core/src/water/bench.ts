import { washedShare } from './leaching.js';
import type { WeatherDay } from '../climate/gaps.js';
import { type Random, seeded } from '../climate/random.js';
import { weatherInPlace } from '../climate/weather-in-place.js';
import type { PlaceFacts } from '../records/facts.js';
import type { PlantCase } from '../records/plant-case.js';
import { addDays, type Day, dayNumber, daysBetween } from '../units/day.js';
import { openEto } from './day-in-place.js';
import { WETTED_SHARE } from './evaporation.js';
import { evenness, FRUIT_WINDOW_DAYS } from './evenness.js';
import { type BalanceDay, NOTHING_GIVEN, startOf, stepRun } from './run.js';
import type { SchoolCode } from './schools.js';
import { dayNeed, demandOn, etoAtPlant, seasonClock } from './season.js';
import { remembered, SCHOOL_STRATEGIES, timer, wateringLimit, type WateringStrategy } from './strategies.js';
import { DRY_SPELL_DAYS, isDryThenWet, isShortOfWater, swings, UNEVEN_SWINGS } from './stress.js';

/** A way of watering or a change to be tried: what is left out stays as the place is. */
export interface SetUp {
  name: string;
  strategy: SchoolCode | 'timer' | 'remembered' | 'recorded';
  /** timer: every so many days */
  everyDays?: number | null;
  /** timer and remembered: litres each time, per plant; by default what the rhythm's days use on average */
  litres?: number | null;
  mulchMm?: number | null;
  volumeL?: number | null;
  texture?: PlaceFacts['texture'] | null;
  shadePct?: number | null;
}

export interface SeasonResult {
  /** all per plant */
  litres: number;
  drainedL: number;
  visits: number;
  /** days with Ks under 0.8, and days with water standing above field capacity */
  daysShort: number;
  daysWet: number;
  evenness: number;
  nitrogenWashedG: number;
  /** share of fruiting days on which the records would speak for black ends (the rules of the diagnosis) */
  blackEnds: number;
  /** jumps from dry to wet that split fruit, in the season */
  splits: number;
}

export type BenchPlant = Pick<PlantCase, 'place' | 'plant' | 'garden'> & {
  watering?: PlantCase['records']['watering'];
};

/** One season's weather where the plant stands, with the reference evapotranspiration there, worked out once for all set-ups. */
export interface SeasonWeather {
  days: readonly WeatherDay[];
  etoMm: readonly number[];
}

export function seasonWeather(c: Pick<PlantCase, 'garden' | 'place'>, days: readonly WeatherDay[]): SeasonWeather {
  const own = days.map((w) => weatherInPlace(c.place, w, c.garden));
  return { days: own, etoMm: days.map((w, i) => openEto(c, w, own[i]!).etoMm) };
}

/** Fruit swells from here on, days after planting out (judgement). */
const FRUITING_FROM = 45;
/** A feed of 1 g of nitrogen a fortnight, and what a plant takes of it a day (common habit; judgement). */
const FEED = { everyDays: 14, grams: 1, takenPerDay: 0.06 } as const;

/** The place as the set-up would have it. */
export function placeWith(place: PlaceFacts, s: SetUp, from: Day): PlaceFacts {
  return {
    ...place,
    ...(s.volumeL ? { volumeL: s.volumeL } : {}),
    ...(s.texture ? { texture: s.texture } : {}),
    ...(s.mulchMm != null ? { mulch: s.mulchMm > 0 ? [{ from, depthMm: s.mulchMm }] : [] } : {}),
    ...(s.shadePct != null ? { shade: s.shadePct > 0 ? [{ from, blockPct: s.shadePct }] : [] } : {}),
  };
}

/** One season of one set-up, day by day from planting out. */
export function runSeason(subject: BenchPlant, s: SetUp, weather: SeasonWeather, random: Random): SeasonResult {
  const first = weather.days[0]!.date;
  const last = weather.days.at(-1)!.date;
  const place = placeWith(subject.place, s, first);
  const plant = { ...subject.plant, transplantedOn: first, stage: null };
  const clock = seasonClock({ plant, asOf: last });
  const made = { place, crop: plant.crop };
  const state = startOf({ fraction: 1, sd: 0 });
  const wets = WETTED_SHARE.base;
  const recorded = new Map((subject.watering ?? []).map((w) => [w.date.slice(5), w.litres]));
  const strategy = strategyOf(s, random);
  const days: BalanceDay[] = [];
  let since = 99;
  let nitrogenG: number = FEED.grams;
  let washedG = 0;
  let visits = 0;
  let litresGiven = 0;
  const firstNo = dayNumber(first);
  weather.days.forEach((w, i) => {
    const etoMm = etoAtPlant(place, w.date, weather.etoMm[i]!);
    const demand = demandOn({ place, plant }, clock, w, etoMm, firstNo + i);
    const { zone } = demand;
    const { useMm, rawMm } = dayNeed(demand, etoMm, plant.crop);
    const stage = i >= FRUITING_FROM ? 'fruiting' : 'vegetative';
    const limitMm = wateringLimit({ crop: plant.crop, stage }, rawMm, zone.tawMm);
    const litres =
      s.strategy === 'recorded'
        ? (recorded.get(w.date.slice(5)) ?? 0)
        : strategy({ state, zone, useMm, limitMm, since }) * zone.soilM2;
    const day = stepRun(state, made, w, etoMm, demand, litres > 0 ? { litres, wets } : NOTHING_GIVEN, null);
    days.push(day);
    since = litres > 0 ? 1 : since + 1;
    if (litres > 0) visits += 1;
    litresGiven += litres;
    if (i % FEED.everyDays === 0) nitrogenG += FEED.grams;
    const out = nitrogenG * washedShare(day);
    washedG += out;
    nitrogenG = Math.max(0, nitrogenG - out - FEED.takenPerDay);
  });
  const fruiting = days.slice(FRUITING_FROM);
  return {
    litres: litresGiven,
    drainedL: days.reduce((t, d) => t + d.drainedL, 0),
    visits,
    daysShort: days.filter(isShortOfWater).length,
    daysWet: days.filter((d) => d.waterlogged).length,
    evenness: evenness(fruiting) ?? 0,
    nitrogenWashedG: washedG,
    blackEnds: blackEndDays(fruiting),
    splits: splitJumps(fruiting),
  };
}

/** Usual use of a grown plant, mm of ETo a day, for a timer whose amount nobody gave (judgement). */
const USUAL_ETO_MM = 4.5;

function strategyOf(s: SetUp, random: Random): WateringStrategy {
  if (s.strategy === 'recorded') return () => 0;
  if (s.strategy !== 'timer' && s.strategy !== 'remembered') return SCHOOL_STRATEGIES[s.strategy];
  const every = s.strategy === 'timer' ? (s.everyDays ?? 3) : 4;
  return (m) => {
    const mm = s.litres != null ? s.litres / m.zone.soilM2 : USUAL_ETO_MM * every * (m.zone.isPot ? 3 : 1);
    return (s.strategy === 'timer' ? timer(every, mm) : remembered(random, mm))(m);
  };
}

/** Share of days on which the weeks in which today's fruit grew hold uneven watering or a dry spell, by the rules of the drivers. */
function blackEndDays(days: readonly BalanceDay[]): number {
  if (days.length === 0) return 0;
  const highs = swings(days).map((swing) => days.indexOf(swing.high));
  let hit = 0;
  for (let i = 0; i < days.length; i++) {
    const from = Math.max(0, i + 1 - FRUIT_WINDOW_DAYS);
    let short = 0;
    for (let k = from; k <= i; k++) if (isShortOfWater(days[k]!)) short++;
    const swung = highs.filter((h) => h >= from && h <= i).length;
    if (short >= DRY_SPELL_DAYS || swung >= UNEVEN_SWINGS) hit++;
  }
  return hit / days.length;
}

/** How often a dry time ended with a jump that splits fruit. */
const splitJumps = (days: readonly BalanceDay[]): number => days.filter((_, i) => isDryThenWet(days, i)).length;

export interface BenchRow {
  setUp: SetUp;
  seasons: SeasonResult[];
}

/** A seed of its own for every year, the same for all set-ups: they differ by what they do, not by luck. */
export const yearSeed = (seed: number, year: number): number => seed * 7919 + year;

/** All set-ups through one year's weather. */
export const runYear = (
  subject: BenchPlant,
  setUps: readonly SetUp[],
  weather: SeasonWeather,
  seed: number,
): SeasonResult[] => setUps.map((s) => runSeason(subject, s, weather, seeded(seed)));

export const middle = (list: readonly number[]): { low: number; mid: number; high: number } => {
  const sorted = [...list].sort((a, b) => a - b);
  const at = (share: number): number =>
    sorted[Math.min(sorted.length - 1, Math.max(0, Math.round(share * (sorted.length - 1))))] ?? 0;
  return { low: at(0.1), mid: at(0.5), high: at(0.9) };
};

const KEYS = [
  'litres',
  'drainedL',
  'visits',
  'daysShort',
  'daysWet',
  'evenness',
  'nitrogenWashedG',
  'blackEnds',
  'splits',
] as const;
export type BenchMeasure = (typeof KEYS)[number];
export const BENCH_MEASURES: readonly BenchMeasure[] = KEYS;

/** The plain verdict: which set-up keeps the plant best, and what it costs beside the others. */
export function verdict(rows: readonly BenchRow[]): { best: number; why: string } | null {
  if (rows.length === 0 || rows[0]!.seasons.length === 0) return null;
  const mid = (row: BenchRow, key: BenchMeasure): number => middle(row.seasons.map((s) => s[key])).mid;
  // short of water weighs most, then a rhythm that harms fruit, then wet feet; water and visits only decide among equals
  const cost = (row: BenchRow): number =>
    mid(row, 'daysShort') +
    30 * mid(row, 'blackEnds') +
    3 * mid(row, 'splits') +
    mid(row, 'daysWet') +
    10 * (1 - mid(row, 'evenness')) +
    mid(row, 'litres') / 100 +
    mid(row, 'visits') / 20;
  const best = rows.reduce((b, row, i) => (cost(row) < cost(rows[b]!) ? i : b), 0);
  const row = rows[best]!;
  const others = rows.filter((_, i) => i !== best);
  const worst = others.reduce<BenchRow | null>((w, r) => (!w || cost(r) > cost(w) ? r : w), null);
  const says = (r: BenchRow): string =>
    `${Math.round(mid(r, 'daysShort'))} days short of water, ${Math.round(mid(r, 'visits'))} waterings, evenness ${mid(r, 'evenness').toFixed(2)}`;
  return {
    best,
    why: worst
      ? `${row.setUp.name}: ${says(row)}. ${worst.setUp.name}: ${says(worst)}.`
      : `${row.setUp.name}: ${says(row)}.`,
  };
}

/** The calendar of a season: from planting out (or the last frost and a fortnight) on. */
export function seasonSpan(
  garden: PlantCase['garden'],
  year: number,
  plantedOn?: Day | null,
): { from: Day; days: number } {
  const south = garden.latitude < 0;
  const start = plantedOn ? plantedOn.slice(5) : (garden.lastFrost ?? (south ? '10-20' : '04-25'));
  const from = `${year}-${start === '02-29' ? '02-28' : start}`;
  const end = garden.firstFrost && !south ? `${year}-${garden.firstFrost}` : addDays(from, 160);
  return { from, days: Math.min(200, Math.max(90, daysBetween(from, end))) };
}
