import { Inject, Injectable } from '@nestjs/common';
import { windAt2m } from '@candid-leaf/core/climate';
import type { Day } from '@candid-leaf/core/units';
import { CONFIG, type Config } from '../config.js';

/** A measured day at a weather station, metric. */
export interface StationDay {
  date: Day;
  tMinC: number;
  tMaxC: number;
  rainMm: number;
  rhMeanPct: number | null;
  /** at the station's own height */
  windMs: number | null;
  /** height of the wind sensor, m above ground; 2 if not stated */
  windHeightM?: number | null;
  solarMj: number | null;
}

/** A forecast day of a weather station. */
export interface StationForecastDay extends StationDay {
  rainChancePct: number;
}

interface StationPlace {
  latitude: number;
  longitude: number;
  elevationM: number;
}

/** The one interface to outside weather. Another source is another class. */
export abstract class WeatherStation {
  /** Returns measured days from `from` to `to`, inclusive. */
  abstract observed(place: StationPlace, from: Day, to: Day): Promise<StationDay[]>;
  /** Returns the days after `issued`, as forecast on it. */
  abstract forecast(place: StationPlace, issued: Day): Promise<StationForecastDay[]>;
}

const PATIENCE_MS = 5000;

/** Plausible heights for measuring wind, m. */
const LOWEST_M = 1;
const HIGHEST_M = 100;

/** Converts wind measured higher up to 2 m, as the equations need (FAO-56 eq. 47). */
function windBroughtDown(day: StationDay): StationDay {
  const { windMs, windHeightM, ...rest } = day;
  const height = windHeightM ?? 2;
  const known = typeof windMs === 'number' && height >= LOWEST_M && height <= HIGHEST_M;
  return { ...rest, windMs: known && height !== 2 ? windAt2m(windMs, height) : windMs };
}

/** A station that answers over HTTP with JSON. */
@Injectable()
export class HttpWeatherStation extends WeatherStation {
  constructor(@Inject(CONFIG) private readonly config: Config) {
    super();
  }

  observed(place: StationPlace, from: Day, to: Day): Promise<StationDay[]> {
    return this.ask<StationDay[]>('observed', place, { from, to });
  }

  forecast(place: StationPlace, issued: Day): Promise<StationForecastDay[]> {
    return this.ask<StationForecastDay[]>('forecast', place, { issued });
  }

  private async ask<T>(what: string, place: StationPlace, more: Record<string, string>): Promise<T> {
    if (!this.config.stationUrl) throw new Error('no weather station is set up');
    const query = new URLSearchParams({
      ...more,
      latitude: String(place.latitude),
      longitude: String(place.longitude),
      elevation: String(place.elevationM),
    });
    const answer = await fetch(`${this.config.stationUrl}/${what}?${query.toString()}`, {
      signal: AbortSignal.timeout(PATIENCE_MS),
    });
    if (!answer.ok) throw new Error(`the station answered ${answer.status}`);
    const days: unknown = await answer.json();
    if (!Array.isArray(days)) throw new Error('the station sent something that is not a list of days');
    return days.map(windBroughtDown) as T;
  }
}
