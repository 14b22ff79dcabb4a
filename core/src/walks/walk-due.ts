import { HOT_DAY_C, STRONG_WIND_MS } from '../climate/limits.js';
import type { WeatherDay } from '../climate/gaps.js';
import type { DisorderCode } from '../records/vocabulary/disorders.js';
import { addDays, type Day, daysBetween } from '../units/day.js';
import { at, last } from '../units/lists.js';

/**
 * When to check a bed or pot, and why: by the gardener's rhythm, and after anything that lets problems grow unseen.
 * Common practice: a daily glance, a weekly walk with undersides, and after wet spells, heat, frost and absence;
 * before a storm; two weeks after a finding.
 */
export const WALK_RHYTHMS = ['daily', 'weekly', 'off'] as const;
/** How often the garden is walked. */
export type WalkRhythm = (typeof WALK_RHYTHMS)[number];
/** How often the garden is walked unless the gardener chooses. */
export const DEFAULT_RHYTHM: WalkRhythm = 'weekly';

/** Days between two walks. A daily glance does not turn leaves over; once a week it does. */
const EVERY_DAYS = { daily: 1, weekly: 7 } as const;

/** Rain that makes a day wet, mm; this many in a row are a spell (common practice: three or more). */
const WET_MM = 1;
const WET_SPELL_DAYS = 3;
const HEAT_SPELL_DAYS = 2;
/** Older events need no walk of their own: the rhythm covers them, days. */
const FRESH_DAYS = 4;
/** Days ahead to warn of a storm. */
const STORM_AHEAD_DAYS = 2;
/** Days after a finding to check the plants beside it (common practice: two weeks). */
const AFTER_FINDING_DAYS = 14;

/** New plants are looked at daily for a week: they wilt, or are cut off, overnight (common practice). */
const NEW_DAYS = 7;

/** First and last day away. */
export interface Away {
  from: Day;
  to: Day;
}

/** Why a walk is due. */
export type WalkReason =
  | { kind: 'home'; days: number; until: Day }
  | { kind: 'storm'; on: Day; windMs: number }
  | { kind: 'frost'; on: Day; lowestC: number }
  | { kind: 'wet'; days: number; until: Day }
  | { kind: 'heat'; days: number; until: Day; hottestC: number }
  | { kind: 'new'; plantedOn: Day }
  | { kind: 'finding'; disorder: DisorderCode; on: Day }
  | { kind: 'rhythm'; lastOn: Day | null };

/** What a walk depends on. */
export interface WalkQuestion {
  today: Day;
  rhythm: WalkRhythm;
  /** when each plant was last looked over; null for never. No plants: no walk */
  lastLooks: readonly (Day | null)[];
  /** when each was planted out: a new plant is not a week without a look */
  plantedOn: readonly (Day | null)[];
  /** weather where the plants grow, past and forecast; in order of days */
  weather: readonly WeatherDay[];
  /** night minimum from which frost is a risk here, °C */
  frostFromC: number;
  away: readonly Away[];
  /** findings that were treated here */
  findings: readonly { disorder: DisorderCode; openedOn: Day }[];
}

/** A walk that is due. */
export interface WalkDue {
  /** most important first */
  reasons: WalkReason[];
  /** turn the leaves over */
  undersides: boolean;
}

