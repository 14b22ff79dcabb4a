import { climateOfPlace } from '../climate/climate-of-place.js';
import { type Random } from '../climate/random.js';
import { generateWeather } from '../climate/weather-generator.js';
import type { GardenFacts, PlaceFacts, PlantFacts } from '../records/facts.js';
import { isPotted } from '../records/place.js';
import { type CaseRecords, noRecords, type PlantCase } from '../records/plant-case.js';
import { type Crop, typesOf } from '../records/plant.js';
import type { Feeding, Pruning, Watering } from '../records/record-classes.js';
import { addDays, type Day } from '../units/day.js';
import { rimAreaM2 } from '../water/root-zone.js';
import { at } from '../units/lists.js';
import { roundTo } from '../units/rounding.js';

// A made-up plant with its garden, weather and records: everything but its problem.

/** Returns an element at random. */
export const pick = <T>(random: Random, list: readonly T[]): T => at(list, Math.floor(random() * list.length));
const between = (random: Random, low: number, high: number): number => low + random() * (high - low);
const chance = (random: Random, p: number): boolean => random() < p;

/** Invented gardens in four climates. */
const GARDENS: readonly GardenFacts[] = [
  { latitude: 45.6, longitude: 9.1, elevationM: 180, lastFrost: '04-18', firstFrost: '10-28' },
  { latitude: 52.3, longitude: 4.9, elevationM: 5, lastFrost: '05-05', firstFrost: '10-20' },
  { latitude: 34.1, longitude: -84.3, elevationM: 320, lastFrost: '04-05', firstFrost: '11-02' },
  { latitude: 38.4, longitude: -7.9, elevationM: 240, lastFrost: '03-20', firstFrost: '11-20' },
];

const PLACES: readonly ((random: Random) => PlaceFacts)[] = [
  (r) => ({
    kind: 'container',
    texture: 'potting-mix',
    volumeL: pick(r, [8, 12, 20, 30]),
    potMaterial: pick(r, ['plastic', 'terracotta', 'fabric'] as const),
  }),
  (r) => ({ kind: 'ground', texture: pick(r, ['sandy-loam', 'loam', 'clay-loam', 'clay'] as const), areaM2: 0.25 }),
  (r) => ({
    kind: 'raised-bed',
    texture: pick(r, ['sandy-loam', 'loam'] as const),
    fillingCm: pick(r, [25, 40]),
    areaM2: 0.25,
  }),
  () => ({ kind: 'tunnel-bed', texture: 'loam', areaM2: 0.25, vents: 'open' }),
];

/** How someone waters: whether this morning, and what share of the usual amount. */
type Habit = (random: Random, i: number, sinceLast: number) => number;
const HABITS: readonly Habit[] = [
  // steady
  (_r, _i, since) => (since >= 2 ? 1 : 0),
  // every morning, and plenty
  () => 0.9,
  // when they remember, and then a lot
  (r, _i, since) => (since >= 6 || (since >= 4 && chance(r, 0.4)) ? 1.8 : 0),
  // once a week
  (_r, i) => (i % 7 === 0 ? 2.5 : 0),
  // a little, often
  (_r, i) => (i % 2 === 0 ? 0.35 : 0),
];

/**
 * Returns the usual amount of one watering, L: a tenth of a pot or more, or about 8 mm over a plant's ground with the
 * roots around it.
 */
const usualLitres = (place: PlaceFacts): number =>
  isPotted(place) ? Math.max(1, 0.13 * (place.volumeL ?? 10)) : Math.max(2, 12 * (place.areaM2 ?? rimAreaM2(20)));

function watering(random: Random, place: PlaceFacts, days: readonly Day[]): Watering[] {
  const habit = pick(random, HABITS);
  const usual = usualLitres(place);
  // overhead watering wets leaves: a habit of its own
  const how = chance(random, 0.3) ? 'overhead' : 'base';
  const out: Watering[] = [];
  let since = 9;
  days.forEach((date, i) => {
    const share = habit(random, i, since);
    since = share > 0 ? 1 : since + 1;
    if (share > 0) out.push({ date, litres: roundTo(share * usual, 1), how });
  });
  return out;
}

