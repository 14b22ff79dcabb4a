import type { IncomingMessage, ServerResponse } from 'node:http';
import {
  windAt2m,
  type ClimateTable,
  forecastOf,
  type GeneratedDay,
  generateWeather,
  seeded,
} from '@candid-leaf/core/climate';
import { addDays, daysBetween, isDay } from '@candid-leaf/core/units';
import { Faults } from './faults.js';
import { listen, type Listening } from './listening.js';

/**
 * A simulated weather station and forecast. It draws a place's weather from a climate table and a seed: the same
 * question always gets the same answer.
 *
 *   GET /observed?latitude&longitude&elevation&from&to
 *   GET /forecast?latitude&longitude&elevation&issued
 *   POST /fault?down=true|false   switches the station off and on
 *   POST /fault?is=…              see faults.ts
 */

/** An invented inland plain near mountains: cold winters, warm thundery summers. */
const INLAND: ClimateTable = [
  [-2, 6, 0.16, 0.45, 6, 80, 1.4],
  [-1, 9, 0.16, 0.45, 6, 75, 1.6],
  [3, 14, 0.2, 0.48, 7, 68, 2.0],
  [7, 18, 0.24, 0.5, 8, 68, 2.1],
  [12, 23, 0.26, 0.5, 9, 68, 2.0],
  [16, 28, 0.2, 0.42, 9, 64, 1.9],
  [18, 31, 0.15, 0.35, 10, 61, 1.8],
  [18, 30, 0.17, 0.38, 11, 64, 1.7],
  [14, 25, 0.18, 0.45, 10, 70, 1.6],
  [9, 19, 0.2, 0.5, 9, 77, 1.4],
  [4, 12, 0.22, 0.52, 8, 82, 1.4],
  [-1, 7, 0.17, 0.46, 6, 83, 1.3],
].map(([tMinC, tMaxC, wetAfterDry, wetAfterWet, rainPerWetDayMm, rhMeanPct, windMs]) => ({
  tMinC: tMinC!,
  tMaxC: tMaxC!,
  wetAfterDry: wetAfterDry!,
  wetAfterWet: wetAfterWet!,
  rainPerWetDayMm: rainPerWetDayMm!,
  rhMeanPct: rhMeanPct!,
  windMs: windMs!,
}));

const FIRST_DAY = '2024-01-01';
const FORECAST_DAYS = 7;

/** Like most stations it measures wind 10 m up. */
const WIND_HEIGHT_M = 10;
const windUpThere = <D extends GeneratedDay>(day: D) => ({
  ...day,
  windMs: Math.round((day.windMs / windAt2m(1, WIND_HEIGHT_M)) * 10) / 10,
  windHeightM: WIND_HEIGHT_M,
});

interface Question {
  latitude: number;
  longitude: number;
  elevationM: number;
}

/** Returns the season's weather at a place; longer ones use the same seed, so the beginning never changes. */
function weatherAt(q: Question, seed: number, to: string): GeneratedDay[] {
  const own = seed + Math.round(q.latitude * 100) * 7919 + Math.round(q.longitude * 100) * 104729;
  return generateWeather(INLAND, q, FIRST_DAY, daysBetween(FIRST_DAY, to) + 1, seeded(own));
}

function questionOf(query: URLSearchParams): Question | string {
  const read = (name: string) => Number(query.get(name) ?? Number.NaN);
  const q = { latitude: read('latitude'), longitude: read('longitude'), elevationM: read('elevation') };
  const missing = Object.entries(q).find(([, v]) => Number.isNaN(v));
  return missing ? `${missing[0]} is missing or no number` : q;
}

/** The station, running. */
export type Station = Listening;

/** Starts the station on a free loopback port. */
export async function startStation(seed: number, port = 0): Promise<Station> {
  let down = false;
  const faults = new Faults();
  const answer = (request: IncomingMessage, response: ServerResponse): void => {
    const send = (status: number, body: unknown): void => {
      response.writeHead(status, { 'content-type': 'application/json' }).end(JSON.stringify(body));
    };
    const url = new URL(request.url ?? '/', 'http://station');
    if (request.method === 'POST' && url.searchParams.has('down')) {
      down = url.searchParams.get('down') === 'true';
      return send(200, { down });
    }
    if (faults.switched(request, url, response)) return;
    if (down) return send(503, { message: 'the station is down' });
    const q = questionOf(url.searchParams);
    if (typeof q === 'string') return send(400, { message: q });
    if (url.pathname === '/observed') {
      const [from, to] = [url.searchParams.get('from'), url.searchParams.get('to')];
      if (!isDay(from) || !isDay(to) || from < FIRST_DAY)
        return send(400, { message: `from and to must be days, none before ${FIRST_DAY}` });
      const days = weatherAt(q, seed, to).filter((d) => d.date >= from);
      return void faults.send(response, faulty(days.map(windUpThere), faults));
    }
    if (url.pathname === '/forecast') {
      const issued = url.searchParams.get('issued');
      if (!isDay(issued) || issued < FIRST_DAY) return send(400, { message: 'issued must be a day' });
      const truth = weatherAt(q, seed, addDays(issued, FORECAST_DAYS)).filter((d) => d.date > issued);
      const days = forecastOf(truth, seeded(seed + daysBetween(FIRST_DAY, issued)));
      return void faults.send(response, faulty(days.map(windUpThere), faults));
    }
    send(404, { message: 'no such question' });
  };
  const listening = await listen(answer, port);
  const close = (): Promise<void> => {
    faults.end();
    return listening.close();
  };
  return { ...listening, close };
}

function faulty<D extends { date: string; tMaxC: number }>(days: D[], faults: Faults): D[] {
  switch (faults.is) {
    case 'gaps':
      return days.filter((_, i) => i % 3 !== 0);
    case 'repeats':
      return days.flatMap((d) => [d, d]);
    case 'wrong-clock':
      return days.map((d) => ({ ...d, date: addDays(d.date, 365) }));
    case 'impossible':
      return days.map((d) => ({ ...d, tMaxC: 900 }));
    default:
      return days;
  }
}
