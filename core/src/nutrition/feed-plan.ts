import { SCORCHING_DAY_C, TOO_HOT_FOR_CARE_C } from '../climate/limits.js';
import type { Crop, Stage } from '../records/plant.js';
import type { Feeding } from '../records/record-classes.js';
import { addDays, type Day, daysBetween } from '../units/day.js';
import { DRY_LEFT } from '../water/stress.js';
import { isSlow, nitrogenFreedG } from './release.js';
import { mostNitrogenG, nitrogenWindowDays, SALTY_FROM } from './limits.js';
import { last } from '../units/lists.js';

/** Feed to start with. A soil test decides; without one, compost and a balanced feed (common practice). */
export const STARTER_METHODS = ['compost-balanced', 'nitrogen-led', 'phosphorus-led', 'by-test'] as const;
/** How the feed at planting out is chosen. */
export type StarterMethod = (typeof STARTER_METHODS)[number];

/** Feeding of healthy peppers in flower: none, or a feed with more potassium than nitrogen (two schools). */
export const PEPPER_FEEDS = ['lean', 'bloom'] as const;
/** How healthy peppers in flower are fed. */
export type PepperFeed = (typeof PEPPER_FEEDS)[number];

/** A feed's lead nutrient, compared with what is needed now. */
export type FeedLead = 'balanced' | 'nitrogen' | 'phosphorus' | 'potash';

type FeedReason = 'starter' | 'bloom' | 'first-fruit' | 'rhythm' | 'pale';

/** Why a feed waits, and until when. */
export type FeedHold =
  | { kind: 'heat'; until: Day; hottestC: number }
  | { kind: 'dry'; until: Day }
  | { kind: 'paused'; until: Day; because: string }
  | { kind: 'nitrogen'; until: Day; grams: number; days: number }
  | { kind: 'wet'; until: Day }
  | { kind: 'rain'; until: Day; rainMm: number }
  | { kind: 'salty'; until: Day; dsPerM: number };

/** What feeding is due, and when. */
export type FeedPlan =
  /** a feed due on a day, at label strength or half; on hold until something is past */
  | {
      kind: 'feed';
      on: Day;
      /** when it would be due without the hold */
      wantedOn: Day;
      reason: FeedReason;
      lead: FeedLead;
      strength: 1 | 0.5;
      /** half strength twice as often, because it is warm: how warm, °C */
      warmC: number | null;
      everyDays: number | null;
      lastOn: Day | null;
      hold: FeedHold | null;
    }
  /** a week after a trial feed on a pale plant: are the new leaves greener? */
  | { kind: 'look'; on: Day; fedOn: Day }
  /** healthy and flowering, too young, or near the end of its season: nothing is due */
  | { kind: 'rest'; because: 'bloom' | 'young' | 'late' | 'enough-at-start'; until: Day | null }
  /** unknown whether it was ever fed: not recorded does not mean not given */
  | { kind: 'ask' };

/** What the feed plan needs to know. Amounts in grams, dates as garden days. */
export interface FeedQuestion {
  today: Day;
  crop: Crop;
  isPot: boolean;
  stage: Stage | null;
  plantedOn: Day | null;
  /** oldest first; 0 g is "not fed" */
  fed: readonly Feeding[];
  /** nothing recorded means not fed yet, not unknown */
  unfed?: boolean;
  method: StarterMethod;
  /** of healthy peppers in flower; lean if left out */
  pepperFeed?: PepperFeed | null;
  /** from a soil test, if there is one */
  test: {
    nitrogen?: string | null;
    phosphorus?: string | null;
    potassium?: string | null;
    /** salts of a saturated paste */
    saltsDsPerM?: number | null;
  } | null;
  /** volume of its pot, L; null in a bed or if unknown */
  potLitres?: number | null;
  /**
   * nitrogen left on each of the coming days if nothing more is given, from today on, g; null if unknown. Counted only
   * if it decides
   */
  leftG?: () => readonly number[] | null;
  /** day old leaves were last seen pale all over, if that still holds */
  paleOn: Day | null;
  /** dark and lush, seen recently */
  lush: boolean;
  /** hottest of today and the next two days, where it grows */
  hottest: { day: Day; tMaxC: number } | null;
  /** share of its available water left; null if unknown */
  left: number | null;
  /** day its next watering is due */
  waterOn: Day | null;
  /** roots are waterlogged */
  wet: boolean;
  /**
   * rain ahead that would wash a good part of a feed below the roots: its last day and its amount; null if none is, or
   * if it is a wet spell
   */
  washing?: { day: Day; rainMm: number } | null;
  /** a finding that pauses feeding: until when, and its name */
  paused: { until: Day; because: string } | null;
  /** tips or roots are burnt: the next feed is half strength */
  burnt: boolean;
}

