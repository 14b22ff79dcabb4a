import { degreeDays, USUAL_DEGREE_DAYS } from '../climate/degree-days.js';
import type { WeatherDay } from '../climate/gaps.js';
import { type Day, dayNumber } from '../units/day.js';

/** A gap is filled from this many days on either side. */
const NEAR_DAYS = 14;

/**
 * Returns the warmth a plant had from one day through another, °C·d over the base of development. A missing day counts
 * as the mean of the days within two weeks of it, else as the mean of all, else as a usual day.
 * @param weather where the plant grows
 */
export function warmthFrom(weather: readonly WeatherDay[]): (from: Day, to: Day) => number {
  const known = new Map(weather.map((w) => [dayNumber(w.date), degreeDays(w)]));
  const numbers = [...known.keys()];
  const [first, last] = [Math.min(...numbers), Math.max(...numbers)];
  const mean = known.size > 0 ? [...known.values()].reduce((a, b) => a + b, 0) / known.size : USUAL_DEGREE_DAYS;
  const near = (day: number): number => {
    let [sum, count] = [0, 0];
    for (let i = day - NEAR_DAYS; i <= day + NEAR_DAYS; i++) {
      const own = known.get(i);
      if (own !== undefined) [sum, count] = [sum + own, count + 1];
    }
    return count > 0 ? sum / count : mean;
  };
  /** sum before each day from the first known one on */
  const before = [0];
  for (let day = first; day <= last; day++) before.push(before.at(-1)! + (known.get(day) ?? near(day)));
  /** warmth from the first known day to the beginning of a day; negative for one before it */
  const until = (day: number): number => {
    if (known.size === 0) return day * mean;
    if (day <= first) return (day - first) * near(first);
    if (day > last) return before.at(-1)! + (day - last - 1) * near(last);
    return before[day - first]!;
  };
  return (from, to) => Math.max(0, until(dayNumber(to) + 1) - until(dayNumber(from)));
}
