import type { WeatherDay } from '../climate/gaps.js';
import { saturationVapourPressure } from '../climate/reference-evapotranspiration.js';

/** Hour of the lowest and of the highest temperature of a day (judgement: before sunrise, and three hours past noon). */
const COLDEST_HOUR = 5;
const WARMEST_HOUR = 15;

/** From this humidity on leaves are taken as wet, % (Sutton, Gillespie & Hildebrand 1984, from memory). */
export const WET_FROM_PCT = 90;

/**
 * Returns the temperature of each hour of a day, °C: half a cosine up from the minimum to the maximum, and another one
 * back down.
 * @example hourlyC({ tMinC: 10, tMaxC: 20 })[5] // 10
 */
export function hourlyC({ tMinC, tMaxC }: Pick<WeatherDay, 'tMinC' | 'tMaxC'>): number[] {
  const rise = WARMEST_HOUR - COLDEST_HOUR;
  return Array.from({ length: 24 }, (_, hour) => {
    const since = (hour - COLDEST_HOUR + 24) % 24;
    const share =
      since <= rise
        ? (1 - Math.cos((Math.PI * since) / rise)) / 2
        : (1 + Math.cos((Math.PI * (since - rise)) / (24 - rise))) / 2;
    return tMinC + (tMaxC - tMinC) * share;
  });
}

/** Hours of a day at or above a humidity, with their mean temperature. */
export interface HumidHours {
  hours: number;
  /** mean temperature of those hours, °C; null if there are none */
  meanC: number | null;
  /** nobody measured the humidity: the dew point is taken as the minimum (FAO-56 eq. 48) */
  guessed: boolean;
}

/**
 * Returns how long the air was that humid. Daily weather has no hours: the vapour pressure is taken as the same all day,
 * so the air is most humid when it is coldest; it is the one with which the mean of the hours is the day's humidity.
 * @param pct limit, 1 to 100
 */
export function humidHours(w: WeatherDay, pct: number = WET_FROM_PCT): HumidHours {
  const hours = hourlyC(w);
  const saturated = hours.map(saturationVapourPressure);
  const measured = w.rhMeanPct ?? null;
  const ea =
    measured === null
      ? saturationVapourPressure(w.tMinC)
      : ((measured / 100) * hours.length) / saturated.reduce((sum, es) => sum + 1 / es, 0);
  const humid = hours.filter((_, i) => ea >= (pct / 100) * saturated[i]!);
  return {
    hours: humid.length,
    meanC: humid.length > 0 ? humid.reduce((a, b) => a + b, 0) / humid.length : null,
    guessed: measured === null,
  };
}

/**
 * Hours by which a shower lengthens wetness: a leaf dries within about two hours of daylight per shower, up to six on a
 * day of long rain (judgement).
 */
const WET_AFTER_RAIN_H = { least: 2, most: 6, perMm: 0.4 } as const;

/** Returns how long leaves in the open were wet, h: measured, or from humidity and rain. */
export function leafWetness(w: WeatherDay): HumidHours {
  const humid = humidHours(w);
  if (w.wetHours != null) return { ...humid, hours: w.wetHours, meanC: humid.meanC ?? meanOf(w), guessed: false };
  const { least, most, perMm } = WET_AFTER_RAIN_H;
  const byRain = w.rainMm >= 0.2 ? Math.min(most, least + perMm * w.rainMm) : 0;
  const hours = Math.min(24, humid.hours + byRain);
  return { ...humid, hours, meanC: humid.meanC ?? (hours > 0 ? meanOf(w) : null) };
}

const meanOf = (w: WeatherDay): number => (w.tMinC + w.tMaxC) / 2;
