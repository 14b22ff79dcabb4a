import { windAt2m } from '@candid-leaf/core/climate';
import type { Day } from '@candid-leaf/core/units';
import { asObject, type Outside } from './outside.js';
import { NoWeather, type SourcePlace, type StationDay, type StationForecastDay, WeatherSource } from './source.js';

const NAME = 'The simulated station';
/** Plausible heights for measuring wind, m. */
const LOWEST_M = 1;
const HIGHEST_M = 100;

/** A day of the station, with its wind as measured. */
type RawDay = StationForecastDay & { windHeightM?: number | null };

/** Converts wind measured higher up to 2 m, as the equations need (FAO-56 eq. 47). */
function windBroughtDown({ windHeightM, ...day }: RawDay): StationForecastDay {
  const height = windHeightM ?? 2;
  const known = typeof day.windMs === 'number' && height >= LOWEST_M && height <= HIGHEST_M;
  return { ...day, windMs: known && height !== 2 ? windAt2m(day.windMs!, height) : day.windMs };
}

/** The simulated station: made-up weather, to try things out. */
export class Simulated extends WeatherSource<SourcePlace> {
  constructor(
    private readonly url: string,
    private readonly outside: Outside,
  ) {
    super();
  }

  observed(place: SourcePlace, from: Day, to: Day): Promise<StationDay[]> {
    return this.ask('observed', place, { from, to });
  }

  forecast(place: SourcePlace, issued: Day): Promise<StationForecastDay[]> {
    return this.ask('forecast', place, { issued });
  }

  private async ask(what: string, place: SourcePlace, more: Record<string, string>): Promise<StationForecastDay[]> {
    const query = new URLSearchParams({
      ...more,
      latitude: String(place.latitude),
      longitude: String(place.longitude),
      elevation: String(place.elevationM),
    });
    const { text } = await this.outside.get(`${this.url}/${what}?${query.toString()}`);
    const days = asObject(NAME, text);
    if (!Array.isArray(days)) throw new NoWeather(`${NAME} sent something that is not a list of days.`);
    return (days as RawDay[]).map(windBroughtDown);
  }
}
