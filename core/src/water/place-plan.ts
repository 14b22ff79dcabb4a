import { type Irrigation, isPotted, type PlaceKind } from '../records/place.js';
import type { PlantCase } from '../records/plant-case.js';
import type { Watering } from '../records/water-records.js';
import { addDays, type Day, daysBetween } from '../units/day.js';
import { toPourable } from '../units/rounding.js';
import type { Balance } from './balance.js';
import { expectedWeather, type ForecastWeather } from './expected-weather.js';
import type { Felt } from './felt.js';
import { isKnown } from './knowledge.js';
import { morningOf } from './morning.js';
import { type PlaceRules, rulesPerPlant } from './plan-rules.js';
import { type PlanStart, planWeek, WEEK_DAYS, type WeekPlan } from './plan.js';
import { gaveWater } from './watering.js';

/**
 * The one decision about water. Today, the strips, the plant's page, the week, the remedies and the timer all read
 * what `planPlace` returns; nothing else decides when or how much to water.
 */

/** A plant as the plan sees it. */
export interface PlannedPlant {
  id: string;
  case: PlantCase;
  balance: Balance;
  /** its soil should dry first: it felt wet today, or a finding pauses watering */
  held: boolean;
  /** the newest check of its soil by hand that still counts */
  felt?: Felt | null;
}

/** Plants that get the same amount at the same time: a whole bed, or one pot. */
export interface Pour {
  /** the id of the bed or pot if it is watered as one, else the plant's */
  id: string;
  /** who gets it, in walking order */
  plantIds: string[];
  /** who is left out because its soil should dry first */
  leftOutIds: string[];
  /** the driest of them, which decides for all */
  speakerId: string;
  /** per plant; null if no balance can be computed, or the watering history is unknown */
  plan: WeekPlan | null;
}

/** The plan of one bed or pot: what each plant gets. */
export interface PlacePlan {
  /** one amount for all its plants */
  together: boolean;
  pours: Pour[];
}

/** Days of weather beyond the week shown, so a slow rhythm can be seen. */
export const RHYTHM_DAYS = 14;

/** Beds are watered as a whole, and so are pots on a line or timer; other pots one by one. */
const isWateredTogether = (
  kind: PlaceKind,
  { irrigation, byTimer }: { irrigation?: Irrigation | null; byTimer?: boolean },
): boolean => !isPotted({ kind }) || irrigation === 'drip' || irrigation === 'soaker' || byTimer === true;

/**
 * Returns the next seven days of one bed or group of pots, from the day of the question.
 * @param placeId names the group if watered as one
 * @param plants those growing there, in walking order; all of one bed or pot
 */
export function planPlace(
  placeId: string,
  rules: PlaceRules,
  plants: readonly PlannedPlant[],
  forecast: readonly ForecastWeather[],
): PlacePlan {
  const kind = plants[0]?.case.place.kind ?? 'ground';
  const together = isWateredTogether(kind, rules);
  const groups = together ? (plants.length > 0 ? [plants] : []) : plants.map((p) => [p]);
  return {
    together,
    pours: groups.map((group): Pour => {
      const thirsty = group.filter((p) => !p.held);
      // if all should dry first, the driest decides until when
      const considered = thirsty.length > 0 ? thirsty : group;
      const speaker = considered.reduce((a, b) => (leftOf(b) < leftOf(a) ? b : a));
      return {
        id: together ? placeId : speaker.id,
        plantIds: considered.map((p) => p.id),
        leftOutIds: thirsty.length > 0 ? group.filter((p) => p.held).map((p) => p.id) : [],
        speakerId: speaker.id,
        plan: planFor(speaker, rules, plants.length, forecast),
      };
    }),
  };
}

/** Returns the water left at the end of the day; a plant with an unknown balance counts last. */
const leftOf = (p: PlannedPlant): number => (isKnown(p.balance) ? (p.balance.days.at(-1)?.fractionAvailable ?? 2) : 2);

function planFor(
  { case: c, balance, held, felt }: PlannedPlant,
  rules: PlaceRules,
  plants: number,
  forecast: readonly ForecastWeather[],
): WeekPlan | null {
  const state = morningOf(balance);
  const newest = c.records.weather.at(-1);
  // if the watering history is unknown, no litres are ordered: a finger check comes first
  if (!state || !newest || !isKnown(balance)) return null;
  const today = newest.date === c.asOf ? newest : { ...newest, date: c.asOf, rainMm: 0 };
  const start: PlanStart = { state, held, felt: felt?.feel ?? null, ...given(c.records.watering, c.asOf) };
  const ahead = expectedWeather(c, forecast, RHYTHM_DAYS - 1);
  const plan = planWeek(c, start, [today, ...ahead], rulesPerPlant(rules, plants));
  // the strips show what is left tonight, so a text about this morning gives both
  const last = balance.days.at(-1);
  if (plan.next?.date === c.asOf && last?.date === c.asOf) plan.next.tonight = last.fractionAvailable;
  return plan;
}

/** Returns what the records say was given before and on the day. */
export function given(
  watering: readonly Pick<Watering, 'date' | 'litres'>[],
  asOf: Day,
): Pick<PlanStart, 'since' | 'recentL' | 'givenL' | 'givenUnknown'> {
  const litresOn = (day: Day): number => watering.reduce((sum, w) => (w.date === day ? sum + (w.litres ?? 0) : sum), 0);
  const last = watering.findLast((w) => gaveWater(w) && w.date < asOf)?.date;
  return {
    since: last ? daysBetween(last, asOf) : NEVER_WATERED,
    recentL: Array.from({ length: WEEK_DAYS - 1 }, (_, i) => litresOn(addDays(asOf, i + 1 - WEEK_DAYS))),
    givenL: litresOn(asOf),
    givenUnknown: watering.some((w) => w.date === asOf && w.litres == null),
  };
}

/** Days since the last watering if none is recorded. */
export const NEVER_WATERED = 99;

/** Returns the group a plant belongs to, or would if its soil need not dry first. */
export const pourOf = (plan: PlacePlan, plantId: string): Pour | undefined =>
  plan.pours.find((p) => p.plantIds.includes(plantId) || p.leftOutIds.includes(plantId));

/** Returns the litres a whole group takes on a day of the plan. */
export const litresOf = (pour: Pour, date: Day): number =>
  toPourable((pour.plan?.days.find((d) => d.date === date)?.litres ?? 0) * pour.plantIds.length);

/** Returns how many of these are saved for after midday. */
export const laterOf = (pour: Pour, date: Day): number =>
  toPourable((pour.plan?.days.find((d) => d.date === date)?.laterL ?? 0) * pour.plantIds.length);
