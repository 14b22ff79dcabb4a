import { climateOfPlace, generateWeather, seeded, type WeatherDay } from '@candid-leaf/core/climate';
import type { Day } from '@candid-leaf/core/units';
import {
  type BenchPlant,
  type BenchRow,
  runYear,
  seasonSpan,
  seasonWeather,
  type SetUp,
  yearSeed,
} from '@candid-leaf/core/water';

export interface BenchAsked {
  plant: BenchPlant;
  setUps: SetUp[];
  recorded: WeatherDay[];
  weather: 'recorded' | 'simulated';
  years: number;
  plantedOn: Day | null;
  year: number;
}

export type BenchReply = { done: number; of: number } | { rows: BenchRow[]; tookMs: number };

/** Each simulated year draws new weather for the season; the dates stay. */
const SEED = 20;

function run(asked: BenchAsked): void {
  const { plant, setUps } = asked;
  const from = performance.now();
  const rows: BenchRow[] = setUps.map((setUp) => ({ setUp, seasons: [] }));
  const years = asked.weather === 'recorded' ? 1 : asked.years;
  const table = climateOfPlace(plant.garden.latitude, plant.garden.elevationM, asked.recorded, plant.garden.longitude);
  const span = seasonSpan(plant.garden, asked.year, asked.plantedOn);
  let reportedAt = from;
  for (let y = 0; y < years; y++) {
    const seed = yearSeed(SEED, y);
    const days =
      asked.weather === 'recorded'
        ? asked.recorded
        : generateWeather(table, plant.garden, span.from, span.days, seeded(seed));
    const made = runYear(plant, setUps, seasonWeather(plant, days), seed);
    made.forEach((season, i) => rows[i]!.seasons.push(season));
    const now = performance.now();
    if (now - reportedAt > 50) {
      reportedAt = now;
      self.postMessage({ done: y + 1, of: years } satisfies BenchReply);
    }
  }
  self.postMessage({ rows, tookMs: performance.now() - from } satisfies BenchReply);
}

self.onmessage = (e: MessageEvent<BenchAsked>) => run(e.data);
