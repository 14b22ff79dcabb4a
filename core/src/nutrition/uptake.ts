import { isPotted, type PlaceKind } from '../records/place.js';
import type { Crop } from '../records/plant.js';

/**
 * Uptake of a crop, g of the element per kg of fruit, whole plant included. Ranges from fertiliser manuals (IFA World
 * Fertilizer Use Manual 1992, from memory: tomato 2.2 to 3.0 N, 0.3 to 0.5 P, 3.5 to 5.0 K; sweet pepper 3.0 to 4.5
 * N, 0.4 to 0.7 P, 3.5 to 5.0 K).
 */
export const UPTAKE_G_PER_KG: Record<Crop, Record<'n' | 'p' | 'k', readonly [number, number]>> = {
  tomato: { n: [2.2, 3], p: [0.3, 0.5], k: [3.5, 5] },
  pepper: { n: [3, 4.5], p: [0.4, 0.7], k: [3.5, 5] },
};

/** Fruit per plant and season, kg: a range for beds, limited by the size of a pot (judgement, from memory). */
const FRUIT_KG: Record<Crop, readonly [number, number]> = { tomato: [2.5, 5], pepper: [0.8, 2] };
const POT_KG_PER_L = 0.15;

/**
 * Returns the fruit a plant can bear in a season, kg, low and high; less in a small pot.
 * @example expectedFruitKg('tomato', { kind: 'container', volumeL: 10 }) // [0.75, 1.5]
 */
export function expectedFruitKg(
  crop: Crop,
  place: { kind: PlaceKind; volumeL?: number | null },
): readonly [number, number] {
  const [low, high] = FRUIT_KG[crop];
  if (!isPotted(place) || place.volumeL == null) return [low, high];
  const most = POT_KG_PER_L * place.volumeL;
  return [Math.min(low, most / 2), Math.min(high, most)];
}

/**
 * Day of the season by which half is taken up; most is in the weeks around it (an S-curve; judgement after published
 * uptake curves, from memory).
 */
const HALF_DAY = 62;
const STEEP_DAYS = 14;
const shareAt = (day: number): number => 1 / (1 + Math.exp((HALF_DAY - day) / STEEP_DAYS));

/**
 * Returns the share of the season's uptake completed on a day of its season, 0 to 1.
 * @example uptakeShare(60) // 0.458
 */
export const uptakeShare = (seasonDay: number): number =>
  Math.max(0, (shareAt(seasonDay) - shareAt(0)) / (1 - shareAt(0)));
