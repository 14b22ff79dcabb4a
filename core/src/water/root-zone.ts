import type { PlaceFacts } from '../records/facts.js';
import type { Crop } from '../records/plant.js';
import { rootDepthM, WATER_CROPS } from './crops.js';
import { availableShare, SLOW_PERCOLATION_MM_H, SOILS } from './soils.js';

/** The store of water that one plant's roots can reach. Depths of water are mm over `soilM2`. */
export interface RootZone {
  /** ground or rim area that belongs to this plant, m²; 1 mm over it is soilM2 litres */
  soilM2: number;
  /** total available water, mm (FAO-56 eq. 82; containers: share of the volume) */
  tawMm: number;
  /** room above field capacity, mm */
  roomAboveMm: number;
  /** share of the water above field capacity that leaves in a day */
  drainsPerDay: number;
  /** a container: its store is small beside a day's use */
  isPot: boolean;
  /** factor on use for water lost through a pot's wall */
  wallLoss: number;
}

const DEFAULT_SPACING_M: Record<Crop, number> = { tomato: 0.5, pepper: 0.45 };

/** Rim area of a pot about as wide as it is high, m². */
export function rimAreaM2(volumeL: number): number {
  const diameter = ((4 * volumeL) / 1000 / Math.PI) ** (1 / 3);
  return (Math.PI / 4) * diameter ** 2;
}

/** Ground that belongs to one plant, m²: stated, or the spacing squared; a pot's rim. */
export function soilAreaM2(place: PlaceFacts, crop: Crop, spacingM?: number | null): number {
  if (place.kind === 'container') return rimAreaM2(place.volumeL ?? 10);
  return place.areaM2 ?? (spacingM ?? DEFAULT_SPACING_M[crop]) ** 2;
}

/** The root zone on a day of the season. */
export function rootZoneOn(place: PlaceFacts, crop: Crop, seasonDay: number, spacingM?: number | null): RootZone {
  const soil = SOILS[place.texture];
  const soilM2 = soilAreaM2(place, crop, spacingM);
  const share = availableShare(place.texture);
  const tawMm =
    place.kind === 'container' ? (share * (place.volumeL ?? 10)) / soilM2 : 1000 * share * rootDepthM(crop, seasonDay);
  const slow = place.drainageMmPerH != null && place.drainageMmPerH < SLOW_PERCOLATION_MM_H;
  return {
    soilM2,
    tawMm,
    roomAboveMm: soil.roomAbove * tawMm,
    drainsPerDay: slow ? Math.min(soil.drainsPerDay, 0.35) : soil.drainsPerDay,
    isPot: place.kind === 'container',
    wallLoss: place.potMaterial === 'terracotta' || place.potMaterial === 'fabric' ? 1.2 : 1,
  };
}

/** Depletion fraction p for the day's demand (FAO-56 Table 22 footnote), kept in 0.1 to 0.8. */
export const depletionFraction = (crop: Crop, etcMm: number): number =>
  Math.min(0.8, Math.max(0.1, WATER_CROPS[crop].depletionFraction + 0.04 * (5 - etcMm)));

/** Stress coefficient Ks (FAO-56 eq. 84). */
export const stressCoefficient = (depletionMm: number, tawMm: number, p: number): number =>
  Math.min(1, Math.max(0, (tawMm - depletionMm) / ((1 - p) * tawMm)));
