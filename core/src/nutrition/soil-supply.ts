import { isPotted, type PlaceKind } from '../records/place.js';

/**
 * Nitrogen that a garden soil or a fresh mix gives by itself. A garden's topsoil has about 3 g of mineral nitrogen per
 * m² in spring and frees some 20 kg per hectare and percent of organic matter in a season; 3 % is usual (extension
 * teaching, from memory). Fresh potting mix is charged with 0.14 to 0.2 g per litre; part of it is washed out or locked up
 * before the roots come (judgement: 0.1 g counts).
 */
const BED = { atPlantingG: 3, perDayG: 0.05 } as const;
const MIX_G_PER_L = 0.1;
/** More ground than this is beyond one plant's roots, m². */
const MOST_GROUND_M2 = 0.5;
/** What a soil test says of it. */
const TESTED: Record<string, number> = { low: 0.5, high: 1.5 };

/**
 * Returns what one plant's soil or mix has freed by a day since planting, g.
 * @example soilSupplyG({ kind: 'container', volumeL: 20 }, 0.07, null)(30) // 2
 */
export function soilSupplyG(
  place: { kind: PlaceKind; volumeL?: number | null },
  groundM2: number,
  tested: string | null,
): (day: number) => number {
  if (isPotted(place)) {
    const mixG = MIX_G_PER_L * (place.volumeL ?? 0);
    return () => mixG;
  }
  const perM2 = Math.min(groundM2, MOST_GROUND_M2) * (TESTED[tested ?? ''] ?? 1);
  return (day) => perM2 * (BED.atPlantingG + BED.perDayG * Math.max(0, day));
}
