import { Inject, Injectable, Logger } from '@nestjs/common';
import type { WeatherState } from '@candid-leaf/contract';
import { measuredClimate, type MeasuredClimate } from '@candid-leaf/core/climate';
import { RefusedInput } from '@candid-leaf/core/records';
import { addDays, type Day, daysBetween } from '@candid-leaf/core/units';
import { CONFIG, type Config } from '../config.js';
import type { GardenEntity } from '../gardens/garden.entity.js';
import { KeptAnswers } from './sources/kept-answers.service.js';
import { serviceOf } from './sources/services.js';
import { WeatherSource } from './sources/source.js';
import { type SourcedDay, withOwn } from './stations/own-days.js';
import { OwnStations } from './stations/own-stations.service.js';
import type { WeatherEntity } from './weather.entity.js';
import { rowOf } from './weather-rows.js';

/** Most days of an update. */
const MOST_DAYS = 400;
/** Days before the newest one that are fetched again: services correct them, and a station may be late. */
const AGAIN_DAYS = 2;

/** Returns when the service last answered and what it gave, from stored data. */
export const stateOf = (
  garden: GardenEntity,
  weather: readonly Pick<WeatherEntity, 'kind' | 'day'>[],
  config: Pick<Config, 'weather'>,
): WeatherState => ({
  pulledAt: garden.weatherPulledAt?.toISOString() ?? null,
  newest: weather.findLast((w) => w.kind === 'observed')?.day ?? null,
  trouble: garden.weatherTrouble,
  service: serviceOf(garden, config),
});

/** What a garden's service and its own station give, as rows. */
@Injectable()
export class OutsideWeather {
  private readonly log = new Logger(OutsideWeather.name);

  constructor(
    private readonly source: WeatherSource,
    private readonly stations: OwnStations,
    private readonly kept: KeptAnswers,
    @Inject(CONFIG) private readonly config: Config,
  ) {}

  state(garden: GardenEntity): WeatherState {
    return stateOf(garden, [], this.config);
  }

  /** Removes answers and readings nobody needs any more. */
  async tidy(): Promise<void> {
    await this.kept.tidy();
    await this.stations.tidy();
  }

  /** Asks for many gardens together, where the service can. */
  async prepare(wanted: readonly { garden: GardenEntity; today: Day; newest: Day | null }[]): Promise<void> {
    await this.source.prepare(
      wanted.map(({ garden, today, newest }) => ({
        place: garden,
        back: daysBetween(this.fromWhen(garden, today, newest), today),
      })),
    );
  }

  /** Returns what is new up to the garden's day, the forecast after it, and what went wrong. */
  async news(
    garden: GardenEntity,
    today: Day,
    newest: Day | null,
  ): Promise<{ observed: WeatherEntity[]; forecast: WeatherEntity[]; trouble: string | null }> {
    const from = this.fromWhen(garden, today, newest);
    const service = await this.fromService(garden, from, today);
    const own = await this.stations.days(garden, from, today, service.observed);
    const days = withOwn(service.observed, own.whole, own.soFar, today);
    const { observed, trouble } = rowsOf(garden.id, days);
    return { observed, forecast: service.forecast, trouble: service.trouble ?? trouble };
  }

  /** What the service gives, or why it gives nothing. */
  private async fromService(
    garden: GardenEntity,
    from: Day,
    today: Day,
  ): Promise<{ observed: SourcedDay[]; forecast: WeatherEntity[]; trouble: string | null }> {
    const { code } = serviceOf(garden, this.config);
    try {
      const observed = await this.source.observed(garden, from, today);
      const forecast = await this.source.forecast(garden, today);
      if (observed.length + forecast.length > 2 * MOST_DAYS)
        throw new Error('The weather service sent more days than requested.');
      return {
        observed: observed.map((d) => ({ ...d, source: d.source ?? code })),
        forecast: forecast.map((d) => rowOf(garden.id, 'forecast', { ...d, source: code })),
        trouble: null,
      };
    } catch (error) {
      const trouble = inASentence(error);
      this.log.warn(`weather of garden ${garden.id}: ${trouble}`);
      return { observed: [], forecast: [], trouble };
    }
  }

  /** Returns the days of an earlier season. */
  async earlier(garden: GardenEntity, from: Day, to: Day): Promise<WeatherEntity[]> {
    const days = await this.source.observed(garden, from, to);
    if (days.length > MOST_DAYS) throw new Error('The weather service sent more days than requested.');
    const { code } = serviceOf(garden, this.config);
    return days.map((d) => rowOf(garden.id, 'observed', { ...d, source: d.source ?? code }));
  }

  /** Returns the usual climate of the place; null if the service does not know it. */
  async climate(garden: GardenEntity): Promise<MeasuredClimate | null> {
    const days = await this.source.tenYears(garden);
    return days && measuredClimate(days, garden.latitude);
  }

  /** Returns the first day to fetch. */
  private fromWhen(garden: GardenEntity, today: Day, newest: Day | null): Day {
    const earliest = addDays(today, -MOST_DAYS);
    const known = newest !== null && newest < today ? newest : today;
    const next = newest === null ? addDays(today, -this.source.historyDays(garden)) : addDays(known, -AGAIN_DAYS);
    return next < earliest ? earliest : next;
  }
}

const NOT_POSSIBLE = 'The weather service sent values that are not possible';

/** Returns a failure as a sentence for the gardener. */
function inASentence(error: unknown): string {
  if (error instanceof RefusedInput) {
    const [fault] = error.faults;
    return fault ? `${NOT_POSSIBLE}: ${fault.path} ${fault.reason}.` : `${NOT_POSSIBLE}.`;
  }
  return (error instanceof Error ? error.message : String(error)).slice(0, 300);
}

/** Returns the rows of days; a day that is not possible is left out and named. */
function rowsOf(gardenId: string, days: readonly SourcedDay[]): { observed: WeatherEntity[]; trouble: string | null } {
  const observed: WeatherEntity[] = [];
  let trouble: string | null = null;
  for (const day of days) {
    try {
      observed.push(rowOf(gardenId, 'observed', day));
    } catch (error) {
      trouble ??= day.source === 'own' ? `Your station’s values for ${day.date} are not possible.` : inASentence(error);
    }
  }
  return { observed, trouble };
}
