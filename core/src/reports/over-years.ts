import type { WaterMethod } from '../records/choices.js';
import type { DisorderCode } from '../records/vocabulary/disorders.js';
import { joined } from '../units/formatter.js';

// Problems over the years, beside what differed between them: the weather, or what the gardener did.

/** Weather from the first planting out to the last picking. */
export interface YearWeather {
  meanC: number;
  hotDays: number;
  rainMm: number;
}

/** What was done in a season, as far as it is recorded; null where it is not. */
export interface YearMethod {
  /** share of plants that stood in mulch, 0 to 1 */
  mulched: number | null;
  /** how most waterings were given */
  way: WaterMethod | null;
  /** mean days between waterings of a bed or pot */
  everyDays: number | null;
  /** share of plants under a roof, in a tunnel or indoors */
  covered: number;
  /** days from the season's first day to the median planting out */
  plantedOn: number;
  /** varieties, by name */
  varieties: string[];
}

/** A season as the comparison over the years reads it. */
export interface YearOfTroubles {
  year: number;
  label: string;
  plants: number;
  /** plants with each problem */
  troubles: readonly { disorder: DisorderCode; plants: number }[];
  weather: YearWeather | null;
  method: YearMethod;
}

/** What can differ between two seasons. */
const DIFFERENCES = ['warmth', 'heat', 'rain', 'mulch', 'way', 'interval', 'cover', 'date', 'variety'] as const;
/** One of them. */
type Difference = (typeof DIFFERENCES)[number];
const OF_WEATHER: ReadonlySet<Difference> = new Set<Difference>(['warmth', 'heat', 'rain']);

/** A problem over the years. */
export interface TroubleOverYears {
  disorder: DisorderCode;
  years: { label: string; plants: number; of: number }[];
  /** the seasons in which it was on most and on fewest plants; null if they hardly differ, or plants are few */
  between: {
    most: string;
    least: string;
    differs: Difference[];
    verdict: 'weather' | 'method' | 'both' | 'neither' | 'unknown';
  } | null;
}

// Judgement: what a gardener would call another summer, or another way to grow.
const WARMER_C = 1.5;
const MORE_HOT_DAYS = 10;
const MORE_RAIN = { times: 1.5, mm: 60 };
const OTHER_SHARE = 0.5;
const OTHER_INTERVAL = 1.5;
const OTHER_DATE_DAYS = 14;
/** A problem on so many more of the plants is a difference. */
const TELLING_SHARE = 0.3;
/** Fewer plants of a season say nothing. */
const LEAST_PLANTS = 3;

/**
 * Returns each problem of these seasons with the plants that had it, and what differed between its worst and its best
 * season. Where weather and method both changed, which of them mattered cannot be said.
 */
export function troublesOverYears(seasons: readonly YearOfTroubles[]): TroubleOverYears[] {
  const codes = [...new Set(seasons.flatMap((y) => y.troubles.map((t) => t.disorder)))];
  const had = (y: YearOfTroubles, d: DisorderCode): number => y.troubles.find((t) => t.disorder === d)?.plants ?? 0;
  return codes
    .map((disorder) => {
      const share = (y: YearOfTroubles): number => had(y, disorder) / y.plants;
      const telling = seasons.filter((y) => y.plants >= LEAST_PLANTS).sort((a, b) => share(b) - share(a));
      const [most, least] = [telling[0], telling.at(-1)];
      return {
        disorder,
        years: seasons.map((y) => ({ label: y.label, plants: had(y, disorder), of: y.plants })),
        between: most && least && share(most) - share(least) >= TELLING_SHARE ? between(most, least) : null,
      };
    })
    .sort((a, b) => total(b) - total(a));
}

const total = (t: TroubleOverYears): number => t.years.reduce((sum, y) => sum + y.plants, 0);

function between(most: YearOfTroubles, least: YearOfTroubles): NonNullable<TroubleOverYears['between']> {
  const differs = differencesBetween(most, least);
  const weather = differs.some((d) => OF_WEATHER.has(d));
  const method = differs.some((d) => !OF_WEATHER.has(d));
  // without weather of both seasons, a changed method cannot be told from it
  const known = most.weather !== null && least.weather !== null;
  const verdict = !known ? 'unknown' : weather && method ? 'both' : weather ? 'weather' : method ? 'method' : 'neither';
  return { most: most.label, least: least.label, differs, verdict };
}

/**
 * Returns what differed between two seasons, as far as both are recorded.
 * @returns the weather first
 */
export function differencesBetween(
  a: Pick<YearOfTroubles, 'weather' | 'method'>,
  b: Pick<YearOfTroubles, 'weather' | 'method'>,
): Difference[] {
  const apart = (x: number | null, y: number | null, by: number): boolean =>
    x !== null && y !== null && Math.abs(x - y) >= by;
  const times = (x: number | null, y: number | null, by: number): boolean =>
    x !== null && y !== null && Math.max(x, y) >= by * Math.min(x, y);
  const [w, v] = [a.weather, b.weather];
  const [m, n] = [a.method, b.method];
  const both = w && v;
  const shared = m.varieties.filter((x) => n.varieties.includes(x)).length;
  const is: Record<Difference, boolean> = {
    warmth: both !== null && apart(w!.meanC, v!.meanC, WARMER_C),
    heat: both !== null && apart(w!.hotDays, v!.hotDays, MORE_HOT_DAYS),
    rain: both !== null && times(w!.rainMm, v!.rainMm, MORE_RAIN.times) && apart(w!.rainMm, v!.rainMm, MORE_RAIN.mm),
    mulch: apart(m.mulched, n.mulched, OTHER_SHARE),
    way: m.way !== null && n.way !== null && m.way !== n.way,
    interval: times(m.everyDays, n.everyDays, OTHER_INTERVAL),
    cover: apart(m.covered, n.covered, OTHER_SHARE),
    date: apart(m.plantedOn, n.plantedOn, OTHER_DATE_DAYS),
    variety: shared < OTHER_SHARE * Math.min(m.varieties.length, n.varieties.length),
  };
  return DIFFERENCES.filter((d) => is[d]);
}

const IN_WORDS: Record<Difference, string> = {
  warmth: 'warmth',
  heat: 'hot days',
  rain: 'rain',
  mulch: 'mulch',
  way: 'the way of watering',
  interval: 'days between waterings',
  cover: 'cover',
  date: 'the planting date',
  variety: 'varieties',
};

/** Returns what differed, and what that says, in one or two sentences; null if the seasons hardly differ. */
export function overYearsInWords({ between: b }: Pick<TroubleOverYears, 'between'>): string | null {
  if (b === null) return null;
  const what = joined(b.differs.map((d) => IN_WORDS[d]));
  const lead = `Most in ${b.most}, fewest in ${b.least}.`;
  if (b.verdict === 'neither') return `${lead} Nothing recorded differs between them.`;
  const differed = b.differs.length === 0 ? lead : `${lead} Different: ${what}.`;
  return {
    both: `${differed} Weather and method changed together, so they cannot be separated.`,
    weather: `${differed} Only the weather changed, so it is the likely reason.`,
    method: `${differed} The weather was alike, so this may be the reason.`,
    unknown: `${differed} The weather of one of them is not recorded, so it cannot be ruled out.`,
  }[b.verdict];
}
