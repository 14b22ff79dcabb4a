import type { FactoryProvider } from '@nestjs/common';
import type { WeatherServiceCode } from '@candid-leaf/contract';
import { CONFIG, type Config } from '../../config.js';
import { Clock } from '../../shared/clock.js';
import { ChosenSource } from './chosen.js';
import { KeptAnswers } from './kept-answers.service.js';
import { MetNorway } from './met-norway.js';
import { OpenMeteo } from './open-meteo.js';
import { MANNERS, type Manners, Outside } from './outside.js';
import { Simulated } from './simulated.js';
import { type SourcePlace, WeatherSource } from './source.js';

/** A program on this machine is asked again sooner, ms. */
const LOCAL_REST_MS = 5000;

/** Returns all services this installation allows, as one source. */
export function sourceFrom(config: Config, kept: KeptAnswers, clock: Clock, manners: Manners = MANNERS): WeatherSource {
  const { services, simulatedUrl, openMeteo, metNorwayUrl, contact } = config.weather;
  const makers: Record<WeatherServiceCode, () => WeatherSource<SourcePlace> | null> = {
    simulated: () =>
      simulatedUrl === null
        ? null
        : new Simulated(simulatedUrl, new Outside('The simulated station', { ...manners, restMs: LOCAL_REST_MS })),
    'open-meteo': () => new OpenMeteo(openMeteo, new Outside('Open-Meteo', manners), kept, clock),
    'met-norway': () =>
      contact === null
        ? null
        : new MetNorway(metNorwayUrl, `Candid Leaf (${contact})`, new Outside('MET Norway', manners), kept, clock),
    none: () => null,
  };
  const made = services.flatMap((code): [WeatherServiceCode, WeatherSource<SourcePlace>][] => {
    const service = makers[code]();
    return service ? [[code, service]] : [];
  });
  return new ChosenSource(new Map(made));
}

/** The outside weather of this installation. */
export const weatherSource: FactoryProvider = {
  provide: WeatherSource,
  useFactory: (config: Config, kept: KeptAnswers, clock: Clock) => sourceFrom(config, kept, clock),
  inject: [CONFIG, KeptAnswers, Clock],
};
