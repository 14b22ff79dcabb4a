import { parseCase } from '@candid-leaf/core/casefile';
import type { DriverCode } from '@candid-leaf/core/diagnosis';
import type { CheckCode } from '@candid-leaf/core/diagnosis';
import type { DisorderCode, GardenFacts, PlaceFacts, PlantCase, PlantFacts, SignCode } from '@candid-leaf/core/records';
import { addDays } from '@candid-leaf/core/units';

type Measured = Partial<PlantCase['records']['weather'][number]>;
/** Weather of so many days back: warmth, rain, and what else was measured. */
export type Weather = (back: number) => [tMin: number, tMax: number, rain: number, more?: Measured];

/** A case as a gardener would bring it, from extension teaching (from memory); the truth is what the teller knew. */
export interface SampleCase {
  name: string;
  group:
    | 'fruit'
    | 'flower'
    | 'water and weather'
    | 'nutrition'
    | 'natural and mechanical'
    | 'creatures'
    | 'disease'
    | 'two at once';
  place?: Partial<PlaceFacts>;
  plant?: Partial<PlantFacts>;
  garden?: Partial<GardenFacts>;
  weather?: Weather;
  records?: Partial<PlantCase['records']>;
  /** what was seen; with a minus what was looked for and not there */
  signs: readonly (SignCode | `-${SignCode}`)[];
  truth: readonly DisorderCode[];
  /** the main reason that the records hold */
  driver?: DriverCode;
  harmless?: true;
  /** it cannot be told from this: nothing may be stated as very likely, and one of these is to be looked at first */
  ask?: readonly CheckCode[];
  /** cases of one pair show the same signs; only place, weather and records tell them apart */
  pair?: string;
  /** any of these is the right first act; left out: any act for what it is */
  act?: readonly string[];
  /** remedies that an expert would call harmful here */
  never?: readonly string[];
}

export const ASOF = '2026-07-20';
export const on = (back: number): string => addDays(ASOF, -back);
const wave = (i: number, mean: number, swing = 1.5): number => Math.round((mean + swing * Math.sin(i * 1.7)) * 10) / 10;

/** Gardens elsewhere: troubles live where they live. */
export const AMERICA: Partial<GardenFacts> = { latitude: 38.6, longitude: -91, elevationM: 180 };
/** A coast with dry summers and winters without frost. */
export const SOUTH_COAST: Partial<GardenFacts> = {
  latitude: 37,
  longitude: -3.2,
  elevationM: 40,
  lastFrost: '02-10',
  firstFrost: '12-20',
};
/** A hot humid coast of the Americas. */
export const GULF: Partial<GardenFacts> = {
  latitude: 29.8,
  longitude: -91.5,
  elevationM: 5,
  lastFrost: '02-25',
  firstFrost: '12-05',
};
export const OCEAN: Partial<GardenFacts> = {
  latitude: 53.2,
  longitude: -6.5,
  elevationM: 60,
  lastFrost: '05-05',
  firstFrost: '11-05',
};
export const DESERT: Partial<GardenFacts> = {
  latitude: 33.2,
  longitude: -112.3,
  elevationM: 340,
  lastFrost: '02-15',
  firstFrost: '12-05',
};
/** Here July is winter. */
export const SOUTHERN: Partial<GardenFacts> = {
  latitude: -34.2,
  longitude: 18.6,
  elevationM: 90,
  lastFrost: '08-20',
  firstFrost: '06-05',
};

/** Kinds of weather. */
export const mild = (b: number): [number, number, number] => [wave(b, 15), wave(b + 1, 26), b % 9 === 4 ? 6 : 0];
export const dry = (b: number): [number, number, number] => [wave(b, 15), wave(b + 1, 27), 0];
export const hot = (b: number): [number, number, number] => [wave(b, 22), wave(b + 1, 35.5), 0];
export const heatLately = (b: number): [number, number, number] => (b < 9 ? hot(b) : dry(b));
export const rainy = (b: number): [number, number, number] => [wave(b, 16), wave(b + 1, 25), b % 2 ? 9 : 0];
export const coolWet = (b: number): [number, number, number] => [wave(b, 11), wave(b + 1, 18), b % 3 ? 7 : 0];
export const cold = (b: number): [number, number, number] => [wave(b, 7), wave(b + 1, 17), b % 6 === 2 ? 4 : 0];
export const frostLastNight = (b: number): [number, number, number] =>
  b === 0 ? [-1, 12, 0] : [wave(b, 6), wave(b + 1, 16), 0];
