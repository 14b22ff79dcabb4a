import { type ClimateGarden, climateOfGarden } from '../climate/climate-of-place.js';
import type { WeatherDay } from '../climate/gaps.js';
import { at } from '../units/lists.js';

/** What makes a month poor for flowers and fruit where no frost falls. */
export type PoorMonth = 'rains' | 'hot-nights' | 'cold-nights';

/** When to plant out where no frost falls, and why. */
export interface FrostFreeSeason {
  /** first and last day, MM-DD; null: no time is better than another */
  window: readonly [string, string] | null;
  /** what that time keeps clear of */
  avoids: readonly PoorMonth[];
  /** what no time of the year keeps clear of */
  remains: readonly PoorMonth[];
}

/**
 * Share of rainy days from which a month belongs to the rains: leaves stay wet and blights spread (common practice in the
 * tropics: tomatoes in the dry months).
 */
const RAINS_FROM = 0.4;
/** Nights at which pollen fails, °C (Peet, Sato & Gardner 1998: fruit set falls from means of 25 °C; from memory). */
const HOT_NIGHT_C = 24;
/** Nights at which fruit hardly sets, °C. */
const COLD_NIGHT_C = 8;
/** How much each month after planting counts: settling in, three months of flowers and fruit, the last fruit (judgement). */
const COUNTS = [0.5, 1, 1, 1, 0.5] as const;
/** Months that differ by less are as good as each other. */
const SAME = 0.25;
/** Where the best month is better than the worst by less, any is right. */
const MATTERS_FROM = 1;
const MONTHS = 12;
const MOST_MONTHS = 2;

/**
 * Returns the planting time where no frost falls: plants flower and ripen outside of the rains, of nights that stay hot and
 * of cold ones. By the usual climate of the place, shifted to its own records.
 * @example frostFreeSeason({ latitude: 13.8, longitude: 100.5 }, []).window // ['10-01', '11-28']
 */
export function frostFreeSeason(garden: ClimateGarden, recorded: readonly WeatherDay[]): FrostFreeSeason {
  const climate = climateOfGarden(garden, recorded);
  const poor = climate.map(({ tMinC, wetAfterDry, wetAfterWet }): PoorMonth[] => {
    const rainy = wetAfterDry / (1 + wetAfterDry - wetAfterWet);
    return [
      ...(rainy >= RAINS_FROM ? (['rains'] as const) : []),
      ...(tMinC >= HOT_NIGHT_C ? (['hot-nights'] as const) : []),
      ...(tMinC < COLD_NIGHT_C ? (['cold-nights'] as const) : []),
    ];
  });
  const during = (month: number): PoorMonth[][] => COUNTS.map((_, k) => at(poor, (month + k) % MONTHS));
  const score = (month: number): number =>
    during(month).reduce((sum, months, k) => sum + at(COUNTS, k) * months.length, 0);
  const scores = Array.from({ length: MONTHS }, (_, m) => score(m));
  const least = Math.min(...scores);
  const good = (month: number): boolean => at(scores, (month + MONTHS) % MONTHS) <= least + SAME;
  const all = new Set(poor.flat());
  if (Math.max(...scores) - least < MATTERS_FROM) return { window: null, avoids: [], remains: [...all] };
  const first = scores.findIndex((_, m) => good(m) && !good(m - 1));
  const length = good(first + 1) ? MOST_MONTHS : 1;
  const met = new Set(during(first).flat());
  return {
    window: [`${twoDigits(first + 1)}-01`, `${twoDigits(((first + length - 1) % MONTHS) + 1)}-28`],
    avoids: [...all].filter((p) => !met.has(p)),
    remains: [...all].filter((p) => met.has(p)),
  };
}

const twoDigits = (n: number): string => String(n).padStart(2, '0');
