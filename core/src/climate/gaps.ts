import { type Day, dayNumber, dayOf } from '../units/day.js';
import type { DayWeather } from './reference-evapotranspiration.js';
import { at } from '../units/lists.js';

/** Weather of one day, °C, mm, hours. */
export interface WeatherDay extends DayWeather {
  date: Day;
  rainMm: number;
  wetHours?: number | null;
  /** mean of the night before, °C */
  nightC?: number | null;
  /** true if the day was missing and was filled in */
  filled?: boolean;
}

/**
 * Returns one entry for every day from `from` to `to`. A missing day is interpolated between its neighbours'
 * temperatures (or takes the nearest at the ends), has no rain, and is marked `filled`. Empty without any weather.
 */
export function fillGaps(weather: readonly WeatherDay[], from: Day, to: Day): WeatherDay[] {
  const sorted = [...weather].sort((a, b) => (a.date < b.date ? -1 : 1));
  if (sorted.length === 0) return [];
  const days: WeatherDay[] = [];
  let next = 0;
  const first = dayNumber(from);
  const last = dayNumber(to);
  const numbers = sorted.map((w) => dayNumber(w.date));
  for (let n = first; n <= last; n++) {
    while (next < sorted.length && at(numbers, next) < n) next++;
    const here = sorted[next];
    if (here && numbers[next] === n) {
      days.push(here);
      continue;
    }
    const date = dayOf(n);
    const before = sorted[next - 1] ?? here!;
    const after = here ?? before;
    const span = dayNumber(after.date) - dayNumber(before.date);
    const share = span > 0 ? (n - dayNumber(before.date)) / span : 0;
    const between = (a: number, b: number): number => a + (b - a) * share;
    days.push({
      date,
      tMinC: between(before.tMinC, after.tMinC),
      tMaxC: between(before.tMaxC, after.tMaxC),
      rainMm: 0,
      filled: true,
    });
  }
  return days;
}
