import type { CaseFile } from '../casefile/case-file.js';
import type { WeatherDay } from '../climate/gaps.js';
import { addDays, dayWords, type Day } from '../day.js';
import { wateringLimit } from './habits.js';
import type { BalanceDay } from './run.js';

export interface NextWatering {
  date: Day;
  /** per plant */
  litres: number;
  why: string;
}

/** Rain is counted on from this chance. */
const COUNTED_CHANCE_PCT = 60;
const LOOK_AHEAD_DAYS = 7;

export interface ForecastWeather extends WeatherDay {
  rainChancePct?: number | null;
}

/** With no forecast the coming days are taken to be like the last seven, and dry. */
export function expectedWeather(
  c: CaseFile,
  forecast: readonly ForecastWeather[],
): { days: WeatherDay[]; known: boolean } {
  const ahead = forecast.filter((f) => f.date > c.asOf).slice(0, LOOK_AHEAD_DAYS);
  if (ahead.length > 0)
    return {
      days: ahead.map((f) => ((f.rainChancePct ?? 0) >= COUNTED_CHANCE_PCT ? f : { ...f, rainMm: 0 })),
      known: true,
    };
  const last = c.records.weather.slice(-7);
  if (last.length === 0) return { days: [], known: false };
  const mean = (key: 'tMinC' | 'tMaxC'): number => last.reduce((s, w) => s + w[key], 0) / last.length;
  return {
    days: Array.from({ length: LOOK_AHEAD_DAYS }, (_, i) => ({
      date: addDays(c.asOf, i + 1),
      tMinC: mean('tMinC'),
      tMaxC: mean('tMaxC'),
      rainMm: 0,
    })),
    known: false,
  };
}

/** Depletion at which this plant should be watered, mm. */
const wateringLimitMm = ({ plant }: Pick<CaseFile, 'plant'>, day: Pick<BalanceDay, 'rawMm' | 'tawMm'>): number =>
  wateringLimit({ crop: plant.crop, stage: plant.stage }, day.rawMm, day.tawMm);

/** Litres that bring the root zone back to field capacity; pots get a tenth more so that salts leave. */
export const refillLitres = (c: Pick<CaseFile, 'place'>, depletionMm: number, soilM2: number): number =>
  Math.max(0, depletionMm) * soilM2 * (c.place.kind === 'container' ? 1.1 : 1);

const toTenth = (litres: number): number => Math.max(0.1, Math.round(litres * 10) / 10);

export interface Upcoming {
  /** null when there is no balance, or when a week passes without need */
  next: NextWatering | null;
  /** the coming days as they would go with no watering */
  ahead: BalanceDay[];
}

/**
 * The first day on which the balance passes the limit, and how much then refills the root zone.
 * @param days a balance that runs on through the expected weather
 * @param known whether that weather comes from a forecast
 */
export function upcomingFrom(c: CaseFile, days: readonly BalanceDay[], known: boolean): Upcoming {
  const today = days.findIndex((d) => d.date === c.asOf);
  if (today < 0) return { next: null, ahead: [] };
  const ahead = days.slice(today + 1);
  const day = days.slice(today).find((d) => d.depletionMm >= wateringLimitMm(c, d));
  if (!day) return { next: null, ahead };
  const percent = Math.round(day.fractionAvailable * 100);
  const when = day.date === c.asOf ? 'now' : `by ${dayWords(day.date)}`;
  return {
    next: {
      date: day.date,
      litres: toTenth(refillLitres(c, day.depletionMm, day.soilM2)),
      why: `${when} about ${percent} % of the water in reach is left${known ? '' : ', if the days stay as they were'}`,
    },
    ahead,
  };
}

export interface Rhythm {
  litres: number;
  everyDays: number;
}

/**
 * A steady rhythm for this plant now: how many days of its present use fit between full and the limit
 * (at least one, at most seven), and the litres that use takes. Null without a balance.
 */
export function steadyRhythm(c: CaseFile, days: readonly BalanceDay[]): Rhythm | null {
  const last = days.slice(-7);
  const today = last.at(-1);
  if (!today) return null;
  const perDayMm = last.reduce((sum, d) => sum + d.demandL / d.soilM2, 0) / last.length;
  if (perDayMm <= 0) return null;
  const everyDays = Math.min(7, Math.max(1, Math.floor(wateringLimitMm(c, today) / perDayMm)));
  return { everyDays, litres: toTenth(refillLitres(c, perDayMm * everyDays, today.soilM2)) };
}