function feeding(random: Random, days: readonly Day[]): Feeding[] {
  const way = pick(random, ['none', 'fortnightly', 'fortnightly', 'strong'] as const);
  if (way === 'none') return [];
  const feed =
    way === 'strong'
      ? { product: 'a lawn-green feed', n: 20, p2o5: 5, k2o: 5, grams: 9 }
      : { product: 'a tomato feed', n: 5, p2o5: 5, k2o: 8, grams: 12 };
  return days.filter((_, i) => i % 14 === 10).map((date) => ({ date, ...feed }));
}

function pruning(random: Random, crop: Crop, days: readonly Day[]): Pruning[] {
  const way = pick(random, ['none', 'light', 'light', 'hard'] as const);
  if (way === 'none') return [];
  if (way === 'hard')
    return [{ date: days.at(-1 - Math.floor(between(random, 4, 11)))!, cuts: 9, leafSharePct: 35, what: ['thinning'] }];
  const what = crop === 'tomato' ? 'suckers' : 'lower-leaves';
  return days.filter((_, i) => i % 10 === 8).map((date) => ({ date, cuts: 2, leafSharePct: 4, what: [what] }));
}

/** Returns the stage by days since planting out (common practice). */
const stageAfter = (days: number): PlantFacts['stage'] =>
  days < 18 ? 'establishing' : days < 32 ? 'vegetative' : days < 45 ? 'flowering' : days < 70 ? 'fruiting' : 'ripening';

const YEAR = 2026;

/** Draws a garden, its planting day and the plant's age, days. */
function drawDates(random: Random): { garden: GardenFacts; planted: Day; age: number } {
  const garden = pick(random, GARDENS);
  const planted = addDays(`${YEAR}-${garden.lastFrost!}`, Math.floor(between(random, 12, 26)));
  const age = Math.floor(chance(random, 0.2) ? between(random, 12, 30) : between(random, 36, 130));
  return { garden, planted, age };
}

/** Most draws of dates until one falls into a month. */
const MOST_DATES = 60;
const monthOf = (day: Day): number => Number(day.slice(5, 7));

/**
 * Draws one, from planting out to the day of the question.
 * @param month of the question, 1 to 12, where plants stand outside in it; else any
 */
export function madeUpPlant(random: Random, month: number | null = null): PlantCase {
  let { garden, planted, age } = drawDates(random);
  for (let i = 0; month !== null && monthOf(addDays(planted, age)) !== month && i < MOST_DATES; i++)
    ({ garden, planted, age } = drawDates(random));
  const place = pick(random, PLACES)(random);
  const crop = pick(random, ['tomato', 'tomato', 'pepper'] as const);
  const asOf = addDays(planted, age);
  const weather = generateWeather(
    climateOfPlace(garden.latitude, garden.elevationM, [], garden.longitude),
    garden,
    planted,
    age + 1,
    random,
  );
  const days = weather.map((w) => w.date);
  const records: CaseRecords = {
    ...noRecords(),
    weather,
    watering: watering(random, place, days),
    feeding: feeding(random, days),
    pruning: age > 35 ? pruning(random, crop, days) : [],
  };
  if (chance(random, 0.4))
    place.mulch = [{ from: at(days, Math.min(10, days.length - 1)), depthMm: 50, kind: 'straw' }];
  if (!isPotted(place) && chance(random, 0.4)) place.history = [{ year: YEAR - 1, family: 'nightshade', problems: [] }];
  const tall = crop === 'tomato' ? 1.7 : 0.75;
  const plant: PlantFacts = {
    crop,
    type: pick(random, typesOf(crop)),
    ...(crop === 'tomato' ? { habit: pick(random, ['indeterminate', 'determinate'] as const) } : {}),
    stage: stageAfter(age),
    transplantedOn: planted,
    heightM: Math.round(100 * Math.min(tall, tall * Math.max(0.2, age / 75))) / 100,
    name: `A ${crop}`,
  };
  return { asOf, garden, place, plant, records, observations: [] };
}
