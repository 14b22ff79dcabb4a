import type { PlanRules } from './plan-rules.js';
import { whyDue } from './schools.js';
import { type Settling, SETTLING_WHY, settlingMm } from './settling.js';
import { missingMm, type Morning, refillMm, SCHOOL_STRATEGIES } from './strategies.js';

/** What one morning asks for, and what that was made of. */

/** A plant this close to wilting is watered whatever the school says, where watering is allowed (judgement). */
const ALMOST_WILTING_LEFT = 0.15;
/** So small a rest of a day's watering is not worth a second walk. */
const REST_WORTH = 0.25;

/** A second watering of less than this share of the day's use is not worth the walk. */
const SECOND_WORTH = 0.1;

export interface Order {
  mm: number;
  /** of the morning's watering alone, before what was given is taken off */
  morningMm?: number;
  /** of it, for after midday */
  laterMm?: number;
  why: string;
}

export interface Circumstances {
  allowed: boolean;
  /** mornings until one on which watering is allowed again */
  wait: number;
  rainMm: number;
  held: 'today' | 'until-limit' | null;
  leftInTheMorning: number;
  givenMm: number;
  /** just planted out: its own rhythm goes before the school's */
  settling: Settling | null;
}

/** A second, small watering where even a full pot would not last the day, mm. */
function secondWatering({ zone, useMm, limitMm }: Morning): number {
  const mm = zone.isPot ? useMm - limitMm : 0;
  return mm >= SECOND_WORTH * useMm ? mm : 0;
}

/** What this morning asks for, mm over the plant's soil; what the day has had already is taken off. */
export function decide(morning: Morning, rules: PlanRules, c: Circumstances): Order {
  if (!c.allowed) return { mm: 0, why: 'not a watering day' };
  const m = { ...morning, useMm: Math.max(0, morning.useMm * c.wait - (morning.zone.isPot ? 0 : c.rainMm)) };
  const due = missingMm(m) + m.useMm >= m.limitMm;
  if (c.held === 'today' || (c.held && !due)) return { mm: 0, why: 'watering is paused: let the soil dry first' };
  if (c.held) return { mm: refillMm(m), morningMm: refillMm(m), why: 'dry again by then' };
  const ask = (now: Morning): number =>
    c.settling ? settlingMm(now, c.settling) : SCHOOL_STRATEGIES[rules.school](now);
  // rain that is expected to do it spares the walk
  const asked = c.settling && c.rainMm >= missingMm(morning) + 1 ? 0 : ask(m);
  const urgent = asked === 0 && c.leftInTheMorning < ALMOST_WILTING_LEFT;
  const morningMm = urgent ? refillMm(m) : asked;
  const secondMm = morningMm > 0 ? secondWatering(morning) : 0;
  const mm = morningMm + secondMm;
  const rest = mm - c.givenMm;
  if (c.givenMm > 0) {
    // somebody has watered today; only what is clearly missing is asked for
    if (rest <= 0 || rest < REST_WORTH * mm) return { mm: 0, why: 'watered today' };
    return { mm: rest, morningMm, laterMm: Math.min(rest, secondMm), why: 'it is still short after that watering' };
  }
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
          : whyDue(rules.school, SCHOOL_STRATEGIES[rules.school]({ ...m, useMm: 0 }) > 0),
    };
  const rainDoes = c.rainMm > 2 && ask({ ...m, useMm: morning.useMm * c.wait }) > 0;
  return { mm: 0, why: rainDoes ? 'rain is forecast to do it' : '' };
}

/** A part of an order, in the order in which they are added up. */
export type OrderPart = 'missing' | 'salts' | 'rule' | 'midday' | 'given' | 'cap' | 'rounding';

/** What the litres of a day were made of, for whoever asks; litres are of one plant, and the parts add up to what is to be given. */
export interface OrderReckoned {
  /** what its roots can reach when the soil is full, and the share that is left that morning */
  inReachL: number;
  left: number;
  /** the share at which it is watered, where that decides; null where the school or the first weeks go by something else */
  limitLeft: number | null;
  /** mornings until one may water again, and what is used until then */
  days: number;
  useL: number;
  /** rain counted on in that time, what stays on leaves taken off; in a pot none is */
  rainL: number;
  parts: { what: OrderPart; litres: number }[];
  /** to be given: what the parts add up to */
  litres: number;
}

/** Less than this is not told. */
const TOLD_L = 0.005;

/**
 * @param order what the morning asked for
 * @param litres what became of it: with what the cap keeps back, in litres that can be poured
 * @param cappedL so much the cap kept back
 */
export function orderReckoned(
  m: Morning,
  order: Order,
  rules: PlanRules,
  c: Circumstances,
  litres: number,
  cappedL: number,
): OrderReckoned {
  const inLitres = (mm: number): number => mm * m.zone.soilM2;
  const missing = inLitres(missingMm(m));
  const asked = inLitres(order.morningMm ?? order.mm);
  // a refill with a tenth more, or another amount that the rule of the school or of the first weeks gives
  const refill = inLitres(refillMm(m));
  const bySalts = Math.abs(asked - refill) < TOLD_L ? refill - missing : 0;
  const parts: OrderReckoned['parts'] = [
    { what: 'missing', litres: missing },
    { what: 'salts', litres: bySalts },
    { what: 'rule', litres: asked - missing - bySalts },
    { what: 'midday', litres: inLitres(order.mm + c.givenMm) - asked },
    { what: 'given', litres: -inLitres(c.givenMm) },
    { what: 'cap', litres: -cappedL },
  ];
  const sum = parts.reduce((total, p) => total + p.litres, 0);
  parts.push({ what: 'rounding', litres: litres - sum });
  return {
    inReachL: inLitres(m.zone.tawMm),
    left: c.leftInTheMorning,
    limitLeft: rules.school === 'by-need' && !c.settling ? 1 - m.limitMm / m.zone.tawMm : null,
    days: c.wait,
    useL: inLitres(m.useMm * c.wait),
    rainL: m.zone.isPot ? 0 : inLitres(c.rainMm),
    parts: parts.filter((p) => Math.abs(p.litres) >= TOLD_L),
    litres,
  };
}
