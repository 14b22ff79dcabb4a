import { type SignCode, signRow } from '../records/vocabulary/signs.js';
import { addDays, type Day, daysBetween } from '../units/day.js';
import { first, last } from '../units/lists.js';

/** The counts of one sign over several walks, and their trend. */
export interface Trend {
  sign: SignCode;
  counts: { day: Day; count: number }[];
  days: number;
  course: 'rising' | 'falling' | 'steady';
  /** more than normal ageing; for yellow leaves only */
  fasterThanAgeing?: true;
}

/** Days back that counts are compared over. */
const WINDOW_DAYS = 21;
/** Fewer counts show no trend. */
const LEAST_COUNTS = 3;
/** Half as many again, and at least two, is more than counting differences (judgement). */
const CHANGE_SHARE = 0.5;
const CHANGE_LEAST = 2;
/** A healthy plant drops about two old leaves a week (judgement). */
const AGEING_A_WEEK = 2;
const YELLOW: ReadonlySet<SignCode> = new Set<SignCode>([
  'leaf-yellow-slow-few',
  'leaf-yellow-fast',
  'leaf-yellow-whole-old',
]);

interface Counted {
  date: Day;
  sign: SignCode;
  present: boolean;
  affected?: number | null;
}

/** Returns signs counted at least three times in three weeks, each with its trend; absent counts as zero. */
export function trendsOf(observations: readonly Counted[], today: Day): Trend[] {
  const from = addDays(today, -WINDOW_DAYS);
  const bySign = new Map<SignCode, Map<Day, number>>();
  for (const o of observations) {
    const count = o.present ? o.affected : 0;
    if (count == null || o.date < from || o.date > today) continue;
    const days = bySign.get(o.sign) ?? new Map<Day, number>();
    days.set(o.date, count);
    bySign.set(o.sign, days);
  }
  return [...bySign].flatMap(([sign, days]) => {
    const counts = [...days].map(([day, count]) => ({ day, count })).sort((a, b) => (a.day < b.day ? -1 : 1));
    if (counts.length < LEAST_COUNTS || counts.every((c) => c.count === 0)) return [];
    return [{ sign, ...course(sign, counts) }];
  });
}

function course(sign: SignCode, counts: Trend['counts']): Omit<Trend, 'sign'> {
  const oldest = first(counts);
  const newest = last(counts);
  const days = Math.max(1, daysBetween(oldest.day, newest.day));
  const change = newest.count - oldest.count;
  const telling = Math.max(CHANGE_LEAST, CHANGE_SHARE * Math.max(oldest.count, newest.count));
  const way = change >= telling ? 'rising' : -change >= telling ? 'falling' : 'steady';
  const fast = way === 'rising' && YELLOW.has(sign) && (change / days) * 7 > AGEING_A_WEEK;
  return { counts, days, course: way, ...(fast ? { fasterThanAgeing: true as const } : {}) };
}

/** "Yellow leaves: 2, 3, 9 in 14 days: rising, faster than ageing". */
export function trendInWords(t: Trend): string {
  const numbers = t.counts.map((c) => c.count).join(', ');
  return `${signRow(t.sign).label}: ${numbers} in ${t.days} days: ${t.course}${t.fasterThanAgeing ? ', faster than normal ageing' : ''}`;
}
