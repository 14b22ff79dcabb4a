import type { SUPPORTS } from '../records/choices.js';
import type { Formatter } from '../units/formatter.js';
import { roundTo } from '../units/rounding.js';

/** A plant under the cloth, in walking order. */
export interface UnderCloth {
  name: string;
  heightM: number;
  /** what holds it up, if that is recorded */
  support?: (typeof SUPPORTS)[number] | null;
  /** marked as precious */
  precious?: boolean;
}

/** How shade cloth is hung over one bed or pot. Measures in m. */
export interface HangPlan {
  /** from the ground to the cloth */
  heightM: number;
  /** it lies on poles at the corners, over cages that stand there, or on short sticks */
  on: 'poles' | 'cages' | 'sticks';
  /** it hangs down on the side of the afternoon sun */
  dropM: number;
  /** plants marked as precious get a piece on the morning side too */
  morningFor: string[];
  /** clips along the edges */
  clips: number;
  plants: { name: string; heightM: number }[];
}

// Common practice: high over tall plants, so that air moves; low over short ones, so that it shades them; longer where the
// sun is hottest, late in the afternoon; clipped, as cloth in the wind breaks what it should protect.
const AIR_M = 0.2;
const LOW_UNTIL_M = 0.6;
/** Cages this high carry the cloth. */
const CAGED_UNTIL_M = 1.4;
/** Late sun comes in low: cloth half as long as the plants are high keeps it off (judgement). */
const DROP_SHARE = 0.5;
/** A clip at each corner and every half metre or so. */
const CLIPS = { corners: 4, aPlant: 2 } as const;

/** Returns how to hang cloth over these plants; null if there is none. */
export function hangPlan(plants: readonly UnderCloth[]): HangPlan | null {
  if (plants.length === 0) return null;
  const tallest = Math.max(...plants.map((p) => p.heightM));
  const caged = plants.every((p) => p.support === 'cage' || p.support === 'cylinder') && tallest <= CAGED_UNTIL_M;
  return {
    heightM: roundTo(tallest + AIR_M, 1),
    on: tallest <= LOW_UNTIL_M ? 'sticks' : caged ? 'cages' : 'poles',
    dropM: roundTo(DROP_SHARE * tallest, 1),
    morningFor: plants.filter((p) => p.precious).map((p) => p.name),
    clips: CLIPS.corners + CLIPS.aPlant * plants.length,
    plants: plants.map(({ name, heightM }) => ({ name, heightM })),
  };
}

const ON: Record<HangPlan['on'], (h: string) => string> = {
  sticks: (h) => `Push short sticks in at the corners and lay the cloth over them, ${h} above the ground.`,
  cages: (h) => `Lay the cloth over the cages, ${h} above the ground, with a pole in one corner to hold it up.`,
  poles: (h) => `Drive a pole in at each corner and tie the cloth to them, ${h} above the ground.`,
};

/** Returns the steps of hanging it, in order. */
export const hangInWords = (p: HangPlan, f: Formatter): string[] => [
  ON[p.on](f.metres(p.heightM)),
  `Let it hang down ${f.centimetres(p.dropM * 100)} on the side of the late-afternoon sun.`,
  ...(p.morningFor.length > 0 ? [`Hang a piece on the morning side too, for ${p.morningFor.join(' and ')}.`] : []),
  `Fasten it with ${p.clips} clips: loose cloth in the wind breaks what it should protect.`,
  'Without cloth, taller plants give shade too: move pots behind them.',
];