/** Returns the walk due today; null if none. While the gardener is away none is due. */
export function walkDue(q: WalkQuestion): WalkDue | null {
  if (q.lastLooks.length === 0) return null;
  if (q.away.some((a) => a.from <= q.today && a.to >= q.today)) return null;
  // a bed counts as looked over when its last plant was
  const lastOn = q.lastLooks.reduce<Day | null>(
    (a, b) => (a === null || b === null ? null : b < a ? b : a),
    '9999-12-31',
  );
  const unseenSince = (day: Day): boolean => lastOn === null || lastOn <= day;
  if (lastOn === q.today) return null;
  const past = q.weather.filter((w) => w.date < q.today);
  const reasons: WalkReason[] = [];

  const home = q.away.filter((a) => a.to < q.today && daysBetween(a.to, q.today) <= FRESH_DAYS).at(-1);
  if (home && unseenSince(home.to))
    reasons.push({ kind: 'home', days: daysBetween(home.from, home.to) + 1, until: home.to });
  const storm = q.weather.find(
    (w) => w.date >= q.today && daysBetween(q.today, w.date) <= STORM_AHEAD_DAYS && (w.windMs ?? 0) >= STRONG_WIND_MS,
  );
  if (storm && unseenSince(addDays(q.today, -1)))
    reasons.push({ kind: 'storm', on: storm.date, windMs: storm.windMs! });
  const frost = past.filter((w) => daysBetween(w.date, q.today) <= 2 && w.tMinC <= q.frostFromC).at(-1);
  // a night ends on its morning: a look that day has seen it
  if (frost && unseenSince(addDays(frost.date, -1)))
    reasons.push({ kind: 'frost', on: frost.date, lowestC: frost.tMinC });
  const wet = lastRun(past, (w) => w.rainMm >= WET_MM);
  const now = q.weather.find((w) => w.date === q.today);
  if (
    wet &&
    wet.length >= WET_SPELL_DAYS &&
    over(wet, q.today) &&
    !(now && now.rainMm >= WET_MM) &&
    unseenSince(last(wet).date)
  )
    reasons.push({ kind: 'wet', days: wet.length, until: last(wet).date });
  const heat = lastRun(past, (w) => w.tMaxC >= HOT_DAY_C);
  if (
    heat &&
    heat.length >= HEAT_SPELL_DAYS &&
    over(heat, q.today) &&
    !(now && now.tMaxC >= HOT_DAY_C) &&
    unseenSince(last(heat).date)
  )
    reasons.push({
      kind: 'heat',
      days: heat.length,
      until: last(heat).date,
      hottestC: Math.max(...heat.map((w) => w.tMaxC)),
    });
  const fresh = q.plantedOn.filter((day) => day !== null && day < q.today && daysBetween(day, q.today) <= NEW_DAYS);
  if (fresh.length > 0 && unseenSince(addDays(q.today, -1)))
    reasons.push({ kind: 'new', plantedOn: [...fresh].sort().at(-1)! });
  for (const f of q.findings) {
    const on = addDays(f.openedOn, AFTER_FINDING_DAYS);
    if (on <= q.today && daysBetween(on, q.today) <= FRESH_DAYS && unseenSince(addDays(on, -1)))
      reasons.push({ kind: 'finding', disorder: f.disorder, on });
  }
  if (q.rhythm !== 'off' && isDue(q, lastOn)) reasons.push({ kind: 'rhythm', lastOn });
  if (reasons.length === 0) return null;
  const glance = reasons.every(
    (r) =>
      r.kind === 'new' ||
      (r.kind === 'rhythm' &&
        q.rhythm === 'daily' &&
        r.lastOn !== null &&
        daysBetween(r.lastOn, q.today) < EVERY_DAYS.weekly),
  );
  return { reasons, undersides: !glance };
}

function isDue(q: WalkQuestion, lastOn: Day | null): boolean {
  const every = EVERY_DAYS[q.rhythm as keyof typeof EVERY_DAYS];
  if (lastOn !== null) return daysBetween(lastOn, q.today) >= every;
  // never looked over: counts from the day it was planted
  const planted = q.plantedOn.filter((_, i) => q.lastLooks[i] === null);
  return planted.some((day) => day === null || daysBetween(day, q.today) >= every);
}

/** Returns the latest run of days that meet the condition; it may have ended. */
function lastRun(days: readonly WeatherDay[], hit: (w: WeatherDay) => boolean): WeatherDay[] | null {
  const end = days.findLastIndex(hit);
  if (end < 0) return null;
  let start = end;
  while (start > 0 && hit(at(days, start - 1)) && at(days, start - 1).date === addDays(at(days, start).date, -1))
    start -= 1;
  return days.slice(start, end + 1);
}

const over = (run: readonly WeatherDay[], today: Day): boolean => daysBetween(last(run).date, today) <= FRESH_DAYS;
