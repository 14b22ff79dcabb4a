import type { PlaceFacts } from '../records/facts.js';
import type { Texture } from '../records/place.js';
import { slopeHolds } from './soils.js';

/** Water given faster than the soil takes it stands, runs off or runs down the pot's wall: it is given in steps. */

/** What a soil takes once wet, mm an hour (common practice, from memory; judgement). */
export const INFILTRATION_MM_H: Record<Texture, number> = {
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

/** What the surface can hold for a while before it runs off, mm (judgement: a small basin or mulch round the plant). */
const STANDS_MM = 20;
const MOST_STEPS = 4;
/** Longer than this nobody waits; by then most of it has sunk in. */
const LONGEST_WAIT_MIN = 45;

export interface SoakSteps {
  /** how often */
  times: number;
  /** minutes of water each time; null where no flow is known */
  minutes: number | null;
  /** litres each time, per plant */
  litres: number;
  /** minutes between */
  waitMinutes: number;
}

/**
 * How to give `litres` a plant over its wetted ground.
 * @param flowLPerH per plant; null for a can, which is emptied in a minute or two
 * @param wettedM2 ground per plant that the water reaches
 * @param place its texture, and its percolation where somebody measured it
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
  // what stands at the end of one go, if it is given in one
  const pooledMm = rate === Infinity ? depth : depth * Math.max(0, 1 - takes / rate);
  const times = Math.min(MOST_STEPS, Math.max(1, Math.ceil(pooledMm / (STANDS_MM * holds))));
  const waitMinutes =
    times === 1 ? 0 : Math.min(LONGEST_WAIT_MIN, Math.max(10, Math.ceil(((pooledMm / times / takes) * 60) / 5) * 5));
  return { times, minutes: minutes === null ? null : minutes / times, litres: litres / times, waitMinutes };
}

/** Flow from a bucket test, litres an hour: seconds to fill so many litres. */
export function flowFromBucket(litres: number, seconds: number): number {
  if (!(litres > 0) || !(seconds > 0)) throw new RangeError('a bucket test needs litres and seconds above 0');
  return (litres / seconds) * 3600;
}
