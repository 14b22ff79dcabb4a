import { type ClimateGarden, climateOfGarden } from '../climate/climate-of-place.js';
import type { WeatherDay } from '../climate/gaps.js';
import { COLD_NIGHT_C, HOT_DAY_C, WARM_NIGHT_C } from '../climate/limits.js';
import type { Crop } from '../records/plant.js';
import type { VarietyTendencies } from '../records/tendencies.js';
import { addDays, type Day } from '../units/day.js';
import type { Formatter } from '../units/formatter.js';
import { at, first, last } from '../units/lists.js';

/** A variety that sets badly in heat fails in days this much cooler than others, one bad in cold in nights this much warmer, K. */
const WEAKER_BY_K = 2;
/** Days from planting out to the first open flower, and from there to the flowers of the last fruit (common practice). */
const FLOWERS = { from: 25, days: 75 } as const;

interface SettingQuestion {
  garden: ClimateGarden;
  variety: { name: string; crop: Crop } & Pick<VarietyTendencies, 'heatSet' | 'coldSet'>;
  plantOut: Day;
  /** measured: shifts the usual means of the place */
  recorded: readonly WeatherDay[];
}

/**
 * Says where a variety's weakness meets this garden's usual summer: months in which its flowers would drop in the heat, or
 * in cold nights. Empty where it does not, or where the variety has no such weakness.
 */
export function settingAgainst(q: SettingQuestion, f: Formatter): string[] {
  const { garden, variety, plantOut, recorded } = q;
  const climate = climateOfGarden(garden, recorded);
  const flowering = Array.from({ length: FLOWERS.days }, (_, i) => addDays(plantOut, FLOWERS.from + i));
  const daysWhere = (poor: (month: { tMinC: number; tMaxC: number }) => boolean): Day[] =>
    flowering.filter((day) => poor(at(climate, Number(day.slice(5, 7)) - 1)));
  const span = (days: Day[]): string => `${f.day(first(days))} to ${f.day(last(days))}`;
  const hot = daysWhere(
    (m) => m.tMaxC >= HOT_DAY_C - WEAKER_BY_K || m.tMinC >= WARM_NIGHT_C[variety.crop] - WEAKER_BY_K,
  );
  const cold = daysWhere((m) => m.tMinC < COLD_NIGHT_C[variety.crop] + WEAKER_BY_K);
  return [
    ...(variety.heatSet === 'less' && hot.length > 0
      ? [
          `${variety.name} sets little fruit in heat, and ${span(hot)} is usually hot here: shade it, or choose another variety.`,
        ]
      : []),
    ...(variety.coldSet === 'less' && cold.length > 0
      ? [
          `${variety.name} sets little fruit in cold nights, and ${span(cold)} usually has them: cover it, or choose another variety.`,
        ]
      : []),
  ];
}
