import type { PlantAssessment } from '../assessment/assess.js';
import { BEFORE_SHORT_DAYS, EVERY_DAYS, type FeedPlan } from '../nutrition/feed-plan.js';
import { addFreedByDay } from '../nutrition/release.js';
import { isPotted } from '../records/place.js';
import type { Feeding } from '../records/record-classes.js';
import { seasonEnd } from '../season/frost-days.js';
import { type Day, daysBetween } from '../units/day.js';
import { at } from '../units/lists.js';
import { roundTo } from '../units/rounding.js';
import { nitrogenLedger, washedOn } from './feeding.js';

/** A day of the season to come: nitrogen supplied and needed since planting, g. */
export interface FeedOutlookDay {
  day: Day;
  supply: number;
  low: number;
  high: number;
}

/** What the season's feeds come to, beside what the crop needs. */
export interface FeedOutlook {
  /** feeds still to be given, as the plan goes on */
  feeds: number;
  end: Day;
  /** from today to the end, a week apart */
  days: FeedOutlookDay[];
}

/** A feed in the last weeks comes too late for fruit (common practice). */
const LAST_FEED_BEFORE_END_DAYS = 28;
/** Days whose washing out stands for the days to come. */
const WASHED_LIKE_DAYS = 28;
const STEP_DAYS = 7;

/** A plan with a feed in it. */
export type PlannedFeed = Extract<FeedPlan, { kind: 'feed' }>;

/**
 * Returns the plan's next feed; of a plant that rests, the one after it: when its rest ends, or its first fruit has set. Null
 * if nothing comes, or nobody knows whether it was ever fed.
 */
export function nextFeed(plan: FeedPlan, firstFruit: Day | null, today: Day): PlannedFeed | null {
  if (plan.kind === 'feed') return plan;
  if (plan.kind !== 'rest' || plan.because === 'late') return null;
  const due = plan.until ?? firstFruit;
  const on = due === null || due < today ? today : due;
  return {
    kind: 'feed',
    on,
    wantedOn: on,
    reason: 'first-fruit',
    lead: 'potash',
    strength: 1,
    warmC: null,
    everyDays: null,
    lastOn: null,
    hold: null,
  };
}

/**
 * Returns how the season's nitrogen adds up if the plan goes on: the same feed again and again, no more often than the plan
 * allows, sooner where the crop would run short. Null without a planting day or a next feed.
 * @param next the next feed, as it would be recorded
 */
export function seasonFeed(assessed: PlantAssessment, plan: PlannedFeed, next: Feeding): FeedOutlook | null {
  const { case: c } = assessed.context;
  const from = c.plant.transplantedOn;
  if (!from || from > c.asOf) return null;
  const end = seasonEnd(c.garden, c.asOf);
  const past = daysBetween(from, c.asOf);
  const length = daysBetween(from, end) + 1;
  const ledger = nitrogenLedger(assessed, end);
  const washes = usualWashing(assessed);
  const { usual: rhythm, least } = EVERY_DAYS[isPotted(c.place) ? 'pot' : 'bed'];
  const usual = Math.max(rhythm, plan.everyDays ?? 0);
  const strongest = plan.everyDays === null ? least : Math.min(least, plan.everyDays);
  const mid = ledger.map((d) => (d.takenLow + d.takenHigh) / 2);
  const planned = Array.from({ length }, () => 0);
  const first = Math.max(past, daysBetween(from, plan.on));
  const lastFeed = length - 1 - LAST_FEED_BEFORE_END_DAYS;
  let { supply, left } = startOf(at(ledger, past), at(mid, past));
  let feeds = 0;
  let fedOn = first - usual;
  const days: FeedOutlookDay[] = [];
  for (let i = past; i < length; i++) {
    const d = at(ledger, i);
    if (i > past) {
      const before = at(ledger, i - 1);
      const comes = d.soil + d.freed - before.soil - before.freed + at(planned, i);
      const washed = Math.max(0, left) * washes;
      supply += comes - washed;
      left += comes - washed - (at(mid, i) - at(mid, i - 1));
    }
    const soon = Math.min(length - 1, i + BEFORE_SHORT_DAYS);
    const short = left - (at(mid, soon) - at(mid, i)) < 0;
    if (i >= first && i <= lastFeed && (i - fedOn >= usual || (short && i - fedOn >= strongest))) {
      const before = at(planned, i);
      addFreedByDay({ ...next, date: d.day }, from, planned);
      const now = at(planned, i) - before;
      supply += now;
      left += now;
      feeds += 1;
      fedOn = i;
    }
    if ((i - past) % STEP_DAYS === 0 || i === length - 1)
      days.push({ day: d.day, supply: grams(supply), low: grams(d.takenLow), high: grams(d.takenHigh) });
  }
  return { feeds, end, days };
}

const grams = (g: number): number => roundTo(Math.max(0, g), 2);

const startOf = (d: { soil: number; freed: number; washed: number }, taken: number) => ({
  supply: d.soil + d.freed - d.washed,
  left: d.soil + d.freed - d.washed - taken,
});

/** Share of the nitrogen in the soil that washes out on a usual day. */
function usualWashing(assessed: PlantAssessment): number {
  const shares = [...washedOn(assessed).values()].slice(-WASHED_LIKE_DAYS);
  return shares.length === 0 ? 0 : shares.reduce((a, b) => a + b, 0) / shares.length;
}
