import type { WeatherServiceCode } from '@candid-leaf/contract';
import type { ClimateDay } from '@candid-leaf/core/climate';
import type { Day } from '@candid-leaf/core/units';
import {
  type ChosenPlace,
  NoWeather,
  type SourcePlace,
  type StationDay,
  type StationForecastDay,
  type Wanted,
  WeatherSource,
} from './source.js';

/** The services of this installation, in the order of `WEATHER`. */
export type Services = ReadonlyMap<WeatherServiceCode, WeatherSource<SourcePlace>>;

/** Services without past days take them from the first of these that is allowed. */
const HAVE_A_PAST: readonly WeatherServiceCode[] = ['open-meteo'];

/** Each garden's own choice among the services of the installation. */
export class ChosenSource extends WeatherSource {
  constructor(private readonly services: Services) {
    super();
  }

  override historyDays(place: ChosenPlace): number {
    return this.past(place)?.historyDays(place) ?? super.historyDays(place);
  }

  async observed(place: ChosenPlace, from: Day, to: Day): Promise<StationDay[]> {
    const past = this.past(place);
    const days = (await past?.observed(place, from, to)) ?? [];
    const source = [...this.services].find(([, service]) => service === past)?.[0];
    return source ? days.map((d) => ({ ...d, source })) : days;
  }

  async forecast(place: ChosenPlace, issued: Day): Promise<StationForecastDay[]> {
    return (await this.of(place)?.forecast(place, issued)) ?? [];
  }

  /** A service that fails does not keep the others from being asked. */
  override async prepare(wanted: readonly Wanted<ChosenPlace>[]): Promise<void> {
    const allowed = wanted.filter(({ place }) => this.services.has(this.codeOf(place)));
    for (const [code, service] of this.services) {
      const own = allowed.filter(({ place }) => this.codeOf(place) === code || this.past(place) === service);
      if (own.length > 0) await service.prepare(own).catch(() => undefined);
    }
  }

  override async tenYears(place: ChosenPlace): Promise<ClimateDay[] | null> {
    return (await this.past(place)?.tenYears(place)) ?? null;
  }

  private codeOf(place: ChosenPlace): WeatherServiceCode {
    return place.weatherService ?? [...this.services.keys()][0] ?? 'none';
  }

  private of(place: ChosenPlace): WeatherSource<SourcePlace> | null {
    const code = this.codeOf(place);
    if (code === 'none') return null;
    const service = this.services.get(code);
    if (!service)
      throw new NoWeather('The weather service chosen here is switched off on this server. Choose another one.');
    return service;
  }

  private past(place: ChosenPlace): WeatherSource<SourcePlace> | null {
    const code = this.codeOf(place);
    if (code !== 'met-norway') return this.of(place);
    const other = HAVE_A_PAST.find((c) => this.services.has(c));
    return other ? this.services.get(other)! : this.of(place);
  }
}
