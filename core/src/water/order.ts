import type { PlanRules } from './plan-rules.js';
import { whyDue } from './methods.js';
import { type Settling, SETTLING_WHY, settlingMm } from './settling.js';
import { hedgedAmount, type RainAhead, whyHedged } from './rain-chance.js';
import { missingMm, type Morning, refillMm, METHOD_STRATEGIES } from './strategies.js';

// The order for one morning, and how it was computed.

/** A plant this close to wilting is watered whatever the method says, if watering is allowed that day (judgement). */
const ALMOST_WILTING_LEFT = 0.15;
/** A remainder smaller than this share of a day's watering is not worth a second walk. */
const REST_WORTH = 0.25;

/** The plan does not follow the finger: roots reach deeper than it does. */
const DRY_ON_TOP = 'dry at a finger’s depth, but the roots below still have enough';

/** A second watering below this share of the day's use is not worth the walk. */
const SECOND_WORTH = 0.1;

/** Water asked for, mm, with its reason. */
export interface Order {
  mm: number;
  /** the morning's watering alone, before subtracting what was given */
  morningMm?: number;
  /** part of it for after midday */
  laterMm?: number;
  /** part of the morning's watering left to rain that may come */
  toRainMm?: number;
  why: string;
}

/** What turns an order into litres. */
export interface Circumstances {
  allowed: boolean;
  /** mornings until the next allowed watering */
  wait: number;
  rainMm: number;
  /** rain that may come after today */
  mayRain: readonly RainAhead[];
  /** the soil should dry first: a finger ends it, not the model */
  held: boolean;
  leftInTheMorning: number;
  givenMm: number;
  /** a timer gives that */
  timed?: boolean;
  /** watered today, amount unknown */
  givenUnknown?: boolean;
  /** newly planted: its own rhythm comes before the method's */
  settling: Settling | null;
}

/** Returns a second, small watering if even a full pot would not last the day, mm. */
function secondWatering({ zone, useMm, limitMm }: Morning): number {
  const mm = zone.isPot ? useMm - limitMm : 0;
  return mm >= SECOND_WORTH * useMm ? mm : 0;
}

/** Said where water is held back. */
export const HELD_WHY = 'none until a finger says it is dry';

/** Returns the order for this morning, mm over the plant's soil, minus what the day has had already. */
export function decide(morning: Morning, rules: PlanRules, c: Circumstances): Order {
  if (!c.allowed) return { mm: 0, why: 'not a watering day' };
  const m = { ...morning, useMm: Math.max(0, morning.useMm * c.wait - (morning.zone.isPot ? 0 : c.rainMm)) };
  if (c.held) return { mm: 0, why: HELD_WHY };
  const ask = (now: Morning): number =>
    c.settling ? settlingMm(now, c.settling) : METHOD_STRATEGIES[rules.method](now);
  // forecast rain that is enough saves the walk
  const asked = c.settling && c.rainMm >= missingMm(morning) + 1 ? 0 : ask(m);
  const urgent = asked === 0 && c.leftInTheMorning < ALMOST_WILTING_LEFT;
  const morningMm = urgent ? refillMm(m) : asked;
  const secondMm = morningMm > 0 ? secondWatering(morning) : 0;
  const mm = morningMm + secondMm;
  const rest = mm - c.givenMm;
  if (c.givenUnknown) return { mm: 0, why: 'watered today, amount unknown: feel the soil tomorrow' };
  if (c.givenMm > 0) {
    // already watered today; only a clear shortfall is ordered
    if (rest <= 0 || rest < REST_WORTH * mm) return { mm: 0, why: c.timed ? 'the timer waters it' : 'watered today' };
    return { mm: rest, morningMm, laterMm: Math.min(rest, secondMm), why: 'it is still short after that watering' };
  }
  const hedge = urgent || secondMm > 0 ? null : hedgeOf(morning, rules, c, morningMm);
  if (hedge) return { mm: hedge.mm, morningMm, laterMm: 0, toRainMm: morningMm - hedge.mm, why: whyHedged(hedge) };
  const laterMm = secondMm;
  if (urgent) return { mm, morningMm, laterMm, why: 'close to wilting: earlier than the usual interval' };
  if (mm > 0)
    return {
      mm,
      morningMm,
      laterMm,
      why: c.settling
        ? SETTLING_WHY[c.settling]
        : c.wait > 1
          ? 'would run short before the next watering day'
          : whyDue(rules.method, METHOD_STRATEGIES[rules.method]({ ...m, useMm: 0 }) > 0),
    };
  const rainDoes = c.rainMm > 2 && ask({ ...m, useMm: morning.useMm * c.wait }) > 0;
  if (rainDoes) return { mm: 0, why: 'rain is forecast to do it' };
  return { mm: 0, why: m.felt === 'dry' ? DRY_ON_TOP : '' };
}

