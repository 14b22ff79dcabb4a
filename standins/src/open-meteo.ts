import type { IncomingMessage, ServerResponse } from 'node:http';
import { Faults } from './faults.js';
import { listen, type Listening } from './listening.js';
import { type SkyHour, type SkyPlace, skyDays, skyHours, utcDay } from './sky.js';

/**
 * A stand-in for Open-Meteo's forecast and archive: the fields and units of the published description, from memory.
 *
 *   GET /v1/forecast?latitude&longitude&elevation&hourly&past_days&forecast_days&timeformat&timezone&wind_speed_unit
 *   GET /v1/archive?latitude&longitude&elevation&start_date&end_date&hourly|daily&…
 *   POST /fault?is=…   see faults.ts
 */
export interface OpenMeteoStandIn extends Listening {
  /** paths asked for, in order */
  asked: string[];
  faults: Faults;
}

const UNITS: Record<string, string> = {
  temperature_2m: '°C',
  relative_humidity_2m: '%',
  precipitation: 'mm',
  precipitation_probability: '%',
  wind_speed_10m: 'm/s',
  shortwave_radiation: 'W/m²',
  temperature_2m_min: '°C',
  temperature_2m_max: '°C',
  precipitation_sum: 'mm',
};
const CHANCE_OF_RAIN = 80;
const HOUR_S = 3600;

/** Starts it. @param now ms since 1970 */
export async function startOpenMeteo(now: () => number = Date.now, port = 0): Promise<OpenMeteoStandIn> {
  const faults = new Faults();
  const asked: string[] = [];
  const answer = (request: IncomingMessage, response: ServerResponse): void => {
    const url = new URL(request.url ?? '/', 'http://open-meteo');
    if (faults.switched(request, url, response)) return;
    if (!url.pathname.startsWith('/v1/')) return void response.writeHead(404).end('{}');
    asked.push(`${url.pathname}${url.search}`);
    const places = placesOf(url.searchParams);
    if (places === null)
      return void response.writeHead(400).end('{"error":true,"reason":"Parameter latitude and longitude must match"}');
    const answers = places.map((place) => answerFor(place, url, now(), faults));
    void faults.send(response, answers.length === 1 ? answers[0] : answers);
  };
  const listening = await listen(answer, port);
  const close = (): Promise<void> => {
    faults.end();
    return listening.close();
  };
  return { ...listening, close, asked, faults };
}

function placesOf(query: URLSearchParams): SkyPlace[] | null {
  const list = (name: string): number[] => (query.get(name) ?? '').split(',').filter(Boolean).map(Number);
  const [north, east, up] = [list('latitude'), list('longitude'), list('elevation')];
  if (north.length === 0 || north.length !== east.length || [...north, ...east].some(Number.isNaN)) return null;
  return north.map((latitude, i) => ({ latitude, longitude: east[i]!, elevationM: up[i] ?? 0 }));
}

function answerFor(place: SkyPlace, url: URL, now: number, faults: Faults): object {
  const { searchParams: q } = url;
  const daily = q.get('daily')?.split(',');
  const begin = q.get('start_date') ?? utcDay(now, -Number(q.get('past_days') ?? 0));
  const end = q.get('end_date') ?? utcDay(now, Number(q.get('forecast_days') ?? 7) - 1);
  const frame = {
    latitude: place.latitude,
    longitude: place.longitude,
    elevation: place.elevationM,
    timezone: q.get('timezone'),
  };
  const units = (names: readonly string[]): object =>
    faults.is === 'no-units' ? {} : Object.fromEntries(names.map((n) => [n, UNITS[n]]));
  if (daily) {
    const days = skyDays(place, begin, end);
    const of: Record<string, (d: (typeof days)[number]) => number> = {
      temperature_2m_min: (d) => d.tMinC,
      temperature_2m_max: (d) => d.tMaxC,
      precipitation_sum: (d) => d.rainMm,
    };
    const columns = Object.fromEntries(daily.map((n) => [n, days.map((d) => of[n]?.(d) ?? null)]));
    return {
      ...frame,
      daily_units: { time: 'iso8601', ...units(daily) },
      daily: { time: days.map((d) => d.date), ...columns },
    };
  }
  const names = q.get('hourly')?.split(',') ?? [];
  const hours = faulty(skyHours(place, begin, end), faults);
  return {
    ...frame,
    hourly_units: { time: 'unixtime', ...units(names) },
    hourly: {
      time: hours.map((h) => h.time),
      ...Object.fromEntries(names.map((n) => [n, hours.map((h, i) => valueOf(n, h, hours[i - 1], faults, i))])),
    },
  };
}

/** Rain and sun are sums and means of the hour before the time stated. */
function valueOf(name: string, h: SkyHour, before: SkyHour | undefined, faults: Faults, i: number): number | null {
  if (faults.is === 'gaps' && i % 3 === 0) return null;
  switch (name) {
    case 'temperature_2m':
      return faults.is === 'impossible' ? 900 : h.temperature;
    case 'relative_humidity_2m':
      return h.humidity;
    case 'wind_speed_10m':
      return h.windUp;
    case 'precipitation':
      return before?.rain ?? 0;
    case 'precipitation_probability':
      return (before?.rain ?? 0) > 0 ? CHANCE_OF_RAIN : 5;
    case 'shortwave_radiation':
      return before?.sun ?? 0;
    default:
      return null;
  }
}

/** Hours of a service whose clock is wrong by a year, or that sends each one twice. */
function faulty(hours: SkyHour[], faults: Faults): SkyHour[] {
  if (faults.is === 'wrong-clock') return hours.map((h) => ({ ...h, time: h.time + 365 * 24 * HOUR_S }));
  if (faults.is === 'repeats') return hours.flatMap((h) => [h, h]);
  return hours;
}
