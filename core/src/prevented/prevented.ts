import { CLEAR_FROM, type Diagnosis } from '../diagnosis/engine/diagnose.js';
import { type CaseContext, contextOf } from '../diagnosis/context.js';
import { type Candidate } from '../diagnosis/engine/network.js';
import { byRecords, chanceOf } from '../diagnosis/engine/risk.js';
import { SOIL_MOISTURE } from '../records/vocabulary/sign-groups.js';
import type { DisorderCode } from '../records/vocabulary/disorders.js';
import type { PlantCase } from '../records/plant-case.js';
import type { Watering } from '../records/water-records.js';
import type { Day } from '../units/day.js';
import { roundTo } from '../units/rounding.js';
import { type Balance, waterBalance } from '../water/balance.js';
import type { PlaceRules } from '../water/plan-rules.js';
import { CHANGES, type ChangeCode, type Changed } from './changes.js';
import { wateredByPlan } from './water-by-plan.js';

/** A change that would have lowered the risk of a finding. */
export interface Prevention {
  change: ChangeCode;
  disorder: DisorderCode;
  /** from this day on it would have been different */
  from: Day;
  size?: number;
  litres?: number;
  /** risk by the records as they are, and with the change, 0 to 1 */
  risk: number;
  riskWith: number;
  /** between which the risk with the change lies */
  low: number;
  high: number;
  /** water left each day with the change, 0 to 1; null if it does not change the water */
  left: { day: Day; fractionAvailable: number }[] | null;
}

/** What is known of the bed or pot besides the case. */
export interface PlaceOfCase {
  rules: PlaceRules;
  /** plants that share its water */
  plants: number;
}

/** Changes listed at most; each must lower the risk by so much, and to this share of it (judgement). */
const MOST_SHOWN = 3;
const LEAST_LOWERED = 0.05;
const MOST_LEFT_SHARE = 0.75;
/** The second line goes back as far as the page's charts, days. */
const LINE_DAYS = 28;
/** By how much the strength of every driver may be wrong, as an exponent on its factor (judgement). */
const FACTOR_DOUBT = [0.7, 1.3] as const;
/** By how much the litres written in a record may be wrong (judgement: a can is filled by eye). */
const LITRES_DOUBT = [0.8, 1.25] as const;

/**
 * Returns the two or three changes that would have lowered the risk of the leading finding most: the same weeks are
 * run again with one thing changed, and the records alone are read again through the same network. Empty where
 * nothing is clear, no driver was found, or the records do not reach.
 */
export function whatWouldHavePrevented(
  ctx: CaseContext,
  leader: Diagnosis | undefined,
  own: PlaceOfCase,
): Prevention[] {
  if (!leader || leader.probability < CLEAR_FROM || leader.drivers.length === 0) return [];
  const actual = judged(ctx, leader.disorder);
  if (!actual) return [];
  const risk = chanceOf(actual.oddsByRecords);
  const world = worldOf(ctx);
  const lessOrMore = remembered(() => LITRES_DOUBT.map((share) => poured(world, own, share)));
  const tried = changesOf(world, own).flatMap((changed) => {
    const change = compared(world, changed, leader.disorder);
    const riskWith = change && chanceOf(actual.oddsByRecords * change.ratio);
    return change && riskWith !== null && isWorth(risk, riskWith) ? [{ changed, ...change, riskWith }] : [];
  });
  return tried
    .sort((a, b) => a.riskWith - b.riskWith)
    .slice(0, MOST_SHOWN)
    .map(({ changed, ratio, other, riskWith }): Prevention => {
      const ratios = [ratio, ...doubts(changed, leader.disorder, ratio, lessOrMore)];
      const risks = ratios.map((r) => chanceOf(actual.oddsByRecords * r));
      return {
        change: changed.change,
        disorder: leader.disorder,
        from: changed.from,
        ...(changed.size == null ? {} : { size: changed.size }),
        ...(changed.litres == null ? {} : { litres: changed.litres }),
        risk: roundTo(risk, 2),
        riskWith: roundTo(riskWith, 2),
        low: roundTo(Math.min(...risks), 2),
        high: roundTo(Math.max(...risks), 2),
        left: changed.water ? lineOf(other) : null,
      };
    });
}

const isWorth = (risk: number, riskWith: number): boolean =>
  risk - riskWith >= LEAST_LOWERED && riskWith <= MOST_LEFT_SHARE * risk;