/** So many days of one weather up to today, another before. */
export const lately =
  (days: number, now: Weather, before: Weather): Weather =>
  (b) =>
    b < days ? now(b) : before(b);
export const storm = (b: number): [number, number, number] => (b === 2 ? [16, 23, 55] : dry(b));

/** Habits of watering, litres per plant. */
export const every = (days: number, litres: number, how: 'base' | 'overhead' | 'drip' | 'bottom' = 'base', span = 40) =>
  Array.from({ length: Math.floor(span / days) }, (_, i) => ({
    date: on((Math.floor(span / days) - 1 - i) * days),
    litres,
    how,
  }));
export const feed = (back: number, n: number, p2o5: number, k2o: number, grams: number) => ({
  date: on(back),
  n,
  p2o5,
  k2o,
  grams,
});

export const BED: Partial<PlaceFacts> = {
  kind: 'ground',
  texture: 'loam',
  areaM2: 0.25,
  mulch: [{ from: on(40), depthMm: 60 }],
};
export const BARE: Partial<PlaceFacts> = { kind: 'ground', texture: 'loam', areaM2: 0.25, mulch: [] };
export const CLAY: Partial<PlaceFacts> = {
  kind: 'ground',
  texture: 'clay',
  areaM2: 0.22,
  drainageMmPerH: 10,
  mulch: [],
};
export const POT: Partial<PlaceFacts> = {
  kind: 'container',
  texture: 'potting-mix',
  volumeL: 12,
  potMaterial: 'terracotta',
};
export const TUB: Partial<PlaceFacts> = {
  kind: 'container',
  texture: 'potting-mix',
  volumeL: 40,
  potMaterial: 'plastic',
};
export const TUNNEL: Partial<PlaceFacts> = { kind: 'tunnel-bed', texture: 'loam', areaM2: 0.25 };
export const PEPPER: Partial<PlantFacts> = { crop: 'pepper', type: 'sweet', heightM: 0.6 };
export const SEEDLING: Partial<PlantFacts> = { stage: 'seedling', heightM: 0.1, transplantedOn: on(12) };

/** Ten weeks: the flowers that became today’s fruit opened in them. */
const DAYS = 70;

/** A sign as it is told on the day of the question; with a minus before it, looked for and not there. */
export const observationOf = (told: string) => ({
  date: ASOF,
  sign: told.replace(/^-/, '') as SignCode,
  present: !told.startsWith('-'),
});

/** The records of a case are read and checked once; only what is seen changes from look to look. */
const bases = new WeakMap<SampleCase, PlantCase>();

/** The sample case as a case file, with other signs than its own where some are given. */
export function caseOf(t: SampleCase, signs: readonly string[] = t.signs): PlantCase {
  const base = bases.get(t) ?? readCase(t);
  bases.set(t, base);
  return { ...base, observations: signs.map(observationOf) };
}

function readCase(t: SampleCase): PlantCase {
  const weather = Array.from({ length: DAYS }, (_, i) => {
    const [tMinC, tMaxC, rainMm, more] = (t.weather ?? mild)(DAYS - 1 - i);
    return { date: on(DAYS - 1 - i), tMinC, tMaxC, rainMm, ...more };
  });
  return parseCase({
    format: 'candid-leaf-case',
    version: 1,
    asOf: ASOF,
    garden: { latitude: 45.2, longitude: 10, elevationM: 120, lastFrost: '04-15', firstFrost: '10-30', ...t.garden },
    place: { ...BED, ...t.place },
    plant: {
      crop: 'tomato',
      type: 'slicer',
      stage: 'fruiting',
      transplantedOn: '2026-05-12',
      heightM: 1.3,
      ...(t.plant?.crop === 'pepper' ? { type: 'sweet' } : {}),
      ...t.plant,
    },
    records: { weather, watering: every(3, 6), ...t.records },
    observations: t.signs.map(observationOf),
  });
}
