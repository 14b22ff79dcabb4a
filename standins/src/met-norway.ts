import type { IncomingMessage, ServerResponse } from 'node:http';
import { Faults } from './faults.js';
import { listen, type Listening } from './listening.js';
import { type SkyHour, skyHours, utcDay } from './sky.js';

/**
 * A stand-in for MET Norway's Locationforecast 2.0, `complete`: the fields of the published description, from memory. It
 * refuses who does not say who they are, and coordinates with more than four decimals; it answers 304 to "only if changed".
 *
 *   GET /weatherapi/locationforecast/2.0/complete?lat&lon&altitude
 *   POST /fault?is=…   see faults.ts
 */
export interface MetNorwayStandIn extends Listening {
  /** user agent and time of the last known state of each request, in order */
  asked: { who: string | undefined; since: string | undefined; path: string }[];
  faults: Faults;
}

const UNITS = {
  air_temperature: 'celsius',
  air_temperature_max: 'celsius',
  air_temperature_min: 'celsius',
  precipitation_amount: 'mm',
  probability_of_precipitation: '%',
  relative_humidity: '%',
  wind_speed: 'm/s',
};
const HOUR_S = 3600;
/** Steps are hourly for this long, then of six hours. */
const HOURLY_H = 60;
const DAYS = 9;
/** How long an answer holds. */
const HOLDS_MS = 30 * 60_000;
const CHANCE_OF_RAIN = 80;

/** Starts it. @param now ms since 1970 */
export async function startMetNorway(now: () => number = Date.now, port = 0): Promise<MetNorwayStandIn> {
  const faults = new Faults();
  const asked: MetNorwayStandIn['asked'] = [];
  const answer = (request: IncomingMessage, response: ServerResponse): void => {
    const url = new URL(request.url ?? '/', 'http://met');
    if (faults.switched(request, url, response)) return;
    const who = request.headers['user-agent'];
    const since = request.headers['if-modified-since'];
    asked.push({ who, since, path: `${url.pathname}${url.search}` });
    if (!who || /^(node|undici)/i.test(who)) return void response.writeHead(403).end('missing identification');
    const [lat, lon] = [url.searchParams.get('lat') ?? '', url.searchParams.get('lon') ?? ''];
    if (/\.\d{5,}$/.test(lat) || /\.\d{5,}$/.test(lon) || lat === '' || lon === '')
      return void response.writeHead(400).end('at most four decimals');
    // a new state every hour
    const state = new Date(Math.floor(now() / (HOUR_S * 1000)) * HOUR_S * 1000);
    const headers = { expires: new Date(now() + HOLDS_MS).toUTCString(), 'last-modified': state.toUTCString() };
    if (since && Date.parse(since) >= state.getTime() && faults.is === null)
      return void response.writeHead(304, headers).end();
    const place = {
      latitude: Number(lat),
      longitude: Number(lon),
      elevationM: Number(url.searchParams.get('altitude') ?? 0),
    };
    const late = faults.is === 'wrong-clock' ? 365 * 24 * HOUR_S * 1000 : 0;
    const hours = skyHours(place, utcDay(now(), -1), utcDay(now(), DAYS + 1)).filter(
      (h) => h.time * 1000 >= state.getTime(),
    );
    const series = seriesOf(hours, faults, late);
    void faults.send(
      response,
      {
        type: 'Feature',
        geometry: { type: 'Point', coordinates: [place.longitude, place.latitude, place.elevationM] },
        properties: {
          meta: { updated_at: state.toISOString(), units: faults.is === 'no-units' ? {} : UNITS },
          timeseries: faults.is === 'repeats' ? series.flatMap((s) => [s, s]) : series,
        },
      },
      headers,
    );
  };
  const listening = await listen(answer, port);
  const close = (): Promise<void> => {
    faults.end();
    return listening.close();
  };
  return { ...listening, close, asked, faults };
}

function seriesOf(hours: readonly SkyHour[], faults: Faults, late: number): object[] {
  const hourly = hours.slice(0, HOURLY_H).filter((_, i) => faults.is !== 'gaps' || i % 3 !== 0);
  const rest = hours.slice(HOURLY_H, DAYS * 24);
  const step = (list: readonly SkyHour[], length: 1 | 6): object => {
    const [h] = list;
    const rain = list.reduce((sum, x) => sum + x.rain, 0);
    const block = {
      summary: { symbol_code: rain > 0 ? 'rain' : 'fair_day' },
      details: {
        precipitation_amount: Math.round(rain * 10) / 10,
        probability_of_precipitation: rain > 0 ? CHANCE_OF_RAIN : 5,
        ...(length === 6
          ? {
              air_temperature_max: Math.max(...list.map((x) => x.temperature)),
              air_temperature_min: Math.min(...list.map((x) => x.temperature)),
            }
          : {}),
      },
    };
    return {
      time: new Date(h!.time * 1000 + late).toISOString(),
      data: {
        instant: {
          details: {
            air_temperature: faults.is === 'impossible' ? 900 : h!.temperature,
            relative_humidity: h!.humidity,
            wind_speed: h!.windUp,
          },
        },
        ...(length === 1 ? { next_1_hours: block } : { next_6_hours: block }),
      },
    };
  };
  const sixes = Array.from({ length: Math.floor(rest.length / 6) }, (_, i) => rest.slice(i * 6, i * 6 + 6));
  return [...hourly.map((h) => step([h], 1)), ...sixes.map((six) => step(six, 6))];
}
