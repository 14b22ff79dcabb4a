import { fillGaps } from '../climate/gaps.js';
import type { PlantCase } from '../records/plant-case.js';
import type { Watering } from '../records/water-records.js';
import { addDays, type Day, daysBetween } from '../units/day.js';
import { toPourable } from '../units/rounding.js';
import type { Balance } from '../water/balance.js';
import { given } from '../water/place-plan.js';
import { type PlaceRules, rulesPerPlant } from '../water/plan-rules.js';
import { runPlan } from '../water/plan.js';
import { type BalanceDay, type RunState, startOf } from '../water/run.js';

/** Days through which the plan is run again: what the longest look back at water covers. */
const RUN_DAYS = 42;

/** The same weeks, watered each morning by the plan. */
export interface PlannedWeeks {
  watering: Watering[];
  days: BalanceDay[];
  /** the first planned watering */
  from: Day;
  /** litres each time, per plant, and the mean days from one to the next */
  litres: number;
  everyDays: number;
}

/**
 * Runs the plan through the weeks that a plant really had, from the first day on which its water is known.
 * @param balance the same weeks as recorded, without corrections by checks
 * @param plants plants that share the bed's flow and limit
 * @returns null if the water is not known, or the plan gives nothing
 */
export function wateredByPlan(c: PlantCase, balance: Balance, rules: PlaceRules, plants: number): PlannedWeeks | null {
  const reach = addDays(c.asOf, 1 - RUN_DAYS);
  const known = balance.days.findIndex((d) => d.known && d.date >= reach);
  const start = balance.days[known];
  if (!start) return null;
  const before = balance.days[known - 1];
  const state: RunState = {
    ...startOf({ fraction: before?.fractionAvailable ?? 1, sd: before?.uncertainty ?? 0.05 }),
    learned: balance.end?.learned ?? null,
  };
  const weather = fillGaps(c.records.weather, start.date, c.asOf);
  const { since } = given(c.records.watering, start.date);
  // a timer that runs in the coming days did not water these
  const { timed: _, ...own } = rulesPerPlant(rules, plants);
  const run = runPlan(c, { state, since: since ?? 1 }, weather, own, 'plan');
  const ordered = run.filter((r) => r.ordered > 0);
  const [first] = ordered;
  const last = ordered.at(-1);
  if (!first || !last) return null;
  const litres = ordered.reduce((sum, r) => sum + r.ordered, 0) / ordered.length;
  return {
    watering: ordered.map((r) => ({ date: r.day.date, litres: r.ordered, how: own.how })),
    days: [...balance.days.slice(0, known), ...run.map((r) => ({ ...r.day, known: true }))],
    from: first.day.date,
    litres: toPourable(litres),
    everyDays:
      ordered.length > 1
        ? Math.max(1, Math.round(daysBetween(first.day.date, last.day.date) / (ordered.length - 1)))
        : 7,
  };
}
