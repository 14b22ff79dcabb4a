import type { ForecastWeather } from './expected-weather.js';
import { WAITS_FOR_DAYS } from './rain-chance.js';
import type { PlantCase } from '../records/plant-case.js';
import { isPotted } from '../records/place.js';
import { type Day, dayNumber, daysBetween } from '../units/day.js';
import { roundTo, toPourable, toTenth } from '../units/rounding.js';
import { dayInPlace } from './day-in-place.js';
import { WETTED_SHARE } from './evaporation.js';
import { withLearned } from './learning.js';
import type { PlanRules } from './plan-rules.js';
import { type BalanceDay, NOTHING_GIVEN, type RunState, stepRun } from './run.js';
import { dayNeed, demands } from './season.js';
import { soakSteps, type SoakSteps } from './soak.js';
import { type Circumstances, decide, type Order, orderParts, type OrderParts } from './order.js';
import type { Felt } from './felt.js';
import { settlingOn } from './settling.js';
import { doubtMm, missingMm, type Morning, wateringLimit } from './strategies.js';
import { at, last } from '../units/lists.js';

/** Days a plan shows. */
export const WEEK_DAYS = 7;

/** One day of the plan, litres per plant. */
export interface PlanDay {
  date: Day;
  /** litres to give per plant; 0 for no watering */
  litres: number;
  /** part of it after midday: a small pot can't hold a hot day's water at once */
  laterL: number;
  /** per plant, already recorded for that day */
  givenL: number;
  mm: number;
  steps: SoakSteps | null;
  /** the deciding reason: in a few words, without amounts */
  why: string;
  /** how the litres were computed; null if none are to be given */
  of: OrderParts | null;
  rainMm: number;
  allowed: boolean;
  /** water left at the day's end with this plan, and if the counted rain does not come */
  left: number;
  leftWithoutRain: number;
}

/** A planned watering. */
export interface PlannedWatering {
  date: Day;
  /** per plant */
  litres: number;
  /** part of it after midday */
  laterL: number;
  /** share of the available water left on that morning */
  left: number;
  /** for today: the share left tonight; null for another day */
  tonight: number | null;
  /** it was planted that day: what its soil holds is a guess */
  waterIn: boolean;
  why: string;
  /** how the litres were computed */
  of: OrderParts | null;
}

/** How often and how much, as the plan continues. */
interface Rhythm {
  litres: number;
  everyDays: number;
}

/** The next seven days of one plant, starting on the day of the question. */
export interface WeekPlan {
  days: PlanDay[];
  litres: number;
  /** extra litres per plant for a week without the counted rain, including what would be missing at its end */
  rainSavesL: number;
  /** first day the plant would be short without the rain, and how much to give then */
  withoutRain: { date: Day; litres: number } | null;
  /** the cap held some of the water back */
  capped: boolean;
  /** nothing is ordered until a finger says that the soil is dry */
  held: boolean;
  /** first watering of the week; null if there is none */
  next: PlannedWatering | null;
  /** null if not even two weeks have a watering */
  rhythm: Rhythm | null;
}

/** A case as the water plan needs it. */
export type PlannedCase = Pick<PlantCase, 'place' | 'plant' | 'garden' | 'asOf'>;

/** Where a plan begins. */
export interface PlanStart {
  /** on the morning of the plan's first day */
  state: RunState;
  /** days since the last watering before that day; 99 if none */
  since: number;
  /** litres per plant on the six days before, oldest first; for the cap */
  recentL?: readonly number[];
  /** litres per plant already given on the first day */
  givenL?: number;
  /** watered on the first day, amount unknown: nothing is ordered on top of it */
  givenUnknown?: boolean;
  /** what a finger said, if it still counts on the first day */
  felt?: Felt['feel'] | null;
  /** the soil should dry first: nothing is ordered until a finger says that it is dry */
  held?: boolean;
}

/**
 * 0 Sunday to 6 Saturday. Day 0, 1 January 1970, was a Thursday.
 * @example weekday('2026-11-29') // 0
 */
export const weekday = (day: Day): number => (dayNumber(day) + 4) % 7;

/**
 * Plans the coming days by a watering method: it waters on the morning of a day on which it would fall due before the
 * next allowed morning.
 * @param weather from the day of the question on, with the rain to count; days beyond a week only shape the rhythm
 */