/**
 * Bed plants are fed every 3 to 4 weeks from first fruit, pots every 2 weeks (common practice; the middle of the
 * range). Where the nitrogen is counted, it decides between this and the shortest interval: a crop that would run short
 * is fed sooner, pots weekly at label strength in full growth.
 */
export const EVERY_DAYS = { bed: { usual: 25, least: 14 }, pot: { usual: 14, least: 7 } } as const;
/** A pot may wait half as long again where its mix still has enough for the weeks that are looked ahead (judgement). */
const AMPLE_LONGER = 1.5;
/** Days until the next feed after a slow-release one (judgement: release.ts, half of a meal's span and more). */
const SLOW_EVERY_DAYS = 42;
/** Days before the nitrogen would run out by which the next feed is given: a hungry plant has lost growth (judgement). */
export const BEFORE_SHORT_DAYS = 14;
/** A starter feed belongs in the first ten days; later the rhythm counts. */
const STARTER_DAYS = 10;
/** New roots take up little for three weeks (common practice). */
const YOUNG_DAYS = 21;
/** Days until a trial feed is checked (common practice). */
const TRIAL_LOOK_DAYS = 7;
/** Days until salty soil is asked about again: one leaching and a test (judgement). */
const SALTY_LOOK_DAYS = 5;
const inGrowth = (stage: Stage | null): boolean => stage === 'vegetative' || stage === 'flowering' || inFruit(stage);
const inFruit = (stage: Stage | null): boolean => stage === 'fruiting' || stage === 'ripening';

/** Returns the next feed, or why there is none. Orders nothing if the feeding history is unknown. */
export function feedPlan(q: FeedQuestion): FeedPlan {
  const given = q.fed.filter((f) => f.grams > 0);
  const last = given.at(-1) ?? null;
  const since = q.plantedOn === null ? null : daysBetween(q.plantedOn, q.today);
  if (q.stage === 'late') return { kind: 'rest', because: 'late', until: null };
  // planted with compost or feed, or nothing recorded: ask about the starter only while it is time
  if (since !== null && since >= 0 && since <= STARTER_DAYS && q.fed.length === 0)
    return feed(q, { on: q.today, reason: 'starter', lead: starterLead(q) });
  if (q.fed.length === 0 && !q.unfed) return { kind: 'ask' };
  const trial = trialLook(q, last);
  if (trial) return trial;
  if (q.paleOn !== null && !q.wet)
    return feed(q, {
      on: later(q.today, last && addDays(last.date, TRIAL_LOOK_DAYS)),
      reason: 'pale',
      lead: 'balanced',
      strength: 0.5,
      last,
    });
  if (since !== null && since < YOUNG_DAYS && !inFruit(q.stage))
    return { kind: 'rest', because: 'young', until: addDays(q.plantedOn!, YOUNG_DAYS) };
  if (q.stage === 'seedling' || q.stage === 'establishing') return { kind: 'rest', because: 'young', until: null };
  // two schools: rich soil and late nitrogen drop flowers, so none; or potassium from the first flower on
  const inBloom = q.crop === 'pepper' && q.stage === 'flowering';
  if (inBloom && q.pepperFeed !== 'bloom') return { kind: 'rest', because: 'bloom', until: null };
  if (!q.isPot && !inFruit(q.stage) && !inBloom) return { kind: 'rest', because: 'enough-at-start', until: null };
  if (q.isPot && !inGrowth(q.stage)) return { kind: 'rest', because: 'young', until: null };
  const every = everyDays(q, last);
  const on = last ? addDays(last.date, every) : q.today;
  const lead = leadAllowed(q, q.stage === 'vegetative' ? 'balanced' : 'potash');
  return feed(q, {
    on: later(q.today, on),
    reason: last ? 'rhythm' : inBloom ? 'bloom' : 'first-fruit',
    lead,
    strength: q.lush ? 0.5 : 1,
    everyDays: every,
    last,
  });
}

