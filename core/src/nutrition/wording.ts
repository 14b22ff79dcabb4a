import type { Day } from '../units/day.js';
import type { Formatter } from '../units/formatter.js';
import type { FeedHold, FeedLead, FeedPlan } from './feed-plan.js';

const LEAD_WORDS: Record<FeedLead, string> = {
  balanced: 'a balanced feed',
  nitrogen: 'a high-nitrogen feed, worked in lightly',
  phosphorus: 'a high-phosphorus feed',
  potash: 'a feed with more potassium than nitrogen',
};

/** What to do while a feed waits: nothing is ever held without it. */
export const MEANWHILE: Record<FeedHold['kind'], string> = {
  heat: 'Until then water well and shade it',
  dry: 'Water first',
  salty:
    'Leach them first: soak slowly with plain water until twice the soil’s volume has run through, then test again',
  wet: 'Let it drain and dry first',
  rain: 'Feed once the soil has drained',
  paused: 'Treat that first. Plain water is enough until then',
  nitrogen: 'Plain water is enough until then',
};

/** Returns why a feed is on hold, until when, and what to do meanwhile. */
export const holdInWords = (h: FeedHold, f: Formatter): string =>
  `wait until ${f.day(h.until)}: ${holdReason(h, f)}. ${MEANWHILE[h.kind]}`;

function holdReason(h: FeedHold, f: Formatter): string {
  switch (h.kind) {
    case 'heat':
      return `${f.temperature(h.hottestC)} is forecast`;
    case 'dry':
      return 'the soil is dry, and feed burns dry roots';
    case 'salty':
      return `salts of ${h.dsPerM} dS/m would burn roots`;
    case 'wet':
      return 'roots in waterlogged soil take up nothing';
    case 'rain':
      return `${f.rain(h.rainMm)} of rain is forecast, which would wash nitrogen past the roots and into the groundwater`;
    case 'paused':
      return h.because;
    case 'nitrogen':
      return `it had ${f.nutrient(h.grams)} of nitrogen in ${h.days} days, and more makes leaves instead of fruit`;
  }
}

/** Returns why a feed is due, or why none is. */
export function feedInWords(p: FeedPlan, today: Day, f: Formatter): string {
  switch (p.kind) {
    case 'ask':
      return 'no feed is recorded this season. That may only mean it was not written down. When was it last fed?';
    case 'look':
      return `check on ${f.day(p.on)}: are new leaves greener than before the feed of ${f.day(p.fedOn)}?`;
    case 'rest':
      return REST_WORDS[p.because] + (p.until ? ` Until ${f.day(p.until)}` : '');
    case 'feed':
      return `${reasonOf(p, f)}${p.warmC !== null && !p.hold ? `. At ${f.temperature(p.warmC)}: half strength twice as often, in the morning or evening` : ''}${p.hold ? `; ${holdInWords(p.hold, f)}` : p.on > today ? `: due ${f.day(p.on)}` : ''}`;
  }
}

const REST_WORDS = {
  bloom: 'healthy and flowering: a lean pepper keeps its flowers, so do not feed until fruit has set.',
  young: 'young roots take up little yet.',
  late: 'the season is ending: feed given now comes too late.',
  'enough-at-start': 'the bed feeds it until the first fruit has set.',
} as const;

function reasonOf(p: Extract<FeedPlan, { kind: 'feed' }>, f: Formatter): string {
  switch (p.reason) {
    case 'starter':
      return `just planted: ${LEAD_WORDS[p.lead]}`;
    case 'pale':
      return 'old leaves are pale all over: try a light feed and look again after a week';
    case 'bloom':
      return `in flower, and your peppers are fed in bloom: ${LEAD_WORDS[p.lead]}`;
    case 'first-fruit':
      return `fruit has set and no feed is recorded yet: ${LEAD_WORDS[p.lead]}`;
    case 'rhythm':
      return `last fed ${p.lastOn ? f.day(p.lastOn) : ''}, every ${p.everyDays} days: ${LEAD_WORDS[p.lead]}`;
  }
}