export function planWeek(
  c: PlannedCase,
  start: PlanStart,
  weather: readonly ForecastWeather[],
  rules: PlanRules,
): WeekPlan {
  const whole = runPlan(c, start, weather, rules, 'plan');
  const wet = whole.slice(0, WEEK_DAYS);
  const noRain = weather.slice(0, WEEK_DAYS).map((w) => ({ ...w, rainMm: 0, mayRainMm: 0 }));
  const dry = runPlan(c, start, noRain, rules, 'plan');
  // the same waterings without rain
  const failed = runPlan(
    c,
    start,
    noRain,
    rules,
    wet.map((r) => r.ordered),
  );
  const days = wet.map((r, i): PlanDay => ({
    date: r.day.date,
    litres: r.ordered,
    laterL: r.later,
    givenL: r.given,
    mm: toTenth(r.ordered / r.day.soilM2),
    steps: r.ordered > 0 ? soakSteps(r.ordered, rules.flowLPerH, wettedM2(c, r, rules), c.place) : null,
    why: r.why,
    of: r.of,
    rainMm: at(weather, i).rainMm,
    allowed: r.allowed,
    left: r.day.fractionAvailable,
    leftWithoutRain: at(failed, i).day.fractionAvailable,
  }));
  const held = start.held === true;
  // short because the rain failed, not because of a limit that this plan exceeds anyway; held back, a finger decides
  const short = failed.find(
    (r, i) =>
      !held && r.day.depletionMm >= r.limitMm && r.day.fractionAvailable < at(wet, i).day.fractionAvailable - 0.02,
  );
  return {
    days,
    litres: roundTo(total(wet), 2),
    rainSavesL: held ? 0 : toTenth(Math.max(0, total(dry) - total(wet) + missingAtEnd(dry) - missingAtEnd(wet))),
    withoutRain: short
      ? { date: short.day.date, litres: toTenth(Math.max(0.1, short.day.depletionMm * short.day.soilM2)) }
      : null,
    capped: wet.some((r) => r.capped),
    held,
    next: nextOf(wet),
    rhythm: rhythmOf(whole),
  };
}

/** Returns the ground the water reaches, m² per plant: a pot is wetted all over. */
const wettedM2 = (c: PlannedCase, r: PlannedDay, rules: PlanRules): number =>
  isPotted(c.place) ? r.day.soilM2 : r.day.soilM2 * WETTED_SHARE[rules.how];

const total = (list: readonly PlannedDay[]): number => list.reduce((sum, r) => sum + r.ordered, 0);

/** Returns what a run leaves to refill after its last day, litres per plant. */
export const missingAtEnd = (list: readonly PlannedDay[]): number => {
  const last = list.at(-1);
  return last ? Math.max(0, last.day.depletionMm) * last.day.soilM2 : 0;
};

function nextOf(list: readonly PlannedDay[]): PlannedWatering | null {
  const next = list.find((r) => r.ordered > 0);
  return next
    ? {
        date: next.day.date,
        litres: next.ordered,
        laterL: next.later,
        left: next.leftInTheMorning,
        tonight: null,
        waterIn: next.waterIn,
        why: next.why,
        of: next.of,
      }
    : null;
}

/** A single watering in the period counts as one a week. */
function rhythmOf(list: readonly PlannedDay[]): Rhythm | null {
  const given = list.filter((r) => r.ordered > 0);
  const first = given[0];
  if (!first) return null;
  const span = daysBetween(first.day.date, last(given).day.date);
  return {
    litres: toPourable(total(given) / given.length),
    everyDays: given.length > 1 ? Math.max(1, Math.round(span / (given.length - 1))) : WEEK_DAYS,
  };
}

/** One day of a plan as run. */
interface PlannedDay {
  day: BalanceDay;
  /** litres per plant: already recorded, and added by the plan */
  given: number;
  ordered: number;
  /** part of what the plan adds, for after midday */
  later: number;
  leftInTheMorning: number;
  why: string;
  allowed: boolean;
  limitMm: number;
  capped: boolean;
  waterIn: boolean;
  /** how the plan's litres were computed */
  of: OrderParts | null;
}