/**
 * Returns the days between the last feed and the next: the longest rhythm at which the coming weeks add up, each feed
 * like the last. What is needed in full growth can be more than the shortest rhythm gives: then it begins earlier.
 */
function everyDays(q: FeedQuestion, last: Feeding | null): number {
  const { usual, least } = EVERY_DAYS[q.isPot ? 'pot' : 'bed'];
  if (!last) return usual;
  const left = q.leftG?.() ?? [];
  // what is left in a pot lasts the coming weeks without any feed: more would only make leaves
  const ample = q.isPot && left.length > 0 && left.every((grams) => grams >= 0);
  const most = isSlow(last) ? SLOW_EVERY_DAYS : ample ? Math.round(AMPLE_LONGER * usual) : usual;
  const since = daysBetween(last.date, q.today);
  const gives = nitrogenFreedG(last, addDays(last.date, -1), addDays(last.date, SLOW_EVERY_DAYS));
  const addsUp = (every: number): boolean => {
    const first = Math.max(0, every - since);
    return left.slice(BEFORE_SHORT_DAYS).every((grams, day) => {
      const feeds = day < first ? 0 : 1 + Math.floor((day - first) / every);
      return grams + feeds * gives >= 0;
    });
  };
  const shortest = isWarm(q) ? Math.ceil(least / 2) : least;
  for (let every = most; every > shortest; every--) if (addsUp(every)) return every;
  return shortest;
}

/** Warm air does not burn roots, strong solutions do: it is fed half strength, twice as often. */
const isWarm = ({ hottest }: FeedQuestion): boolean => hottest !== null && hottest.tMaxC >= TOO_HOT_FOR_CARE_C;

const later = (a: Day, b: Day | null): Day => (b !== null && b > a ? b : a);

interface Due {
  on: Day;
  reason: FeedReason;
  lead: FeedLead;
  strength?: 1 | 0.5;
  everyDays?: number | null;
  last?: Feeding | null;
}

function feed(q: FeedQuestion, { on, reason, lead, strength = 1, everyDays = null, last = null }: Due): FeedPlan {
  const hold = holdOf(q);
  const waits = hold && hold.until > on ? hold : null;
  return {
    kind: 'feed',
    on: waits ? waits.until : on,
    wantedOn: on,
    reason,
    lead,
    strength: q.burnt || isWarm(q) || saltsOf(q) >= SALTY_FROM.halve ? 0.5 : strength,
    warmC: isWarm(q) ? q.hottest!.tMaxC : null,
    everyDays,
    lastOn: last?.date ?? null,
    hold: waits,
  };
}

