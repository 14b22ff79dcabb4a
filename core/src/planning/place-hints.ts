import { isPotted, type PlaceKind, type Texture } from '../records/place.js';
import type { Crop } from '../records/plant.js';
import type { Formatter } from '../units/formatter.js';
import { type Bed, mostIn } from './layout.js';

/** A bed or pot, as the plan judges it. */
export interface HintedPlace {
  name: string;
  kind: PlaceKind;
  texture: Texture;
  sunHours?: number | null;
  /** water collects here */
  lowEnd?: boolean | null;
  lengthM?: number | null;
  widthM?: number | null;
}

interface PlaceQuestion {
  place: HintedPlace;
  /** the other beds and pots of the garden */
  others: readonly HintedPlace[];
  crop: Crop;
  /** plants that will stand there, all together */
  plants: number;
  /** least and comfortable distance, m */
  spacingM: readonly [number, number];
  /** warmest usual daily maximum of a month, °C; null if not known */
  hottestC: number | null;
}

/** Hours of sun a crop needs (common practice: six or more; peppers six to eight). */
const SUN_FROM_H = 6;
/** A bed with so many hours more is worth the change (judgement). */
const SUNNIER_BY_H = 1;
/** Soils that stay wet around roots: peppers want air there (common practice). */
const HEAVY: ReadonlySet<Texture> = new Set<Texture>(['clay', 'clay-loam']);
/** From this usual maximum on, tight rows are too hot: no air moves between them (common practice; judgement). */
const HOT_SUMMER_C = 32;
/** Height of a mound that keeps roots out of standing water, cm (common practice). */
const MOUND_CM = 20;

/** Returns what argues against this bed or pot for this crop, each with a way out; empty if nothing does. */
export function placeHints(q: PlaceQuestion, f: Formatter): string[] {
  return [...sun(q), ...ground(q, f), ...tight(q, f)];
}

function sun({ place, others, crop }: PlaceQuestion): string[] {
  const { sunHours } = place;
  if (sunHours == null || sunHours >= SUN_FROM_H) return [];
  const sunnier = others
    .filter((o) => (o.sunHours ?? 0) >= sunHours + SUNNIER_BY_H)
    .sort((a, b) => b.sunHours! - a.sunHours!)[0];
  return [
    `${sunHours} hours of sun are too few for a ${crop}, which needs ${crop === 'pepper' ? '6 to 8' : '6 or more'}: it grows leggy and bears late and little.${sunnier ? ` ${sunnier.name} gets ${sunnier.sunHours}.` : ''}`,
  ];
}

function ground({ place, crop }: PlaceQuestion, f: Formatter): string[] {
  if (isPotted(place)) return [];
  return [
    ...(place.lowEnd
      ? [`Water collects here: plant elsewhere, on a mound of ${f.centimetres(MOUND_CM)}, or drain it.`]
      : []),
    ...(crop === 'pepper' && HEAVY.has(place.texture)
      ? ['Pepper roots rot easily in clay: work in compost, plant on a mound, or use a pot.']
      : []),
  ];
}

function tight({ place, plants, spacingM: [closest, wide], hottestC }: PlaceQuestion, f: Formatter): string[] {
  if (isPotted(place) || !place.lengthM || !place.widthM) return [];
  const bed: Bed = { lengthM: place.lengthM, widthM: place.widthM };
  const most = mostIn(bed, closest);
  if (plants > most)
    return [
      `${plants} plants are too many here: at ${f.centimetres(closest * 100)} spacing there is room for ${most}. More would shade each other and stay wet.`,
    ];
  return hottestC !== null && hottestC >= HOT_SUMMER_C && plants > mostIn(bed, wide)
    ? [
        `${f.temperature(hottestC)} is usual here in summer, and tight rows hold the heat: at ${f.centimetres(wide * 100)} spacing there is room for ${mostIn(bed, wide)}.`,
      ]
    : [];
}
