import type { WeatherDto } from '@candid-leaf/contract';
import type { RainGauge } from '@candid-leaf/core/records';
import type { Day } from '@candid-leaf/core/units';
import type { RecordEntity } from '../records/record.entity.js';
import type { WeatherEntity } from './weather.entity.js';

/** One day's weather as it counts on the garden's day. */
export type WeatherOfDay = WeatherEntity & Pick<WeatherDto, 'gauge'>;

/**
 * Of each day what counts: up to the garden's day what was measured (what was foreseen, where the station has not told yet), after
 * it what is foreseen, even if it is known already because the garden once stood on a later day. The gardener's own gauge is laid beside it.
 * @param rows by day
 * @param gauges readings, the older first: the last of a day counts
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

/** The gauge where there is one, else the station. */
export const rainOf = (w: WeatherOfDay): number => w.gauge?.rainMm ?? w.rainMm;

export const weatherDto = (w: WeatherOfDay): WeatherDto => {
  const { gardenId: _g, ...rest } = w;
  return { ...rest, rainMm: rainOf(w) };
};
