import type { WeatherDto } from '@candid-leaf/contract';
import type { RainGauge } from '@candid-leaf/core/records';
import type { Day } from '@candid-leaf/core/units';
import type { RecordEntity } from '../records/record.entity.js';
import type { WeatherEntity } from './weather.entity.js';

/** One day's weather as it counts on the garden's day. */
export type WeatherOfDay = WeatherEntity & Pick<WeatherDto, 'gauge'>;

/**
 * Picks what counts for each day: up to the garden's day the measurement (or the forecast if the station has not
 * reported yet), after it the forecast, even if a measurement exists because the garden was once on a later day. The
 * gardener's gauge is attached.
 * @param rows by day
 * @param gauges readings, oldest first: the last of a day counts
 */
export function weatherDays(
  rows: readonly WeatherEntity[],
  gauges: readonly RecordEntity[],
  today: Day,
): WeatherOfDay[] {
  const ofDay = new Map<Day, WeatherEntity>();
  for (const row of rows)
    if (row.kind === 'observed' ? row.day <= today : row.day > today || !ofDay.has(row.day)) ofDay.set(row.day, row);
  const gaugeOf = new Map<Day, WeatherOfDay['gauge']>();
  for (const { id, version, data, day } of gauges)
    gaugeOf.set(day, { recordId: id, version, rainMm: (data as RainGauge).rainMm });
  return [...ofDay.values()].map((row) => ({ ...row, gauge: gaugeOf.get(row.day) ?? null }));
}

/** Returns the gauge reading if there is one, else the station's rain. */
export const rainOf = (w: WeatherOfDay): number => w.gauge?.rainMm ?? w.rainMm;

/** Returns a day of weather; a gauge in the garden counts before the station. */
export const weatherDto = (w: WeatherOfDay): WeatherDto => {
  const { gardenId: _g, ...rest } = w;
  return { ...rest, rainMm: rainOf(w) };
};
