import type { CaseContext } from '../diagnosis/context.js';
import { CLEAR_FROM, type Diagnosis } from '../diagnosis/engine/diagnose.js';
import { byRecords, oddsOf } from '../diagnosis/engine/risk.js';
import { weatherInPlace } from '../climate/weather-in-place.js';
import type { DisorderCode } from '../records/vocabulary/disorders.js';
import { frostFrom, hardSpells, NEWLY_PLANTED_DAYS } from '../season/hard-weather.js';
import { addDays, type Day, daysBetween } from '../units/day.js';
import type { ForecastWeather } from '../water/expected-weather.js';
import { WEEK_DAYS, type WeekPlan } from '../water/plan.js';
import { BLIGHT_RULES, type BlightPeriod, blightPeriods, type BlightRule, LEAST_NIGHT_C } from './late-blight.js';
import { MOULD, mouldDue } from './grey-mould.js';
import { isCovered, isRainedOn, NETWORK_RISKS, type NetworkRisk, type PreventiveAct } from './rows.js';
import { SEVERITY_DUE, severityDue } from './tom-cast.js';
import { weekAhead } from './week-ahead.js';

/** A problem that the coming days may bring, with one thing to do against it. */
export interface ComingRisk {
  disorder: DisorderCode;
  /** the day it comes, or is met */
  on: Day;
  /** how many times likelier than usual, by records and forecast; null where a published rule is met or not */
  times: number | null;
  /** the rule that says so, in one line */
  rule: string;
  act: PreventiveAct;
  /** the day to do it: never before today */
  actOn: Day;
  /** litres, where the act is to water */
  litres: number | null;
}

/** What the coming days are judged from. */
export interface Ahead {
  plan: WeekPlan | null;
  /** outdoors, from the day of the question on */
  forecast: readonly ForecastWeather[];
  /** the findings of today: what is here already is no longer coming */
  found: readonly Diagnosis[];
}

/**
 * Returns what the next seven days may bring this plant, soonest first: only what is above its threshold. Empty
 * without a forecast, and in a quiet week.
 */
export function comingRisks(ctx: CaseContext, { plan, forecast, found }: Ahead): ComingRisk[] {
  const ahead = weekAhead(ctx, plan, forecast);
  if (ahead.length === 0) return [];
  const here = new Set(found.filter((d) => d.probability >= CLEAR_FROM).map((d) => d.disorder));
  const own = fromNetwork(ctx, ahead, plan);
  const rules = [lateBlight(ctx, forecast), leafSpots(ctx, forecast), greyMould(ctx, forecast), frost(ctx, forecast)];
  return [...own, ...rules.filter((r) => r !== null)]
    .filter((r) => !here.has(r.disorder))
    .sort((a, b) => (a.on < b.on ? -1 : a.on > b.on ? 1 : 0));
}

const notBefore = (day: Day, today: Day): Day => (day < today ? today : day);

/** How many times likelier than usual each problem of the rows is, by the records up to a day. */
type Times = ReadonlyMap<DisorderCode, number>;
const ALL_OF_ROWS = NETWORK_RISKS.flatMap((row) => row.disorders);
const timesOn = (ctx: CaseContext): Times =>
  new Map(byRecords(ctx, ALL_OF_ROWS).map((c) => [c.row.code, c.oddsByRecords / oddsOf(c.row.prior)]));
/** The coming days must raise the odds to at least so much of today's: what is as likely today is no news (judgement). */
const NEWS_FROM = 1.3;

/**
 * Judges the coming days as past ones. What happens on one day counts for a week, so the middle and the end of the week
 * tell whether a risk comes at all; only then each day is judged, as the first over the threshold counts.
 */
function fromNetwork(ctx: CaseContext, ahead: readonly CaseContext[], plan: WeekPlan | null): ComingRisk[] {
  const { stage } = ctx.case.plant;
  const rows = NETWORK_RISKS.filter((row) => stage && row.stages.includes(stage) && !row.notHere?.(ctx));
  if (rows.length === 0) return [];
  const known = new Map<CaseContext, Times>();
  const on = (there: CaseContext): Times => {
    const times = known.get(there) ?? timesOn(there);
    known.set(there, times);
    return times;
  };
  const outline = [ahead[Math.floor((ahead.length - 1) / 2)], ahead.at(-1)].filter((x) => x !== undefined);
  return rows.flatMap((row): ComingRisk[] => {
    const now = likeliestOf(row, on(ctx)).times;
    const passes = (there: CaseContext): boolean => {
      const { times } = likeliestOf(row, on(there));
      return times >= row.times && times >= NEWS_FROM * now;
    };
    const first = outline.some(passes) ? ahead.find(passes) : undefined;
    const day = first && (row.onDay ? row.onDay(ahead, ctx.case.asOf) : first.case.asOf);
    if (!first || !day) return [];
    const { disorder, times } = likeliestOf(row, on(first));
    const watering = row.act === 'water-as-planned' ? plan?.next : null;
    return [
      {
        disorder,
        on: day,
        times: Math.round(times),
        rule: row.rule,
        act: row.act,
        actOn: watering ? watering.date : notBefore(addDays(day, -1), ctx.case.asOf),
        litres: watering?.litres ?? null,
      },
    ];
  });
}

