import { isUnderGlass, type PlaceKind, type Cover } from '../records/place.js';
import type { Training } from '../pruning/methods.js';

interface VisitQuestion {
  place: { kind: PlaceKind; cover?: Cover | null };
  /** as the cuts go by it */
  training: Training;
  heightM?: number | null;
  /** something holds it up */
  supported: boolean;
  /** mulch lies there */
  mulched: boolean;
  /** plants of the bed or pot */
  plants: number;
}

/** Shorter plants are not tied yet, m (judgement). */
const TALL_M = 0.5;

/**
 * Returns a visit to plants with a leaf disease, in the one order in which nothing is touched twice: from clean to sick, from
 * tying up to covering the soil (common practice).
 * @example diseaseVisit({ place: { kind: 'ground' }, training: 'leave-alone', supported: false, mulched: true, plants: 1 }).length // 3
 */
export function diseaseVisit(q: VisitQuestion): string[] {
  const cordon = q.training === 'one-stem' || q.training === 'two-stems';
  const tall = (q.heightM ?? TALL_M) >= TALL_M;
  const indoors = q.place.kind === 'indoors' || q.place.kind === 'container' || isUnderGlass(q.place);
  return [
    q.plants > 1
      ? 'Go when the leaves are dry, to the healthy plants first and to the sickest last.'
      : 'Go when the leaves are dry.',
    ...(q.supported && tall ? ['Tie up what hangs, so that you reach the low leaves.'] : []),
    'Take a bucket with you. Cut the low and the spotted leaves straight into it, never onto the ground.',
    ...(cordon ? ['Pinch out suckers, and tie the new growth: air dries the leaves.'] : []),
    ...(q.mulched || indoors
      ? []
      : [
          'Cover the bare soil with wet plain paper and straw, or with a finger’s width of sand. Rain then splashes no spores up.',
        ]),
    'Bin or burn what is in the bucket: never compost it. Wash hands and blade in hot soapy water.',
  ];
}