/** Runs a plan (or given litres, day by day) through the weather. */
export function runPlan(
  c: PlannedCase,
  start: PlanStart,
  weather: readonly ForecastWeather[],
  rules: PlanRules,
  by: 'plan' | readonly number[],
): PlannedDay[] {
  const demandOn = demands(c);
  const made = { place: c.place, crop: c.plant.crop };
  const state = { ...start.state };
  const wettedShare = WETTED_SHARE[rules.how];
  const isAllowed = (day: Day): boolean => !rules.allowedDays?.length || rules.allowedDays.includes(weekday(day));
  let since = start.since;
  // litres of the six days before each day: the cap applies to any seven days
  const recent = [...(start.recentL ?? [])].slice(1 - WEEK_DAYS);
  const days = weather.map((w) => dayInPlace(c, w));
  const mayRain = weather.map((w) =>
    (w.mayRainMm ?? 0) > 0
      ? { mm: dayInPlace(c, { ...w, rainMm: w.mayRainMm! }).own.rainMm, chancePct: w.rainChancePct ?? 0 }
      : null,
  );
  return days.map(({ own: w, etoMm }, i): PlannedDay => {
    const demand = withLearned(demandOn(w, etoMm), state.learned);
    const { zone } = demand;
    const { useMm, rawMm } = dayNeed(demand, etoMm, c.plant.crop);
    const limitMm = wateringLimit(
      {
        crop: c.plant.crop,
        stage: c.plant.stage,
        drierRipening: rules.drierRipening ?? false,
        moisture: rules.moisture ?? null,
      },
      rawMm,
      zone.tawMm,
    );
    const given = i === 0 ? (start.givenL ?? 0) : (rules.timed?.find((t) => t.date === w.date)?.litres ?? 0);
    const allowed = isAllowed(w.date);
    const leftInTheMorning = Math.min(1, 1 - missingMm({ state, zone }) / zone.tawMm);
    const morning: Morning = {
      state,
      zone,
      useMm,
      limitMm,
      since,
      doubtMm: doubtMm({ state, zone }),
      felt: i === 0 ? (start.felt ?? null) : null,
    };
    let order: Order;
    let circumstances: Circumstances | null = null;
    if (by !== 'plan') order = { mm: at(by, i) / zone.soilM2, why: '' };
    else {
      let wait = 1;
      while (wait < WEEK_DAYS && i + wait < weather.length && !isAllowed(at(weather, i + wait).date)) wait++;
      circumstances = {
        allowed,
        wait,
        // until the next allowed morning
        rainMm: days.slice(i, i + wait).reduce((sum, x) => sum + Math.max(0, x.own.rainMm - 2), 0),
        mayRain: mayRain.slice(i + 1, i + 1 + WAITS_FOR_DAYS).flatMap((r, k) => (r ? [{ ...r, inDays: k + 1 }] : [])),
        held: start.held === true,
        leftInTheMorning,
        givenMm: given / zone.soilM2,
        settling: settlingOn(c.plant, w.date),
        timed: i > 0 && given > 0,
        givenUnknown: i === 0 && start.givenUnknown === true,
      };
      order = decide(morning, rules, circumstances);
    }
    let ordered = toPourable(order.mm * zone.soilM2);
    let later = Math.min(ordered, toPourable((order.laterMm ?? 0) * zone.soilM2));
    let { why } = order;
    const room = by === 'plan' ? (rules.weeklyCapL ?? Infinity) - recent.reduce((a, b) => a + b, 0) - given : Infinity;
    const asked = ordered;
    const capped = ordered > room;
    if (capped) {
      ordered = Math.max(0, Math.floor(room * 10) / 10);
      later = Math.min(later, ordered);
      why = ordered > 0 ? 'the weekly limit leaves no more' : 'the weekly limit is used up';
    }
    const of =
      circumstances && ordered > 0
        ? orderParts(morning, order, rules, circumstances, { litres: ordered, cappedL: asked - ordered })
        : null;
    const litres = given + ordered;
    recent.push(litres);
    if (recent.length >= WEEK_DAYS) recent.shift();
    const day = stepRun(state, made, { w, etoMm, demand, given: litres > 0 ? { litres, wettedShare } : NOTHING_GIVEN });
    since = litres > 0 ? 1 : since + 1;
    const waterIn = circumstances?.settling === 'water-in';
    return { day, given, ordered, later, leftInTheMorning, why, allowed, limitMm, capped, waterIn, of };
  });
}
