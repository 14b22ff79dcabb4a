import type { DisorderCode } from '../records/vocabulary/disorders.js';
import { LIVES_IN_PLANTS, ON_RUBBISH, SOIL_BORNE } from '../planning/rotation.js';

/**
 * How plants are cleared by what ailed them: `bag` with their roots into the bin (what lives on in soil, roots and living
 * plants), `bury` a spade deep or bin (what lives on plant remains). The rest goes on the compost (common practice).
 */
export interface Clearing {
  bag: DisorderCode[];
  bury: DisorderCode[];
  /** found in pots: their mix is not used again */
  binMix: DisorderCode[];
}

/** Returns how the plants of some beds and pots are cleared. */
export function clearingFor(places: readonly { isPot: boolean; disorders: readonly DisorderCode[] }[]): Clearing {
  const all = places.flatMap((p) => p.disorders);
  const among = (list: readonly DisorderCode[], of: readonly DisorderCode[]): DisorderCode[] =>
    [...new Set(of)].filter((d) => list.includes(d));
  return {
    bag: among([...SOIL_BORNE, ...LIVES_IN_PLANTS], all),
    bury: among(ON_RUBBISH, all),
    binMix: among(
      SOIL_BORNE,
      places.filter((p) => p.isPot).flatMap((p) => p.disorders),
    ),
  };
}
