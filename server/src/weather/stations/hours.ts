import type { StationReading } from '@candid-leaf/contract';
import { HOUR_MS, type WeatherHour } from '@candid-leaf/core/climate';
import type { StationHourEntity } from './station.entities.js';
import type { Reading } from './upload.js';

/** Returns rain since the last counter, mm: a counter that is smaller began anew. Null without a counter before. */
export function rainSince(before: number | null, now: number | null): number | null {
  if (now === null) return null;
  if (before === null) return 0;
  return now >= before ? now - before : now;
}

/** Returns an hour without readings. */
export const emptyHour = (gardenId: string, at: number): StationHourEntity => ({
  gardenId,
  at: new Date(Math.floor(at / HOUR_MS) * HOUR_MS),
  temps: 0,
  tSum: 0,
  tMinC: null,
  tMaxC: null,
  humids: 0,
  rhSum: 0,
  winds: 0,
  windSum: 0,
  suns: 0,
  sunSum: 0,
  rainMm: null,
});

/** Adds a reading to its hour. */
export function addTo(hour: StationHourEntity, r: Reading, rainMm: number | null): StationHourEntity {
  const { tC, rhPct, windMs, sunWm2 } = r;
  return {
    ...hour,
    ...(tC === null
      ? {}
      : {
          temps: hour.temps + 1,
          tSum: hour.tSum + tC,
          tMinC: Math.min(hour.tMinC ?? tC, tC),
          tMaxC: Math.max(hour.tMaxC ?? tC, tC),
        }),
    ...(rhPct === null ? {} : { humids: hour.humids + 1, rhSum: hour.rhSum + rhPct }),
    ...(windMs === null ? {} : { winds: hour.winds + 1, windSum: hour.windSum + windMs }),
    ...(sunWm2 === null ? {} : { suns: hour.suns + 1, sunSum: hour.sunSum + sunWm2 }),
    rainMm: rainMm === null ? hour.rainMm : (hour.rainMm ?? 0) + rainMm,
  };
}

const MJ_PER_WATT_HOUR = 0.0036;

/** Corrects temperatures that were sent in the wrong unit. */
export const meant = (c: number, reading: StationReading | null): number =>
  reading === 'fahrenheit' ? (c - 32) / 1.8 : reading === 'celsius-as-fahrenheit' ? c * 1.8 + 32 : c;

/** Returns the weather of an hour; the station is taken to measure wind 2 m up, as most in gardens do (judgement). */
export function weatherHour(h: StationHourEntity, reading: StationReading | null): WeatherHour {
  const mean = (sum: number, n: number): number | null => (n > 0 ? sum / n : null);
  const degrees = (c: number | null): number | null => (c === null ? null : meant(c, reading));
  const sun = mean(h.sunSum, h.suns);
  return {
    at: h.at.getTime(),
    tC: degrees(mean(h.tSum, h.temps)),
    tMinC: degrees(h.tMinC),
    tMaxC: degrees(h.tMaxC),
    rainMm: h.rainMm,
    rhPct: mean(h.rhSum, h.humids),
    windMs: mean(h.windSum, h.winds),
    solarMj: sun === null ? null : sun * MJ_PER_WATT_HOUR,
  };
}
