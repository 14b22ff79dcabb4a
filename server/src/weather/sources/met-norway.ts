import { daysOfHours, HOUR_MS, windAt2m, type WeatherHour } from '@candid-leaf/core/climate';
import type { Day } from '@candid-leaf/core/units';
import { type Clock, dayIn } from '../../shared/clock.js';
import type { KeptAnswers } from './kept-answers.service.js';
import { asObject, type Outside } from './outside.js';
import {
  NoWeather,
  type SourcePlace,
  type StationDay,
  type StationForecastDay,
  type Wanted,
  WeatherSource,
} from './source.js';

const NAME = 'MET Norway';
/** Wind is given at 10 m (from memory). */
const WIND_HEIGHT_M = 10;
/** Where the answer has no time to expire, ms. */
const USUAL_FRESH_MS = 55 * 60_000;

/** Units that must be stated in `properties.meta.units` (names from the published description, from memory). */
const UNITS = {
  air_temperature: 'celsius',
  relative_humidity: '%',
  wind_speed: 'm/s',
  precipitation_amount: 'mm',
} as const;

type Numbers = Record<string, unknown>;

/** One step of the time series: a moment, and the hour or six hours after it. */
interface Step {
  time: string;
  data: {
    instant?: { details?: Numbers };
    next_1_hours?: { details?: Numbers };
    next_6_hours?: { details?: Numbers };
  };
}

/** The forecast of MET Norway (Locationforecast 2.0, `complete`). It has no past days. */
export class MetNorway extends WeatherSource<SourcePlace> {
  /** @param who name and contact: the terms of service ask each application to say who it is */
  constructor(
    private readonly url: string,
    private readonly who: string,
    private readonly outside: Outside,
    private readonly kept: KeptAnswers,
    private readonly clock: Clock,
  ) {
    super();
  }

  observed(): Promise<StationDay[]> {
    return Promise.resolve([]);
  }

  override async prepare(wanted: readonly Wanted<SourcePlace>[]): Promise<void> {
    // one after the other: the terms ask not to send everything at once
    for (const { place } of wanted) await this.hours(place);
  }

  async forecast(place: SourcePlace, issued: Day): Promise<StationForecastDay[]> {
    const hours = await this.hours(place);
    return daysOfHours(hours, place.timeZone, this.clock.now().getTime())
      .filter((d) => d.date > issued)
      .map((d) => ({ ...d, rainChancePct: d.rainChancePct ?? (d.rainMm > 0 ? UNKNOWN_CHANCE_PCT : 0) }));
  }

  private hours(place: SourcePlace): Promise<WeatherHour[]> {
    const since = dayIn(place.timeZone, this.clock.now());
    return this.kept.get<WeatherHour[]>({ source: 'met-norway', what: 'hours', place, since }, async (kept) => {
      const query = new URLSearchParams({
        // four decimals are the most they allow; two are near enough and do not give the garden away
        lat: place.latitude.toFixed(2),
        lon: place.longitude.toFixed(2),
        altitude: String(Math.round(place.elevationM)),
      });
      const { status, headers, text } = await this.outside.get(
        `${this.url}/weatherapi/locationforecast/2.0/complete?${query.toString()}`,
        { 'user-agent': this.who, ...(kept?.lastModified ? { 'if-modified-since': kept.lastModified } : {}) },
      );
      const expires = Date.parse(headers.get('expires') ?? '');
      const now = this.clock.now().getTime();
      const freshUntil = new Date(Number.isFinite(expires) && expires > now ? expires : now + USUAL_FRESH_MS);
      if (status === 304) return { freshUntil, body: null };
      return { freshUntil, lastModified: headers.get('last-modified'), body: hoursFrom(asObject(NAME, text)) };
    });
  }
}

/** A forecast of rain without a chance: it is the likeliest course (judgement). */
const UNKNOWN_CHANCE_PCT = 60;

const numberIn = (details: Numbers | undefined, name: string): number | null => {
  const v = details?.[name];
  return typeof v === 'number' && Number.isFinite(v) ? v : null;
};

/** Returns the hours of the series; a step of six hours becomes six, with temperatures in between. */
function hoursFrom(answer: unknown): WeatherHour[] {
  const { meta, timeseries } =
    (answer as { properties?: { meta?: { units?: Numbers }; timeseries?: unknown } } | null)?.properties ?? {};
  if (!meta?.units || !Array.isArray(timeseries)) throw new NoWeather(`${NAME} sent no forecast with units.`);
  for (const [name, unit] of Object.entries(UNITS))
    if (meta.units[name] !== unit)
      throw new NoWeather(`${NAME} did not say that ${name} is in ${unit}, so we did not use it.`);
  const steps = (timeseries as Step[]).filter((s) => Number.isFinite(Date.parse(s.time)) && s.data);
  return steps.flatMap((step, i) => hoursOfStep(step, steps[i + 1]));
}

function hoursOfStep(step: Step, next: Step | undefined): WeatherHour[] {
  const from = Date.parse(step.time);
  const { instant, next_1_hours: one, next_6_hours: six } = step.data;
  const after = next ? Math.round((Date.parse(next.time) - from) / HOUR_MS) : one ? 1 : 6;
  const length = Math.min(one && after <= 1 ? 1 : 6, Math.max(1, after));
  const block = length === 1 && one ? one.details : six?.details;
  const rain = numberIn(block, 'precipitation_amount');
  const chance = numberIn(block, 'probability_of_precipitation');
  const here = instant?.details;
  const there = next?.data.instant?.details ?? here;
  const between = (name: string, share: number): number | null => {
    const [a, b] = [numberIn(here, name), numberIn(there, name)];
    return a === null ? null : a + ((b ?? a) - a) * share;
  };
  return Array.from({ length }, (_, h): WeatherHour => {
    const wind = between('wind_speed', h / length);
    return {
      at: from + h * HOUR_MS,
      tC: between('air_temperature', h / length),
      // the extremes of six hours belong to some hour among them
      ...(length > 1 && h === Math.floor(length / 2)
        ? {
            tMinC: numberIn(six?.details, 'air_temperature_min'),
            tMaxC: numberIn(six?.details, 'air_temperature_max'),
          }
        : {}),
      rainMm: rain === null ? null : rain / length,
      rainChancePct: chance,
      rhPct: between('relative_humidity', h / length),
      windMs: wind === null ? null : windAt2m(wind, WIND_HEIGHT_M),
      solarMj: null,
    };
  });
}
