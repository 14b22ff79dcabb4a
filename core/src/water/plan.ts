import type { CaseFile } from '../casefile/case-file.js';
import type { WaterMethod } from '../casefile/record-classes.js';
import type { WeatherDay } from '../climate/gaps.js';
import { referenceEvapotranspiration } from '../climate/reference-evapotranspiration.js';
import { dayNumber, dayOfYear, type Day } from '../day.js';
import { WETTED_SHARE } from './evaporation.js';
import { SCHOOL_HABITS, wateringLimit, type Morning } from './habits.js';
import { NOTHING_GIVEN, stepRun, type BalanceDay, type RunState } from './run.js';
import type { SchoolCode } from './schools.js';
import { dayNeed, demandOn, etoAtPlant, seasonClock } from './season.js';
import { soakSteps, type SoakSteps } from './soak.js';

/** How the gardener waters here, and what local rules allow. */
export interface PlanRules {
  school: SchoolCode;
  how: WaterMethod;
  /** per plant; null for a can */
  flowLPerH: number | null;
  lean?: 'damp' | 'dry' | null;
  drierFinish?: boolean;
  /** weekdays on which watering is allowed, 0 Sunday to 6 Saturday; empty or missing: all */
  allowedDays?: readonly number[] | null;
  /** most litres a plant may have in the seven days, where water is restricted */
  weeklyCapL?: number | null;
}

export interface PlanDay {
  date: Day;
  /** per plant; 0 for no watering */
  litres: number;
  mm: number;
  steps: SoakSteps | null;
  /** what decided: in a few words */
  why: string;
  rainMm: number;
  allowed: boolean;
  /** water left at the day's end by this plan, and if the counted rain does not come */
  left: number;
  leftWithoutRain: number;
}

export interface WeekPlan {
  days: PlanDay[];
  litres: number;
  /** what a week without the counted rain would take more, what is missing at its end counted in, litres a plant */
  rainSavesL: number;
  /** the first day on which the plant would be short if the rain does not come, and how much to give then */
  withoutRain: { date: Day; litres: number } | null;
  /** the cap kept some of the water back */
  capped: boolean;
}

type Subject = Pick<CaseFile, 'place' | 'plant' | 'garden' | 'asOf'>;

const tenth = (x: number): number => Math.round(x * 10) / 10;
/** 0 Sunday to 6 Saturday. Day 0 of the count, 1 January 1970, was a Thursday. */
export const weekday = (day: Day): number => (dayNumber(day) + 4) % 7;

/**
 * The coming days under a school: a watering is given on the morning of a day on which it would fall due before the next
 * morning on which one is allowed.
 * @param weather the days from tomorrow on (or from today, where today's watering is still open), with the rain to count on
 */
export function planWeek(
  c: Subject,
  from: RunState,
  weather: readonly WeatherDay[],
  since: number,
  rules: PlanRules,
): WeekPlan {
  const wet = run(c, from, weather, since, rules, 'plan');
  const dry = run(
    c,
    from,
    weather.map((w) => ({ ...w, rainMm: 0 })),
    since,
    rules,
    'plan',
  );
  // the same waterings, and no rain
  const failed = run(
    c,
    from,
    weather.map((w) => ({ ...w, rainMm: 0 })),
    since,
    rules,
    wet.map((x) => x.given),
  );
  const days = wet.map((x, i): PlanDay => ({
    date: x.day.date,
    litres: x.given,
    mm: tenth(x.given / x.day.soilM2),
    steps:
      x.given > 0
        ? soakSteps(
            x.given,
            rules.flowLPerH,
            wettedM2(c.place.kind, x.day.soilM2, rules.how),
            c.place.texture,
            c.place.drainageMmPerH,
          )
        : null,
    why: x.why,
    rainMm: weather[i]!.rainMm,
    allowed: x.allowed,
    left: x.day.fractionAvailable,
    leftWithoutRain: failed[i]!.day.fractionAvailable,
  }));
  const sum = (list: readonly Ran[]): number => list.reduce((t, x) => t + x.given, 0);
  // short for want of the rain, not for a limit that this plan passes anyway
  const short = failed.find(
    (x, i) => x.day.depletionMm >= x.limitMm && x.day.fractionAvailable < wet[i]!.day.fractionAvailable - 0.02,
  );
  return {
    days,
    litres: tenth(sum(wet)),
    rainSavesL: tenth(Math.max(0, sum(dry) - sum(wet) + missingAtEnd(dry) - missingAtEnd(wet))),
    withoutRain: short
      ? { date: short.day.date, litres: tenth(Math.max(0.1, short.day.depletionMm * short.day.soilM2)) }
      : null,
    capped: wet.some((x) => x.capped),
  };
}

