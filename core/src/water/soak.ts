import type { PlaceFacts } from '../records/facts.js';
import type { Texture } from '../records/place.js';
import { slopeHolds } from './soils.js';

// Water given faster than the soil takes it puddles, runs off or runs down the pot's wall, so it is given in steps.

/** Infiltration of wet soil, mm per hour (common practice, from memory; judgement). */
const INFILTRATION_MM_H: Record<Texture, number> = {
  sand: 50,
  'loamy-sand': 40,
  'sandy-loam': 25,
  loam: 15,
  'silt-loam': 10,
  'clay-loam': 8,
  clay: 5,
  'potting-mix': 200,
  'porous-mix': 300,
};

/** Water the surface can hold before it runs off, mm (judgement: a small basin or mulch round the plant). */
const STANDS_MM = 20;
const MOST_STEPS = 4;
/** Longest wait between steps; by then most of it has soaked in. */
const LONGEST_WAIT_MIN = 45;

/** How to give a large amount so that it soaks in. */
export interface SoakSteps {
  /** number of rounds */
  times: number;
  /** minutes of water per round; null without a known flow */
  minutes: number | null;
  /** litres per round and plant */
  litres: number;
  /** minutes between rounds */
  waitMinutes: number;
}

/**
 * Returns how to give `litres` per plant over its wetted ground.
 * @param flowLPerH per plant; null for a can, which is emptied in a minute or two
 * @param wettedM2 ground per plant that the water reaches
 * @param place its texture, and its measured percolation if known
 */
export function soakSteps(
  litres: number,
  flowLPerH: number | null,
  wettedM2: number,
  place: Pick<PlaceFacts, 'kind' | 'texture' | 'drainageMmPerH' | 'slope'>,
): SoakSteps {
  const takes = place.drainageMmPerH ?? INFILTRATION_MM_H[place.texture];
  const holds = slopeHolds(place);
  const depth = litres / wettedM2;
  const rate = flowLPerH === null ? Infinity : flowLPerH / wettedM2;
  const minutes = flowLPerH === null ? null : (litres / flowLPerH) * 60;
  // puddle at the end if given in one round
  const pooledMm = rate === Infinity ? depth : depth * Math.max(0, 1 - takes / rate);
  const times = Math.min(MOST_STEPS, Math.max(1, Math.ceil(pooledMm / (STANDS_MM * holds))));
  const waitMinutes =
    times === 1 ? 0 : Math.min(LONGEST_WAIT_MIN, Math.max(10, Math.ceil(((pooledMm / times / takes) * 60) / 5) * 5));
  return { times, minutes: minutes === null ? null : minutes / times, litres: litres / times, waitMinutes };
}

/**
 * Returns flow from a bucket test, litres per hour: seconds to fill the given litres.
 * @example flowFromBucket(10, 30) // 1200
 */
export function flowFromBucket(litres: number, seconds: number): number {
  if (!(litres > 0) || !(seconds > 0)) throw new RangeError('a bucket test needs litres and seconds above 0');
  return (litres / seconds) * 3600;
}
