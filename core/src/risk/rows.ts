import { HOT_DAY_C } from '../climate/limits.js';
import type { CaseContext } from '../diagnosis/context.js';
import { coverOf, isUnderGlass } from '../records/place.js';
import type { DisorderCode } from '../records/vocabulary/disorders.js';
import type { Stage } from '../records/plant.js';
import type { Day } from '../units/day.js';
import { dayWithSwing } from './swing.js';

/** What is to be done against a risk, once, before it comes. */
export type PreventiveAct =
  | 'water-as-planned'
  | 'pick-ripe'
  | 'shade-now'
  | 'shake-early'
  | 'look-under-leaves'
  | 'keep-leaves-dry'
  | 'low-leaves-off'
  | 'air-out'
  | 'cover-for-frost';

/** A problem that the records and the forecast together may bring, judged by the network. */
export interface NetworkRisk {
  /** any of these: the likeliest stands for all */
  disorders: readonly [DisorderCode, ...DisorderCode[]];
  stages: readonly Stage[];
  /** from how many times its usual odds it is shown (chosen with `npm run risks`: see docs/risks.md) */
  times: number;
  act: PreventiveAct;
  /** the rule in one line, as the page shows it */
  rule: string;
  /** the day it comes, if the network's own day says less */
  onDay?: (ahead: readonly CaseContext[], today: Day) => Day | null;
  /** it cannot come here */
  notHere?: (ctx: CaseContext) => boolean;
}

const FLOWERING: readonly Stage[] = ['flowering', 'fruiting', 'ripening'];

/** Risks that the diagnosis network judges from the coming days as it judges the past. */
export const NETWORK_RISKS: readonly NetworkRisk[] = [
  {
    disorders: ['ring-cracking', 'radial-cracking'],
    stages: ['ripening', 'late'],
    times: 4,
    act: 'pick-ripe',
    rule: 'rain or a soak fills soil that was under half full for three days',
    onDay: dayWithSwing,
  },
  {
    disorders: ['blossom-end-rot'],
    stages: ['flowering', 'fruiting', 'ripening'],
    times: 8,
    act: 'water-as-planned',
    rule: 'the root zone swings between dry and full while fruit grows',
  },
  {
    disorders: ['sunscald'],
    stages: ['fruiting', 'ripening', 'late'],
    times: 6,
    act: 'shade-now',
    rule: 'fruit lost its leaves, and hot days come',
    onDay: firstHotDay,
  },
  {
    disorders: ['blossom-drop'],
    stages: FLOWERING,
    times: 7,
    act: 'shake-early',
    rule: 'three days or nights in which flowers do not set',
  },
  {
    disorders: ['spider-mites'],
    stages: ['vegetative', 'flowering', 'fruiting', 'ripening', 'late'],
    times: 5,
    act: 'look-under-leaves',
    rule: 'dry air and three days of heat: mites double within a week',
    onDay: firstHotDay,
    notHere: (ctx) => coverOf(ctx.case.place) === 'indoors',
  },
];

/** Returns the first hot day ahead; null if there is none. */
function firstHotDay(ahead: readonly CaseContext[]): Day | null {
  for (const ctx of ahead) {
    const day = ctx.weather(1)[0];
    if (day && day.tMaxC >= HOT_DAY_C) return day.date;
  }
  return null;
}

/** Returns whether leaves are wetted by rain where a plant grows. */
export const isRainedOn = (ctx: CaseContext): boolean => coverOf(ctx.case.place) === 'none';
/** Returns whether it grows under film or glass. */
export const isCovered = (ctx: CaseContext): boolean => isUnderGlass(ctx.case.place);
