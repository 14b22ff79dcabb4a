import type { EarlierYear } from '../records/facts.js';
import { isPotted, type PlaceKind } from '../records/place.js';
import type { Crop } from '../records/plant.js';
import type { DisorderCode } from '../records/vocabulary/disorders.js';
import { disorderRow } from '../diagnosis/index.js';

/** Years in between that are better (handbook: never the year after; better three years). */
export const BETTER_GAP = 3;
/** Diseases that wait in the soil for the next plant of the family (handbook; common practice). */
export const SOIL_BORNE: readonly DisorderCode[] = [
  'vascular-wilt',
  'bacterial-wilt',
  'root-knot-nematodes',
  'southern-blight',
  'phytophthora-blight',
  'white-mould',
  'bacterial-canker',
];
/** Those that winter on rubbish of the plants, and come back with it. */
export const ON_RUBBISH: readonly DisorderCode[] = [
  'early-blight',
  'septoria-leaf-spot',
  'bacterial-leaf-spot',
  'leaf-mould',
  'fruit-anthracnose',
];

export interface RotationQuestion {
  place: { kind: PlaceKind; history: readonly EarlierYear[] };
  /** of the season that is planned */
  year: number;
  /** what the kind that is to stand here is shielded from */
  shields: readonly DisorderCode[];
}

export interface Rotation {
  verdict: 'free' | 'short' | 'year-after' | 'soil-borne';
  /** the last year in which one of the family stood here; null: none that is written down */
  lastYear: number | null;
  /** soil-borne troubles seen here within the gap, that the kind is not shielded from */
  open: DisorderCode[];
  /** seen here, and the kind is shielded from them */
  shielded: DisorderCode[];
  /** other troubles seen here that come back with rubbish */
  rubbish: DisorderCode[];
}

/** Tomato, pepper, potato and aubergine count as one family. Pots are filled anew, so that only what is open in old mix counts. */
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

/** Said in words: what stands against it, and what would fit. */
export function rotationInWords(r: Rotation, place: { kind: PlaceKind }, crop: Crop): string {
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
        ? `No ${crop} or relative is recorded here.`
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
const capital = (t: string): string => t.charAt(0).toUpperCase() + t.slice(1);
