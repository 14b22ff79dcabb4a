import type { EarlierYear } from '../records/facts.js';
import { isPotted, type PlaceKind } from '../records/place.js';
import type { Crop } from '../records/plant.js';
import type { DisorderCode } from '../records/vocabulary/disorders.js';
import { disorderRow } from '../diagnosis/index.js';
import { capital } from '../units/text.js';

/** Years of gap that are better (common practice: never the year after; three years is better). */
const BETTER_GAP = 3;
/** Diseases that survive in the soil for the next plant of the family (common practice). */
export const SOIL_BORNE: readonly DisorderCode[] = [
  'vascular-wilt',
  'bacterial-wilt',
  'root-knot-nematodes',
  'southern-blight',
  'phytophthora-blight',
  'white-mould',
  'bacterial-canker',
];
/**
 * Diseases that live on in living plants and fresh remains, not in bare soil: late blight in tubers and fruit, viruses in
 * every leaf and in sap on tools.
 */
export const LIVES_IN_PLANTS: readonly DisorderCode[] = [
  'late-blight',
  'mosaic-virus',
  'spotted-wilt-virus',
  'leaf-curl-virus',
  'curly-top-virus',
];
/** Diseases that survive the winter on plant remains. */
export const ON_RUBBISH: readonly DisorderCode[] = [
  'early-blight',
  'septoria-leaf-spot',
  'bacterial-leaf-spot',
  'leaf-mould',
  'fruit-anthracnose',
];

interface RotationQuestion {
  place: { kind: PlaceKind; history: readonly EarlierYear[] };
  /** year of the planned season */
  year: number;
  /** problems the planned variety resists */
  shields: readonly DisorderCode[];
}

/** Whether a bed may be planted with this family again. */
export interface Rotation {
  verdict: 'free' | 'short' | 'year-after' | 'soil-borne';
  /** last year one of the family grew here; null if none is recorded */
  lastYear: number | null;
  /** soil-borne problems found here within the gap that the variety does not resist */
  open: DisorderCode[];
  /** found here, and the variety resists them */
  shielded: DisorderCode[];
  /** other problems found here that survive on plant remains */
  rubbish: DisorderCode[];
}

/**
 * Judges crop rotation. Tomato, pepper, potato and aubergine count as one family. Pots get new mix, so only problems
 * of old mix count.
 */
export function rotationOf({ place, year, shields }: RotationQuestion): Rotation {
  const before = place.history.filter((h) => h.family === 'nightshade' && h.year < year);
  const lastYear = before.length > 0 ? Math.max(...before.map((h) => h.year)) : null;
  const within = place.history.filter((h) => h.year < year && year - h.year <= BETTER_GAP + 1);
  const seen = [...new Set(within.flatMap((h) => h.problems ?? []))];
  const soil = seen.filter((d) => SOIL_BORNE.includes(d));
  const open = soil.filter((d) => !shields.includes(d));
  const gap = lastYear === null ? Infinity : year - lastYear - 1;
  const verdict =
    open.length > 0 ? 'soil-borne' : isPotted(place) || gap >= BETTER_GAP ? 'free' : gap === 0 ? 'year-after' : 'short';
  return {
    verdict,
    lastYear,
    open,
    shielded: seen.filter((d) => shields.includes(d)),
    rubbish: seen.filter((d) => ON_RUBBISH.includes(d) && !shields.includes(d)),
  };
}

const named = (list: readonly DisorderCode[]): string => list.map((d) => disorderRow(d).label.toLowerCase()).join(', ');

/** Says what argues against it, and what would fit. */
export function rotationInWords(r: Rotation, place: { kind: PlaceKind; standing?: number }, crop: Crop): string {
  const potted = isPotted(place);
  const parts: string[] = [];
  if (r.verdict === 'soil-borne')
    parts.push(
      `${capital(named(r.open))} was found here and survives in ${potted ? 'the old mix: refill with new mix and scrub the pot' : 'the soil: use another bed, a pot with fresh mix, or a variety with resistance letters for it'}.`,
    );
  else if (r.verdict === 'year-after')
    parts.push(
      `Tomatoes, peppers, potatoes or aubergines grew here in ${r.lastYear}, the year before. Choose another bed or a pot.`,
    );
  else if (r.verdict === 'short')
    parts.push(`The same family grew here in ${r.lastYear}; a gap of ${BETTER_GAP} years is better.`);
  else
    parts.push(
      r.lastYear === null
        ? place.standing
          ? `${place.standing} ${place.standing === 1 ? 'plant stands' : 'plants stand'} here this year; none before is recorded.`
          : `No ${crop} or relative is recorded here before.`
        : potted
          ? 'A pot with fresh mix starts clean.'
          : `The same family last grew here in ${r.lastYear}: long enough ago.`,
    );
  if (r.shielded.length > 0) parts.push(`This variety is resistant to what was found here: ${named(r.shielded)}.`);
  if (r.rubbish.length > 0)
    parts.push(
      `Found here before: ${named(r.rubbish)}. Clear old plant remains, mulch, and water the soil, not the leaves.`,
    );
  return parts.join(' ');
}
