import type { GardenFacts } from '../records/facts.js';

// Rough location of a garden, for problems found only in parts of the world. Boxes of latitude and longitude:
// deliberately coarse, they only shape a prior.

/** A region of the world, for where problems occur. */
export type Region = 'americas' | 'europe' | 'africa' | 'asia' | 'oceania';

type Where = Pick<GardenFacts, 'latitude'> & Partial<Pick<GardenFacts, 'longitude'>>;

/** Returns the continent of a garden; null if its longitude is unknown. */
export function regionOf({ latitude, longitude }: Where): Region | null {
  if (longitude == null) return null;
  if (longitude < -30) return 'americas';
  if (latitude < -9 && longitude > 110) return 'oceania';
  if (longitude > 60 || (longitude > 45 && latitude > 12)) return longitude > 160 && latitude < 0 ? 'oceania' : 'asia';
  if (latitude > 36 || (latitude > 34 && longitude > 19)) return 'europe';
  return longitude > 34 && latitude > 12 ? 'asia' : 'africa';
}

/** Winters without hard frost: within 38 degrees of the equator (judgement). */
const WARM_LATITUDE = 38;
const isWarmClimate = ({ latitude }: Where): boolean => Math.abs(latitude) <= WARM_LATITUDE;

/** The regions where a problem occurs. */
export interface LivesIn {
  regions?: readonly Region[];
  /** only where winters are mild */
  warm?: true;
  why: string;
}

/** Factor outside its range: it travels with plants and fruit (common practice: a tenth or less). */
export const ELSEWHERE_FACTOR = 0.06;

/** Returns whether it occurs here; null if that can't be told. */
export function livesHere({ regions, warm }: LivesIn, garden: Where): boolean | null {
  const region = regionOf(garden);
  if (regions && region === null) return null;
  return (!regions || regions.includes(region!)) && (!warm || isWarmClimate(garden));
}
