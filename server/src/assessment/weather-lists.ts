import type { ForecastWeather } from '@candid-leaf/core/water';
import { rainOf, type WeatherOfDay } from '../weather/weather-days.js';
import type { GardenSnapshot } from './snapshots.service.js';

/** Returns a day's weather as the core reads it; the gardener's gauge overrides the station. */
const asRecord = (w: WeatherOfDay) => ({
  date: w.day,
  tMinC: w.tMinC,
  tMaxC: w.tMaxC,
  rainMm: rainOf(w),
  rhMeanPct: w.rhMeanPct,
  windMs: w.windMs,
  solarMj: w.solarMj,
  wetHours: w.wetHours,
  nightC: w.nightC,
});

/** Lists derived from a garden's weather: shared by all its plants while that weather is current. */
const perWeather = <T>(make: (s: GardenSnapshot) => T): ((s: GardenSnapshot) => T) => {
  const known = new WeakMap<GardenSnapshot['weather'], { today: string; list: T }>();
  return (s) => {
    const held = known.get(s.weather);
    if (held?.today === s.today) return held.list;
    const list = make(s);
    known.set(s.weather, { today: s.today, list });
    return list;
  };
};

/** Returns measured days up to the garden's day. */
export const measuredIn = perWeather((s) =>
  s.weather.filter((w) => w.kind === 'observed' && w.day <= s.today).map(asRecord),
);

/** Returns all known days, measured or forecast, in order. */
export const weatherIn = perWeather((s): readonly ReturnType<typeof asRecord>[] => s.weather.map(asRecord));

/** Returns forecast days after the garden's day. */
export const forecastIn = perWeather((s): readonly ForecastWeather[] =>
  s.weather
    .filter((w) => w.kind === 'forecast' && w.day > s.today)
    .map((w) => ({ ...asRecord(w), rainChancePct: w.rainChancePct })),
);
