import type { WeatherServiceCode } from '@candid-leaf/contract';
import type { ClimateDay } from '@candid-leaf/core/climate';
import type { Day } from '@candid-leaf/core/units';

/** A measured day of a weather source, metric. */
export interface StationDay {
  date: Day;
  tMinC: number;
  tMaxC: number;
  rainMm: number;
  rhMeanPct: number | null;
  /** 2 m above the ground */
  windMs: number | null;
  solarMj: number | null;
  /** hours in which a leaf was wet */
  wetHours?: number | null;
  /** mean of the night before, °C */
  nightC?: number | null;
  /** part of the rain that is still to come today, mm */
  rainToComeMm?: number;
  /** the service that gave it, if another than the garden's */
  source?: string;
}

/** A forecast day of a weather source. */
export interface StationForecastDay extends StationDay {
  rainChancePct: number;
}

/** Where the weather is asked for. */
export interface SourcePlace {
  latitude: number;
  longitude: number;
  elevationM: number;
  timeZone: string;
}

/** The service a garden has chosen; null: the first of the installation. */
export interface ChosenPlace extends SourcePlace {
  weatherService: WeatherServiceCode | null;
}

/** A place whose weather will be asked for, and how many past days of it. */
export interface Wanted<P extends SourcePlace> {
  place: P;
  back: number;
}

/** The one interface to outside weather. Another source is another class. */
export abstract class WeatherSource<P extends SourcePlace = ChosenPlace> {
  /** Returns measured days from `from` to `to`, inclusive; fewer if the source has fewer. */
  abstract observed(place: P, from: Day, to: Day): Promise<StationDay[]>;
  /** Returns the days after `issued`, as forecast on it. */
  abstract forecast(place: P, issued: Day): Promise<StationForecastDay[]>;

  /** Returns how many past days a new garden asks for. */
  historyDays(_place: P): number {
    return 120;
  }

  /** Asks for many places together, if the service can, so that `observed` and `forecast` need no more requests. */
  prepare(_wanted: readonly Wanted<P>[]): Promise<void> {
    return Promise.resolve();
  }

  /** Returns ten years of days for frost dates and means; null if the source has none. */
  tenYears(_place: P): Promise<ClimateDay[] | null> {
    return Promise.resolve(null);
  }
}

/** Why there is no weather, in a sentence for the gardener. */
export class NoWeather extends Error {}
