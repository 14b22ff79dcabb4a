import type { WeatherServiceCode, WeatherServiceDto } from '@candid-leaf/contract';
import type { Config, WeatherConfig } from '../../config.js';

/** The weather services, as a gardener chooses them. Licences as published, from memory. */
const SERVICES: Record<WeatherServiceCode, Omit<WeatherServiceDto, 'proposed'>> = {
  simulated: {
    code: 'simulated',
    name: 'Made-up weather',
    says: 'To try things out: not the weather outside.',
    credit: null,
  },
  'open-meteo': {
    code: 'open-meteo',
    name: 'Open-Meteo',
    says: 'Past weeks and ten days ahead, anywhere. It learns the location to about a kilometre.',
    credit: { text: 'Weather data by Open-Meteo.com, CC BY 4.0', url: 'https://open-meteo.com/' },
  },
  'met-norway': {
    code: 'met-norway',
    name: 'MET Norway',
    says: 'Nine days ahead, anywhere; no past days. It learns the location to about a kilometre.',
    credit: { text: 'Forecast by MET Norway, CC BY 4.0', url: 'https://api.met.no/' },
  },
  none: {
    code: 'none',
    name: 'No service',
    says: 'Only your own station, gauge and imports. There is no forecast.',
    credit: null,
  },
};

/** Returns the services this installation allows, the usual one first. */
export const allowedServices = ({ weather }: Pick<Config, 'weather'>): WeatherServiceDto[] =>
  [...new Set<WeatherServiceCode>([...weather.services, 'none'])].map((code) => dto(code, weather));

/** Returns the service of a garden. */
export const serviceOf = (
  garden: { weatherService: WeatherServiceCode | null },
  { weather }: Pick<Config, 'weather'>,
): WeatherServiceDto => dto(garden.weatherService ?? weather.services[0] ?? 'none', weather);

const dto = (code: WeatherServiceCode, { proposed }: WeatherConfig): WeatherServiceDto => ({
  ...SERVICES[code],
  proposed: code === proposed,
});
