import { fillGaps, type WeatherDay } from '../climate/gaps.js';
import type { PlaceFacts } from '../records/facts.js';
import { isPotted } from '../records/place.js';
import type { Crop } from '../records/plant.js';
import type { PlantCase } from '../records/plant-case.js';
import { addDays } from '../units/day.js';
import { roundTo, toTenth } from '../units/rounding.js';
import { evenness } from './evenness.js';
import { type PlaceRules, type PlanRules, rulesPerPlant } from './plan-rules.js';
import { missingAtEnd, type PlannedCase, runPlan } from './plan.js';
import { startOf } from './run.js';
import { isMulched } from '../records/mulch.js';
import { first } from '../units/lists.js';

/** How steady a bed or pot is with its watering method, over a while. */
export interface Steadiness {
  litresPerWeek: number;
  daysBetween: number;
  evenness: number;
}

/** The same with one thing changed. */
export interface WhatIf extends Steadiness {
  what: 'mulch' | 'bigger-pot';
  /** millimetres of mulch, or litres of pot */
  size: number;
}

/** What drier soil while fruit colours costs and saves. */
export interface DrierCost {
  /** of the harvest that ripens in that time, % */
  lossPct: number;
  /** litres a week that are not given */
  savedLPerWeek: number;
}

/**
 * Yield response: the share of yield that is lost for each share of water use that is lost (Doorenbos and Kassam 1979, FAO
 * Irrigation and Drainage Paper 33, table 24; from memory): of a tomato 0.8 while it forms fruit, of a pepper 1.1.
 */
const YIELD_RESPONSE: Readonly<Record<Crop, number>> = { tomato: 0.8, pepper: 1.1 };

/** Past days over which the what-ifs run. */
const TRIED_DAYS = 28;
const MULCH_MM = 60;

/**
 * Runs the last four weeks again with the same watering method: as it is, and with one thing changed. Ignores local
 * limits.
 */
export function whatIf(
  c: PlantCase,
  rules: PlaceRules,
): { now: Steadiness | null; whatIf: WhatIf[]; drier: DrierCost | null } {
  const oldest = c.records.weather[0]?.date;
  if (!oldest || oldest > c.asOf) return { now: null, whatIf: [], drier: null };
  const from = addDays(c.asOf, 1 - TRIED_DAYS);
  const days = fillGaps(c.records.weather, oldest > from ? oldest : from, c.asOf);
  const free = rulesPerPlant({ ...rules, allowedDays: null, weeklyCapL: null }, 1);
  const tried = (place: PlaceFacts): Steadiness => tryOn({ ...c, place }, days, free);
  const isPot = isPotted(c.place);
  const mulched = isMulched(c.place.mulch, c.asOf);
  const bigger = (c.place.volumeL ?? 10) * 2;
  return {
    drier: drierCost(c, days, free),
    now: tried(c.place),
    whatIf: [
      ...(isPot ? [{ what: 'bigger-pot' as const, size: bigger, ...tried({ ...c.place, volumeL: bigger }) }] : []),
      ...(!isPot && !mulched
        ? [
            {
              what: 'mulch' as const,
              size: MULCH_MM,
              ...tried({ ...c.place, mulch: [{ from: first(days).date, depthMm: MULCH_MM }] }),
            },
          ]
        : []),
    ],
  };
}

/** Runs the same weeks with ripening fruit, as usual and drier. */
function drierCost(c: PlannedCase, days: readonly WeatherDay[], rules: PlanRules): DrierCost {
  const ripening = { ...c, plant: { ...c.plant, stage: 'ripening' as const } };
  const [usual, drier] = [false, true].map((drierRipening) => {
    const run = runPlan(
      ripening,
      { state: startOf({ fraction: 1, sd: 0 }), since: 1 },
      days,
      { ...rules, drierRipening },
      'plan',
    );
    return {
      ks: run.reduce((sum, r) => sum + r.day.ks, 0) / run.length,
      litres: run.reduce((sum, r) => sum + r.ordered, 0) + missingAtEnd(run),
    };
  }) as [{ ks: number; litres: number }, { ks: number; litres: number }];
  return {
    lossPct: toTenth(Math.max(0, 100 * YIELD_RESPONSE[c.plant.crop] * (1 - drier.ks / usual.ks))),
    savedLPerWeek: toTenth(Math.max(0, ((usual.litres - drier.litres) / days.length) * 7)),
  };
}

function tryOn(c: PlannedCase, days: readonly WeatherDay[], rules: PlanRules): Steadiness {
  const run = runPlan(c, { state: startOf({ fraction: 1, sd: 0 }), since: 1 }, days, rules, 'plan');
  const given = run.filter((r) => r.ordered > 0);
  const ordered = given.reduce((sum, r) => sum + r.ordered, 0);
  // what is still to refill counts too, otherwise the last day would decide between two set-ups
  const litres = ordered + missingAtEnd(run);
  const visits = given.length === 0 ? 1 : (litres / ordered) * given.length;
  return {
    litresPerWeek: toTenth((litres / days.length) * 7),
    daysBetween: toTenth(days.length / visits),
    evenness: roundTo(evenness(run.map((r) => r.day)) ?? 0, 2),
  };
}