/**
 * Weighs rain that may come against watering now: in a bed watered by need. Pots hold too little to wait, the other methods
 * and the first weeks have their own rhythm, and where not every day is allowed the next one may be too late.
 */
function hedgeOf(m: Morning, rules: PlanRules, c: Circumstances, fullMm: number): ReturnType<typeof hedgedAmount> {
  if (fullMm <= 0 || m.zone.isPot || rules.method !== 'by-need' || c.settling || c.wait > 1 || m.felt === 'dry')
    return null;
  const { useMm, limitMm, zone } = m;
  const rainMm = Math.min(c.rainMm, useMm);
  return hedgedAmount(
    { missingMm: missingMm(m), useMm: useMm - rainMm, limitMm, tawMm: zone.tawMm },
    fullMm,
    c.mayRain,
  );
}

/** A part of an order, in the order in which the parts are added. */
export type OrderPart = 'missing' | 'salts' | 'rule' | 'rain' | 'midday' | 'given' | 'cap' | 'rounding';

/** How the litres of a day were computed; litres are for one plant, and the parts add up to the order. */
export interface OrderParts {
  /** water within reach of its roots when the soil is full, and the share left that morning */
  inReachL: number;
  left: number;
  /** the share at which it is watered, if that decides; null if the method or the first weeks use another rule */
  limitLeft: number | null;
  /** mornings until the next allowed watering, and the use until then */
  days: number;
  useL: number;
  /** rain counted in that time, minus what stays on leaves; none in a pot */
  rainL: number;
  parts: { what: OrderPart; litres: number }[];
  /** the order: the sum of the parts */
  litres: number;
}

/** Smaller amounts are not shown, L. */
const TOLD_L = 0.005;

/**
 * @param order the morning's order
 * @param litres the result: after the cap, rounded to pour
 * @param cappedL litres held back by the cap
 */
export function orderParts(
  m: Morning,
  order: Order,
  rules: PlanRules,
  c: Circumstances,
  { litres, cappedL }: { litres: number; cappedL: number },
): OrderParts {
  const inLitres = (mm: number): number => mm * m.zone.soilM2;
  const missing = inLitres(missingMm(m));
  const asked = inLitres(order.morningMm ?? order.mm);
  // a refill with a tenth more, or another amount from the method or the first weeks
  const refill = inLitres(refillMm(m));
  const bySalts = Math.abs(asked - refill) < TOLD_L ? refill - missing : 0;
  const parts: OrderParts['parts'] = [
    { what: 'missing', litres: missing },
    { what: 'salts', litres: bySalts },
    { what: 'rule', litres: asked - missing - bySalts },
    { what: 'rain', litres: -inLitres(order.toRainMm ?? 0) },
    { what: 'midday', litres: inLitres(order.mm + (order.toRainMm ?? 0) + c.givenMm) - asked },
    { what: 'given', litres: -inLitres(c.givenMm) },
    { what: 'cap', litres: -cappedL },
  ];
  const sum = parts.reduce((total, p) => total + p.litres, 0);
  parts.push({ what: 'rounding', litres: litres - sum });
  return {
    inReachL: inLitres(m.zone.tawMm),
    left: c.leftInTheMorning,
    limitLeft: rules.method === 'by-need' && !c.settling ? 1 - m.limitMm / m.zone.tawMm : null,
    days: c.wait,
    useL: inLitres(m.useMm * c.wait),
    rainL: m.zone.isPot ? 0 : inLitres(c.rainMm),
    parts: parts.filter((p) => Math.abs(p.litres) >= TOLD_L),
    litres,
  };
}
