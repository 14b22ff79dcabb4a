import type { Day } from '../units/day.js';
import type { Formatter } from '../units/formatter.js';
import type { FeedHold, FeedLead, FeedPlan } from './feed-plan.js';

export const LEAD_WORDS: Record<FeedLead, string> = {
  balanced: 'a balanced feed',
  nitrogen: 'a feed led by nitrogen, buried lightly',
  phosphorus: 'a feed led by phosphorus',
  potash: 'a feed with more potash than nitrogen',
};

/** Why a feed waits, and until when. */
export function holdInWords(h: FeedHold, f: Formatter): string {
  switch (h.kind) {
    case 'heat':
      return `held until ${f.day(h.until)}: ${f.temperature(h.hottestC)} is expected, and feed burns in heat`;
    case 'dry':
      return `held until ${f.day(h.until)}: the soil is dry, and feed on dry roots burns. Water first`;
    case 'wet':
      return `held until ${f.day(h.until)}: the roots stand in water and take nothing up`;
    case 'paused':
      return `held until ${f.day(h.until)}: ${h.because}`;
    case 'nitrogen':
      return `held until ${f.day(h.until)}: it had ${f.nutrient(h.grams)} of nitrogen in ${h.days} days, and more makes leaves instead of fruit`;
  }
}

/** Why a feed is due, or why nothing is. */
export function feedInWords(p: FeedPlan, today: Day, f: Formatter): string {
  switch (p.kind) {
    case 'ask':
      return 'no feed is recorded this season, and none recorded is not none given. When was it fed last?';
    case 'look':
      return `look again on ${f.day(p.on)}: are the new leaves greener than before the feed of ${f.day(p.fedOn)}?`;
    case 'rest':
      return REST_WORDS[p.because] + (p.until ? ` Until ${f.day(p.until)}` : '');
    case 'feed':
      return `${reasonOf(p, f)}${p.hold ? `; ${holdInWords(p.hold, f)}` : p.on > today ? `: due ${f.day(p.on)}` : ''}`;
  }
}

const REST_WORDS = {
  bloom: 'healthy and in bloom: peppers are left unfed until fruit has set.',
  young: 'new roots take up little yet.',
  late: 'the season ends: what is fed now comes too late.',
  'enough-at-start': 'a bed carries it until the first fruit has set.',
} as const;

function reasonOf(p: Extract<FeedPlan, { kind: 'feed' }>, f: Formatter): string {
  switch (p.reason) {
    case 'starter':
      return `just planted: ${LEAD_WORDS[p.lead]}`;
    case 'pale':
      return 'old leaves are pale all over: a light feed as a trial, looked at after a week';
    case 'first-fruit':
      return `fruit has set and nothing was fed so far: ${LEAD_WORDS[p.lead]}`;
    case 'rhythm':
      return `last fed ${p.lastOn ? f.day(p.lastOn) : ''}, every ${p.everyDays} days: ${LEAD_WORDS[p.lead]}`;
  }
}