/** Returns what must pass before any feed; the longest hold counts. */
function holdOf(q: FeedQuestion): FeedHold | null {
  const holds: FeedHold[] = [];
  if (q.paused && q.paused.until > q.today) holds.push({ kind: 'paused', ...q.paused });
  if (q.hottest && q.hottest.tMaxC >= SCORCHING_DAY_C)
    holds.push({ kind: 'heat', until: addDays(q.hottest.day, 1), hottestC: q.hottest.tMaxC });
  const days = nitrogenWindowDays(q.isPot);
  const grams = q.fed.reduce((sum, f) => sum + nitrogenFreedG(f, addDays(q.today, -days), q.today), 0);
  if (grams > mostNitrogenG(q.isPot ? (q.potLitres ?? null) : null))
    holds.push({ kind: 'nitrogen', until: addDays(last(q.fed).date, days), grams, days });
  if (saltsOf(q) >= SALTY_FROM.stop)
    holds.push({ kind: 'salty', until: addDays(q.today, SALTY_LOOK_DAYS), dsPerM: saltsOf(q) });
  if (q.washing) holds.push({ kind: 'rain', until: addDays(q.washing.day, 1), rainMm: q.washing.rainMm });
  if (q.wet) holds.push({ kind: 'wet', until: addDays(q.today, 1) });
  // watered today, it is fed right after
  else if (q.left !== null && q.left < DRY_LEFT && q.waterOn !== q.today)
    holds.push({ kind: 'dry', until: later(addDays(q.today, 1), q.waterOn) });
  return holds.sort((a, b) => (a.until < b.until ? 1 : -1))[0] ?? null;
}

/** A feed given to a pale plant is a trial: check it after a week before giving more. */
function trialLook(q: FeedQuestion, last: Feeding | null): FeedPlan | null {
  if (!last || q.paleOn === null || last.date >= q.today) return null;
  const on = addDays(last.date, TRIAL_LOOK_DAYS);
  return q.paleOn < on ? { kind: 'look', on, fedOn: last.date } : null;
}

const saltsOf = (q: FeedQuestion): number => q.test?.saltsDsPerM ?? 0;

/** What the gardener's school likes at planting, unless a soil test says otherwise: it decides. */
function starterLead(q: FeedQuestion): FeedLead {
  const low = (x: string | null | undefined): boolean => x === 'low';
  if (q.test && (q.method === 'by-test' || q.method === 'compost-balanced')) {
    if (low(q.test.phosphorus)) return 'phosphorus';
    if (low(q.test.nitrogen)) return 'nitrogen';
    if (low(q.test.potassium)) return 'potash';
    return 'balanced';
  }
  const liked = q.method === 'nitrogen-led' ? 'nitrogen' : q.method === 'phosphorus-led' ? 'phosphorus' : 'balanced';
  return leadAllowed(q, liked);
}

/** Returns the lead wanted, or a balanced one where a soil test found plenty of that nutrient. */
function leadAllowed({ test }: FeedQuestion, lead: FeedLead): FeedLead {
  const plenty = { nitrogen: test?.nitrogen, phosphorus: test?.phosphorus, potash: test?.potassium, balanced: null };
  return plenty[lead] === 'high' ? 'balanced' : lead;
}

/**
 * Returns the lead nutrient of a product. In flower no product with N above both P and K is given (common practice).
 * @example leadOf({ n: 4, p2o5: 3, k2o: 8 }) // 'potash'
 */
export function leadOf(p: { n: number; p2o5: number; k2o: number }): FeedLead {
  const most = Math.max(p.n, p.p2o5, p.k2o);
  const clear = (x: number): boolean => x === most && [p.n, p.p2o5, p.k2o].filter((y) => y > 0.75 * most).length === 1;
  return clear(p.n) ? 'nitrogen' : clear(p.p2o5) ? 'phosphorus' : clear(p.k2o) ? 'potash' : 'balanced';
}
/**
 * True if nitrogen is above both others.
 * @example nitrogenLeads({ n: 10, p2o5: 3, k2o: 3 }) // true
 */
export const nitrogenLeads = (p: { n: number; p2o5: number; k2o: number }): boolean => p.n > p.p2o5 && p.n > p.k2o;
