import { at } from '../units/lists.js';
import { type ClimateGarden, climateOfGarden } from './climate-of-place.js';
import type { WeatherDay } from './gaps.js';

/** Middle of a month, as a share of it. */
const MIDDLE = 0.5;
const DAYS_A_MONTH = 30.4;

/**
 * Returns the usual mean temperature of any day of the year, °C, between the middles of the months: by latitude and
 * height, shifted to the weather recorded there.
 */
export function meanCycle(garden: ClimateGarden, recorded: readonly WeatherDay[]): (day: string) => number {
  const means = climateOfGarden(garden, recorded).map((m) => (m.tMinC + m.tMaxC) / 2);
  return (day) => {
    const x = Number(day.slice(5, 7)) - 1 + Math.min(1, (Number(day.slice(8)) - 1) / DAYS_A_MONTH) - MIDDLE;
    const before = Math.floor(x);
    const share = x - before;
    return (1 - share) * at(means, (before + 12) % 12) + share * at(means, (before + 13) % 12);
  };
}
