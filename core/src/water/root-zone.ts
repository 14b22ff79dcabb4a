import type { PlaceFacts } from '../records/facts.js';
import { isPotted } from '../records/place.js';
import type { Crop } from '../records/plant.js';
import { rootDepthM, rootSpreadM2, WATER_CROPS } from './crops.js';
import { availableShare, SLOW_PERCOLATION_MM_H, SOILS } from './soils.js';

/** The water store one plant's roots can reach. Depths are mm over `soilM2`. */
export interface RootZone {
  /** ground with roots of this plant, or its pot's rim, m²; 1 mm over it is soilM2 litres */
  soilM2: number;
  /** all ground of this plant, m²: its roots fill it within a few weeks */
  groundM2: number;
  /** total available water, mm (FAO-56 eq. 82; containers: share of the volume) */
  tawMm: number;
  /** rooting depth, m; a pot is about as high as it is wide */
  depthM: number;
  /** room above field capacity, mm */
  roomAboveMm: number;
  /** share of the water above field capacity that drains in a day */
  drainsPerDay: number;
  /** a container: its store is small compared with a day's use */
  isPot: boolean;
  /** factor on use for water lost through a pot's wall */
  wallLoss: number;
}

const DEFAULT_SPACING_M: Record<Crop, number> = { tomato: 0.5, pepper: 0.45 };

/** Returns the diameter of a pot about as wide as it is high, m. */
const potWidthM = (volumeL: number): number => ((4 * volumeL) / 1000 / Math.PI) ** (1 / 3);

/**
 * Returns the rim area of a pot about as wide as it is high, m².
 * @example rimAreaM2(20) // 0.06798
 */
export const rimAreaM2 = (volumeL: number): number => (Math.PI / 4) * potWidthM(volumeL) ** 2;

/**
 * Water that a centimetre of compost adds to the soil it was worked into, mm. One percent of organic carbon holds 1.16 mm
 * more in 100 mm of soil (Minasny and McBratney 2018, European Journal of Soil Science 69:39; from memory). A centimetre
 * brings about 0.6 kg of carbon a square metre, which is 0.19 % of the 325 kg of soil in a spade's depth.
 */
const COMPOST_HOLDS = 0.55;
/** A spade's depth, m. */
const DUG_M = 0.25;

/** Volume assumed for a pot of unknown size, L; no litres are ordered then. */
const UNKNOWN_POT_L = 10;

/** Returns the ground of one plant, m²: as stated, or the spacing squared; for a pot its rim. */
function soilAreaM2(place: PlaceFacts, crop: Crop, spacingM?: number | null): number {
  if (isPotted(place)) return rimAreaM2(place.volumeL ?? UNKNOWN_POT_L);
  return place.areaM2 ?? (spacingM ?? DEFAULT_SPACING_M[crop]) ** 2;
}

/** Depth assumed for a raised bed that was not measured, cm. */
const USUAL_FILLING_CM = 30;
/** Rooting depth into the soil under a raised bed, m: roots stay out where water drains slowly (judgement). */
const UNDER_BED_M = { plain: 0.3, slow: 0.1 } as const;

/** Returns the maximum rooting depth: a raised bed's filling and what the soil under it allows. */
function deepestM(place: PlaceFacts, slow: boolean): number {
  if (place.kind !== 'raised-bed') return Infinity;
  return (place.fillingCm ?? USUAL_FILLING_CM) / 100 + (slow ? UNDER_BED_M.slow : UNDER_BED_M.plain);
}

/**
 * Returns the root zone by day of the season. A pot's is constant; in the ground it grows with the roots. Built once
 * per run: it is read on each of its days.
 */
export function rootZones(place: PlaceFacts, crop: Crop, spacingM?: number | null): (seasonDay: number) => RootZone {
  const soil = SOILS[place.texture];
  const groundM2 = soilAreaM2(place, crop, spacingM);
  const share = availableShare(place.texture);
  const isPot = isPotted(place);
  const slow = place.drainageMmPerH != null && place.drainageMmPerH < SLOW_PERCOLATION_MM_H;
  // water collects at a low end: it drains like a slow soil, whatever its texture (judgement)
  const staysWet = slow || (place.lowEnd === true && !isPot);
  const drainsPerDay = staysWet ? Math.min(soil.drainsPerDay, 0.35) : soil.drainsPerDay;
  const wallLoss = place.potMaterial === 'terracotta' || place.potMaterial === 'fabric' ? 1.2 : 1;
  const zone = (depthM: number, tawMm: number, soilM2 = groundM2): RootZone => ({
    soilM2,
    groundM2,
    tawMm,
    depthM,
    roomAboveMm: soil.roomAbove * tawMm,
    drainsPerDay,
    isPot,
    wallLoss,
  });
  if (isPot) {
    const volumeL = place.volumeL ?? UNKNOWN_POT_L;
    const always = zone(potWidthM(volumeL), (share * volumeL) / groundM2);
    return () => always;
  }
  const deepest = deepestM(place, slow);
  // compost in the hole stands where soil was, and holds what potting mix does (judgement)
  const inHoleL = (place.holeCompostL ?? 0) * Math.max(0, availableShare('potting-mix') - share);
  return (seasonDay) => {
    const depthM = Math.min(deepest, rootDepthM(crop, seasonDay));
    const composted = COMPOST_HOLDS * (place.compostCm ?? 0) * Math.min(1, depthM / DUG_M);
    const soilM2 = Math.min(groundM2, rootSpreadM2(seasonDay));
    return zone(depthM, 1000 * share * depthM + composted + inHoleL / soilM2, soilM2);
  };
}

/**
 * Returns the depletion fraction p for the day's demand (FAO-56 Table 22 footnote), clamped to 0.1 to 0.8.
 * @example depletionFraction('tomato', 7) // 0.32
 */
export const depletionFraction = (crop: Crop, etcMm: number): number =>
  Math.min(0.8, Math.max(0.1, WATER_CROPS[crop].depletionFraction + 0.04 * (5 - etcMm)));

/**
 * Returns the stress coefficient Ks (FAO-56 eq. 84).
 * @example stressCoefficient(60, 100, 0.4) // 0.6667
 */
export const stressCoefficient = (depletionMm: number, tawMm: number, p: number): number =>
  Math.min(1, Math.max(0, (tawMm - depletionMm) / ((1 - p) * tawMm)));
