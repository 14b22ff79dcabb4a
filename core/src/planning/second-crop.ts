import type { EarlierYear } from '../records/facts.js';
import { isPotted, type PlaceKind } from '../records/place.js';
import type { DisorderCode } from '../records/vocabulary/disorders.js';
import { LIVES_IN_PLANTS, ON_RUBBISH, SOIL_BORNE } from './rotation.js';

/** A second bush crop in summer: where it fits, and where the bed is clean (common practice). */
interface SecondCropQuestion {
  place: { kind: PlaceKind; history: readonly EarlierYear[] };
  year: number;
  /** plants there that keep growing */
  standing: number;
  /** bush plants among them, or finished ones: they make room by then */
  leaving: number;
  shields: readonly DisorderCode[];
}

/** Whether a second crop fits, and if not, why. */
export type SecondCrop =
  | { fits: true; room: 'now' | 'when-cleared' }
  | { fits: false; because: 'full' }
  | { fits: false; because: 'not-clean'; disorders: DisorderCode[] };

/**
 * Returns whether two crops of one family fit in one bed and year: only if nothing that would go over to it was found
 * this year, in the soil, on remains or in the plants that still stand beside it. A pot gets new mix.
 */
export function secondCropIn({ place, year, standing, leaving, shields }: SecondCropQuestion): SecondCrop {
  const seen = place.history.filter((h) => h.year === year || h.year === year - 1).flatMap((h) => h.problems ?? []);
  const against = [...SOIL_BORNE, ...ON_RUBBISH, ...LIVES_IN_PLANTS].filter(
    (d) => seen.includes(d) && !shields.includes(d),
  );
  if (against.length > 0 && !isPotted(place)) return { fits: false, because: 'not-clean', disorders: against };
  if (standing > 0 && leaving < standing) return { fits: false, because: 'full' };
  return { fits: true, room: standing > 0 ? 'when-cleared' : 'now' };
}