/** Of problems that come together the likeliest stands for all. */
const likeliestOf = ({ disorders }: NetworkRisk, known: Times): { disorder: DisorderCode; times: number } =>
  disorders
    .map((disorder) => ({ disorder, times: known.get(disorder) ?? 0 }))
    .reduce((a, b) => (b.times > a.times ? b : a));

/** The days of the case and those ahead, outdoors or where the plant grows. */
const wholeOf = ({ case: c }: CaseContext, forecast: readonly ForecastWeather[]) => [
  ...c.records.weather,
  ...forecast.filter((f) => f.date > c.asOf && f.date <= addDays(c.asOf, WEEK_DAYS)),
];

/** Days within which a rule that was met already is no news: who was warned last week is looking (judgement). */
const NEWS_AFTER_DAYS = 7;
/** A day this warm stops late blight, °C (common practice: it rests from 29 or 30 °C on). */
const BLIGHT_RESTS_C = 29;

/**
 * Late blight: the Hutton criteria, or a Smith period where more hours are humid. It is an outdoor rule. In weather that
 * meets the weaker rule week after week, only the stronger one is news.
 */
function lateBlight(ctx: CaseContext, forecast: readonly ForecastWeather[]): ComingRisk | null {
  const { asOf } = ctx.case;
  if (!isRainedOn(ctx)) return null;
  const days = wholeOf(ctx, forecast).filter((w) => w.date >= addDays(asOf, -NEWS_AFTER_DAYS));
  const warm = new Set(days.filter((w) => w.tMaxC >= BLIGHT_RESTS_C).map((w) => w.date));
  const fresh = (rule: BlightRule): BlightPeriod | undefined => {
    const periods = blightPeriods(days, rule).filter((p) => !warm.has(p.on) && !warm.has(addDays(p.on, -1)));
    return periods.some((p) => p.on <= asOf) ? undefined : periods[0];
  };
  const smith = fresh('smith');
  const hutton = smith ?? fresh('hutton');
  if (!hutton) return null;
  return {
    disorder: 'late-blight',
    on: hutton.on,
    times: null,
    rule: `${smith ? 'Hutton criteria and a Smith period' : 'Hutton criteria'}: two days from ${ctx.format.temperature(LEAST_NIGHT_C)} up, each with ${BLIGHT_RULES[smith ? 'smith' : 'hutton']} hours of humid air`,
    act: 'keep-leaves-dry',
    actOn: notBefore(addDays(hutton.on, -1), asOf),
    litres: null,
  };
}

/** Early blight and septoria: severity values since planting, where rain falls on the leaves. */
function leafSpots(ctx: CaseContext, forecast: readonly ForecastWeather[]): ComingRisk | null {
  const { asOf, plant } = ctx.case;
  if (plant.crop !== 'tomato' || !plant.transplantedOn || !isRainedOn(ctx)) return null;
  const planted = plant.transplantedOn;
  const due = severityDue(
    wholeOf(ctx, forecast).filter((w) => w.date >= planted),
    asOf,
  );
  // a sum that creeps over the line in a dry week is no weather for spots
  if (!due || due.added < LEAST_ADDED) return null;
  return {
    disorder: 'early-blight',
    on: due.on,
    times: null,
    rule: `TOM-CAST: severity ${due.sum} since planting; ${SEVERITY_DUE.first} and each ${SEVERITY_DUE.then} after call for a look`,
    act: 'low-leaves-off',
    actOn: notBefore(addDays(due.on, -1), asOf),
    litres: null,
  };
}
/** Severity values that the coming days must add up to then (judgement). */
const LEAST_ADDED = 3;

function greyMould(ctx: CaseContext, forecast: readonly ForecastWeather[]): ComingRisk | null {
  const { asOf, place, garden } = ctx.case;
  if (!isCovered(ctx)) return null;
  const days = wholeOf(ctx, forecast)
    .filter((w) => w.date >= addDays(asOf, -NEWS_AFTER_DAYS))
    .map((w) => weatherInPlace(place, w, garden));
  const on = mouldDue(days, asOf);
  if (!on) return null;
  return {
    disorder: 'grey-mould',
    on,
    times: null,
    rule: `two days with ${MOULD.hours} hours of air above ${MOULD.humidPct} % at ${ctx.format.temperature(MOULD.fromC)} to ${ctx.format.temperature(MOULD.toC)}`,
    act: 'air-out',
    actOn: notBefore(addDays(on, -1), asOf),
    litres: null,
  };
}

function frost(ctx: CaseContext, forecast: readonly ForecastWeather[]): ComingRisk | null {
  const { asOf, place, plant } = ctx.case;
  const newlyPlanted = plant.transplantedOn != null && daysBetween(plant.transplantedOn, asOf) <= NEWLY_PLANTED_DAYS;
  const exposure = { facts: place, newlyPlanted };
  const days = forecast.filter((f) => f.date > asOf && f.date <= addDays(asOf, WEEK_DAYS));
  const spell = hardSpells(asOf, days, exposure).find((s) => s.kind === 'frost');
  if (!spell) return null;
  const limit = frostFrom(exposure);
  return {
    disorder: 'frost-injury',
    on: spell.from,
    times: null,
    rule: `a night of ${ctx.format.temperature(limit)} or less at head height lets the ground freeze here`,
    act: 'cover-for-frost',
    actOn: notBefore(addDays(spell.from, -1), asOf),
    litres: null,
  };
}
