import { fillGaps, type WeatherDay } from '../climate/gaps.js';
import type { EtoMethod } from '../climate/reference-evapotranspiration.js';
import type { PlantCase } from '../records/plant-case.js';
import { coverOf } from '../records/place.js';
import { addDays, type Day, dayNumber, daysBetween } from '../units/day.js';
import type { Estimate } from './corrections.js';
import { dayInPlace } from './day-in-place.js';
import { WETTED_SHARE } from './evaporation.js';
import { markKnown } from './knowledge.js';
import type { Learned } from './learned.js';
import { Learner } from './learner.js';
import { measuredByDay } from './measured.js';
import { type BalanceDay, type Given, NOTHING_GIVEN, type RunState, startOf, stepRun } from './run.js';
import { demands } from './season.js';
import { gaveWater } from './watering.js';

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
/**
 * Just planted, and nobody has said that it was watered in: the bed as it usually is in spring, and one that lay under
 * cover without rain (judgement). So the plan waters it in, and gives the dry one a deep soak.
 */
const START_NOT_WATERED_IN = { open: { fraction: 0.5, sd: 0.2 }, covered: { fraction: 0.2, sd: 0.15 } } as const;
/** Days after planting on which it is still to be watered in; later it is taken as done: the plant would be dead. */
const WATER_IN_DAYS = 2;
const START_UNKNOWN: Estimate = { fraction: 0.7, sd: 0.3 };

/**
 * Computes the water balance of one plant's root zone day by day up to `asOf`; then, with a `forecast`, onward
 * without watering. Empty without any weather: a balance is never made from nothing.
 * @param learned what checks taught about this bed or pot, where the case is run without them
 */
export function waterBalance(
  c: PlantCase,
  forecast: readonly WeatherDay[] = [],
  learned: Learned | null = null,
): Balance {
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
  const toWaterIn = start === planted && isToWaterIn(c, planted);
  const state = startOf(
    toWaterIn
      ? START_NOT_WATERED_IN[coverOf(place) === 'none' ? 'open' : 'covered']
      : start === planted
        ? START_PLANTED
        : START_UNKNOWN,
  );
  const learner = new Learner(place, learned);
  let etoMethod: EtoMethod | null = null;
  let end: RunState | null = null;
  let before: RunState | null = null;
  const firstNo = dayNumber(start);
  const days = weather.map((w, i) => {
    const { own, etoMm, method } = dayInPlace(c, w);
    etoMethod = w.filled ? (etoMethod ?? method) : method;
    const seen = measured.get(w.date) ?? null;
    const given = givenOn.get(w.date) ?? NOTHING_GIVEN;
    if (w.date === c.asOf) before = copyOf(state);
    const day = learner.day(state, demandOn(own, etoMm, firstNo + i), w.date, seen, (demand) =>
      stepRun(state, made, { w: own, etoMm, demand, given, seen }),
    );
    if (w.date === c.asOf) end = copyOf(state);
    return day;
  });
  markKnown(c, days, start === planted, toWaterIn ? addDays(start, WATER_IN_DAYS) : null);
  return { days, etoMethod, end, before };
}

/** What was learned goes on changing with the days of the forecast. */
const copyOf = (s: RunState): RunState => ({ ...s, learned: s.learned ? { ...s.learned } : null });

/** Returns whether a plant was set out just now, with no word on any water since. */
function isToWaterIn({ asOf, records }: PlantCase, planted: Day): boolean {
  const said = [...records.watering, ...records.soilChecks, ...records.potWeights].some((r) => r.date >= planted);
  return !said && daysBetween(planted, asOf) <= WATER_IN_DAYS;
}

/**
 * Sums litres per day, with the widest share of the surface wetted. An unknown amount fills part of what is missing;
 * water that ran out below fills all of it.
 */
function wateringByDay(list: PlantCase['records']['watering']): Map<Day, Given> {
  const out = new Map<Day, Given>();
  for (const w of list) {
    if (!gaveWater(w)) continue;
    const before = out.get(w.date) ?? { litres: 0, wettedShare: 0.1, fills: 0 };
    out.set(w.date, {
      litres: before.litres + (w.litres ?? 0),
      wettedShare: Math.max(before.wettedShare, WETTED_SHARE[w.how ?? 'base']),
      fills: w.litres != null ? (before.fills ?? 0) : w.end === 'ran-through' ? FILLS_ALL : FILLS_SOME,
    });
  }
  return out;
}

/** Share of the missing water that a watering of unknown amount gives: most people water until it looks wet (judgement). */
const FILLS_SOME = 0.7;
/** Water that ran out below fills all, and a little runs off. */
const FILLS_ALL = 1.1;

const maxDay = (a: Day, b: Day): Day => (a > b ? a : b);
