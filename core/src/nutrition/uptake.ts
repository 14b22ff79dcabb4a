import { USUAL_DEGREE_DAYS } from '../climate/degree-days.js';
import { isPotted, type PlaceKind } from '../records/place.js';
import type { Crop, GrowthHabit } from '../records/plant.js';

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
/** A bush tomato bears for fewer weeks: about four fifths of what a cordon gives in a bed (judgement, from memory). */
const BUSH_SHARE = 0.8;

/**
 * Returns the fruit a plant can bear in a season, kg, low and high; less on a bush tomato and in a small pot.
 * @example expectedFruitKg({ crop: 'tomato' }, { kind: 'container', volumeL: 10 }) // [0.75, 1.5]
 */
export function expectedFruitKg(
  { crop, habit }: { crop: Crop; habit?: GrowthHabit | null },
  place: { kind: PlaceKind; volumeL?: number | null },
): readonly [number, number] {
  const share = crop === 'tomato' && habit === 'determinate' ? BUSH_SHARE : 1;
  const [low, high] = [share * FRUIT_KG[crop][0], share * FRUIT_KG[crop][1]];
  if (!isPotted(place) || place.volumeL == null) return [low, high];
  const most = POT_KG_PER_L * place.volumeL;
  return [Math.min(low, most / 2), Math.min(high, most)];
}

/** What one day gives a plant to grow by, where it stands. */
export interface GrowingDay {
  /** its leaves as a share of a full-grown plant's cover, 0 to 1 */
  coverShare: number;
  /** sun on its leaves, MJ/m² */
  solarMj: number;
  /** warmth, °C·d */
  degreeDays: number;
}

/** Sun of a usual summer day, MJ/m² (FAO-56: 18 to 25 in temperate summers). */
export const USUAL_SOLAR_MJ = 20;

/**
 * Returns how much a plant grows on a day: 1 for full cover in 20 MJ/m² and a warm day. One per cent more light gives
 * about one per cent more fruit (Marcelis, Broekhuijsen, Meinen, Nijs & Raaphorst 2006, Acta Horticulturae 711: 0.7 to 1 %;
 * from memory), and cool days slow it as they slow development.
 * @example grownOn({ coverShare: 1, solarMj: 16, degreeDays: 17 }) // 0.8
 */
export const grownOn = ({ coverShare, solarMj, degreeDays }: GrowingDay): number =>
  (coverShare * solarMj * Math.min(1, degreeDays / USUAL_DEGREE_DAYS)) / USUAL_SOLAR_MJ;

/**
 * What a plant grows in the season that the expected fruit is for: 120 days of a temperate summer with a mean of 20 °C,
 * fully covered from the seventh week on. 45 × ⅓ × 0.82 + 75 × 0.82 (judgement).
 */
export const SEASON_GROWTH = 74;