const judged = (ctx: CaseContext, problem: DisorderCode): Candidate | undefined => byRecords(ctx, [problem])[0];

/** The weeks as recorded, and the same as modelled without the checks of the soil: a change of water moves those. */
interface World {
  ctx: CaseContext;
  /** null where the water is not known */
  modelled: CaseContext | null;
}

function worldOf(ctx: CaseContext): World {
  return { ctx, modelled: ctx.waterKnown ? remodelled(ctx, unchecked(ctx.case)) : null };
}

/** Returns a case without what was felt, weighed or seen of its soil: that belongs to the water it really had. */
function unchecked(c: PlantCase): PlantCase {
  return {
    ...c,
    records: { ...c.records, soilChecks: [], potWeights: [] },
    observations: c.observations.filter((o) => !SOIL_MOISTURE.has(o.sign)),
  };
}

/** Runs the balance again for a changed case, with what the checks had taught, and with the days known that were. */
function remodelled(ctx: CaseContext, changed: PlantCase): CaseContext {
  const balance = waterBalance(changed, [], ctx.balance.end?.learned ?? null);
  const known = new Map(ctx.balance.days.map((d) => [d.date, d.known]));
  for (const day of balance.days) day.known = known.get(day.date) ?? day.known;
  return contextOf(changed, [], ctx.format, balance);
}

function changesOf({ ctx, modelled }: World, own: PlaceOfCase): (Changed & { balance?: Balance })[] {
  const simple = Object.entries(CHANGES).flatMap(([change, make]) => {
    const made = make(ctx);
    return made ? [{ ...made, change: change as ChangeCode }] : [];
  });
  const planned = modelled && wateredByPlan(modelled.case, modelled.balance, own.rules, own.plants);
  return planned
    ? [
        {
          change: 'water-by-plan',
          case: withWatering(modelled.case, planned.watering),
          from: planned.from,
          size: planned.everyDays,
          litres: planned.litres,
          water: true,
          balance: { ...modelled.balance, days: planned.days },
        },
        ...simple,
      ]
    : simple;
}

const withWatering = (c: PlantCase, watering: Watering[]): PlantCase => ({ ...c, records: { ...c.records, watering } });

interface Compared {
  /** the problem's odds with the change, as a share of those without */
  ratio: number;
  other: CaseContext;
}

function compared(world: World, changed: Changed & { balance?: Balance }, problem: DisorderCode): Compared | null {
  const same = changed.water ? world.modelled : world.ctx;
  if (!same) return null;
  const other = changed.balance
    ? contextOf(changed.case, [], same.format, changed.balance)
    : changed.water
      ? remodelled(world.ctx, unchecked(changed.case))
      : contextOf(changed.case, [], same.format, same.balance);
  const [a, b] = [judged(same, problem), judged(other, problem)];
  return a && b ? { ratio: b.oddsByRecords / a.oddsByRecords, other } : null;
}

/** The same weeks with more or less in each can, and every change of them. */
interface Poured {
  world: World;
  changes: ReturnType<typeof changesOf>;
}

function poured({ ctx }: World, own: PlaceOfCase, share: number): Poured {
  const watering = ctx.case.records.watering.map((w) => (w.litres ? { ...w, litres: w.litres * share } : w));
  const world = worldOf({ ...ctx, case: withWatering(ctx.case, watering) });
  return { world, changes: changesOf(world, own) };
}

/** Runs something when it is first asked for, and once. */
function remembered<T>(make: () => T): () => T {
  let made: { value: T } | null = null;
  return () => (made ??= { value: make() }).value;
}

/** Returns the ratio again with every driver stronger or weaker, and with more or less in each can. */
function doubts(changed: Changed, problem: DisorderCode, ratio: number, lessOrMore: () => Poured[]): number[] {
  const byFactor = FACTOR_DOUBT.map((exponent) => ratio ** exponent);
  if (!changed.water) return byFactor;
  const byLitres = lessOrMore().flatMap(({ world, changes }) => {
    const there = changes.find((x) => x.change === changed.change);
    const change = there && compared(world, there, problem);
    return change ? [change.ratio] : [];
  });
  return [...byFactor, ...byLitres];
}

const lineOf = (ctx: CaseContext): Prevention['left'] =>
  ctx.balance.days
    .slice(-LINE_DAYS)
    .map((d) => ({ day: d.date, fractionAvailable: roundTo(Math.min(1, Math.max(0, d.fractionAvailable)), 3) }));