/** Ground that the water reaches, m² a plant: a pot is wetted all over. */
const wettedM2 = (kind: string, soilM2: number, how: WaterMethod): number =>
  kind === 'container' ? soilM2 : soilM2 * WETTED_SHARE[how];

/** What a run leaves to be refilled after its last day, litres a plant. */
const missingAtEnd = (list: readonly Ran[]): number => {
  const last = list.at(-1);
  return last ? Math.max(0, last.day.depletionMm) * last.day.soilM2 : 0;
};

interface Ran {
  day: BalanceDay;
  given: number;
  why: string;
  allowed: boolean;
  limitMm: number;
  capped: boolean;
}

function run(
  c: Subject,
  from: RunState,
  weather: readonly WeatherDay[],
  since0: number,
  rules: PlanRules,
  by: 'plan' | readonly number[],
): Ran[] {
  const clock = seasonClock(c);
  const made = { place: c.place, crop: c.plant.crop };
  const habit = SCHOOL_HABITS[rules.school];
  const state = { ...from };
  const wets = WETTED_SHARE[rules.how];
  const isAllowed = (day: Day): boolean => !rules.allowedDays?.length || rules.allowedDays.includes(weekday(day));
  const etoOn = (w: WeatherDay): number =>
    etoAtPlant(
      c.place,
      w.date,
      referenceEvapotranspiration(w, c.garden.latitude, c.garden.elevationM, dayOfYear(w.date)).etoMm,
    );
  let since = since0;
  let left = rules.weeklyCapL ?? Infinity;
  return weather.map((w, i): Ran => {
    const etoMm = etoOn(w);
    const demand = demandOn(c, clock, w, etoMm);
    const { zone } = demand;
    const { useMm, rawMm } = dayNeed(demand, etoMm, c.plant.crop);
    const limitMm = wateringLimit(
      { crop: c.plant.crop, stage: c.plant.stage, drierFinish: rules.drierFinish ?? false, lean: rules.lean ?? null },
      rawMm,
      zone.tawMm,
    );
    const allowed = isAllowed(w.date);
    let mm = 0;
    let why = '';
    if (by !== 'plan') mm = by[i]! / zone.soilM2;
    else if (!allowed) why = 'not a watering day';
    else {
      // use until the next morning on which watering is allowed, less the rain to count on
      let wait = 1;
      while (wait < 7 && i + wait < weather.length && !isAllowed(weather[i + wait]!.date)) wait++;
      const rainMm = weather.slice(i, i + wait).reduce((s, x) => s + Math.max(0, x.rainMm - 2), 0);
      const m: Morning = { state, zone, useMm: Math.max(0, useMm * wait - (zone.isPot ? 0 : rainMm)), limitMm, since };
      mm = habit(m);
      if (mm > 0) why = wait > 1 ? 'would run short before the next watering day' : reason(rules.school);
      else if (rainMm > 2 && habit({ ...m, useMm: useMm * wait }) > 0) why = 'rain is expected to do it';
    }
    let litres = tenth(mm * zone.soilM2);
    const capped = by === 'plan' && litres > left;
    if (capped) {
      litres = Math.floor(left * 10) / 10;
      why = litres > 0 ? 'the weekly limit leaves no more' : 'the weekly limit is used up';
    }
    left -= litres;
    const day = stepRun(state, made, w, etoMm, demand, litres > 0 ? { litres, wets } : NOTHING_GIVEN, null);
    since = litres > 0 ? 1 : since + 1;
    return { day, given: litres, why, allowed, limitMm, capped };
  });
}

const reason = (school: SchoolCode): string =>
  ({
    'by-need': 'the water easily had would be used up',
    deep: 'the week’s long soak',
    'twice-a-week': 'three days since the last',
    'evenly-moist': 'a quarter would be used',
    daily: 'what yesterday used',
    finger: 'dry at a finger’s depth',
    'half-often': 'a third would be used',
  })[school];

/** Days since the last watering on record, 99 when there was none. */
export function daysSinceWatering(records: CaseFile['records'], day: Day): number {
  const last = records.watering.findLast((w) => w.litres > 0 && w.date < day)?.date;
  return last ? dayNumber(day) - dayNumber(last) : 99;
}
