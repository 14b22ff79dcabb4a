import { fillGaps, type WeatherDay } from '../climate/gaps.js';
import type { EtoMethod } from '../climate/reference-evapotranspiration.js';
import type { PlantCase } from '../records/plant-case.js';
import { addDays, type Day, dayNumber } from '../units/day.js';
import type { Estimate } from './corrections.js';
import { dayInPlace } from './day-in-place.js';
import { WETTED_SHARE } from './evaporation.js';
import { markKnown } from './knowledge.js';
import { measuredByDay } from './measured.js';
import { type BalanceDay, type Given, NOTHING_GIVEN, type RunState, startOf, stepRun } from './run.js';
import { demands } from './season.js';

/** The water balance of a plant, day by day. */
export interface Balance {
  days: BalanceDay[];
  etoMethod: EtoMethod | null;
  /** state of the run at the end of `asOf`, to continue from; null without a balance */
  end: RunState | null;
  /** the same on the morning of `asOf`, before that day's rain and water */
  before: RunState | null;
}

/** Longest look back if the planting date is unknown, days. */
const UNKNOWN_START_DAYS = 60;
/** The root zone is full after planting in; if the records begin later it is unknown. */
const START_PLANTED: Estimate = { fraction: 1, sd: 0.05 };
const START_UNKNOWN: Estimate = { fraction: 0.7, sd: 0.3 };

/**
 * Computes the water balance of one plant's root zone day by day up to `asOf`; then, with a `forecast`, onward
 * without watering. Empty without any weather: a balance is never made from nothing.
 */
export function waterBalance(c: PlantCase, forecast: readonly WeatherDay[] = []): Balance {
  const { records, plant, place } = c;
  const first = records.weather[0]?.date;
  if (!first || first > c.asOf) return { days: [], etoMethod: null, end: null, before: null };
  const planted = plant.transplantedOn;
  const start = planted ? (planted > first ? planted : first) : maxDay(first, addDays(c.asOf, -UNKNOWN_START_DAYS));
  const ahead = forecast.filter((f) => f.date > c.asOf);
  const weather = fillGaps([...records.weather, ...ahead], start, ahead.at(-1)?.date ?? c.asOf);
  const givenOn = wateringByDay(records.watering);
  const measured = measuredByDay(c);
  const demandOn = demands(c);
  const made = { place, crop: plant.crop };
  const state = startOf(start === planted ? START_PLANTED : START_UNKNOWN);
  let etoMethod: EtoMethod | null = null;
  let end: RunState | null = null;
  let before: RunState | null = null;
  const firstNo = dayNumber(start);
  const days = weather.map((w, i) => {
    const { own, etoMm, method } = dayInPlace(c, w);
    etoMethod = w.filled ? (etoMethod ?? method) : method;
    const seen = measured.get(w.date) ?? null;
    const given = givenOn.get(w.date) ?? NOTHING_GIVEN;
    if (w.date === c.asOf) before = { ...state };
    const day = stepRun(state, made, { w: own, etoMm, demand: demandOn(own, etoMm, firstNo + i), given, seen });
    if (w.date === c.asOf) end = { ...state };
    return day;
  });
  markKnown(c, days, start === planted);
  return { days, etoMethod, end, before };
}

/** Sums litres per day, with the widest share of the surface wetted. */
function wateringByDay(list: PlantCase['records']['watering']): Map<Day, Given> {
  const out = new Map<Day, Given>();
  for (const w of list) {
    const before = out.get(w.date) ?? { litres: 0, wettedShare: 0.1 };
    out.set(w.date, {
      litres: before.litres + w.litres,
      wettedShare: Math.max(before.wettedShare, WETTED_SHARE[w.how ?? 'base']),
    });
  }
  return out;
}

const maxDay = (a: Day, b: Day): Day => (a > b ? a : b);
