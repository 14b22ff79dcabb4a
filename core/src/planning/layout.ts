import type { Crop } from '../records/plant.js';
import type { Training } from '../pruning/methods.js';
import { roundTo } from '../units/rounding.js';

/** Position of a plant in a bed, seen from above, m from its corner. */
export interface Spot {
  x: number;
  y: number;
}

/** Spacing from common practice and packets, m: 45 to 60 cm, single stems 30 to 45, peppers 40 to 50. */
export const SPACING_M: Record<Crop | 'one-stem', readonly [number, number]> = {
  tomato: [0.45, 0.6],
  pepper: [0.4, 0.5],
  'one-stem': [0.3, 0.45],
};
/**
 * Returns the advised distance between plants, m, low and high.
 * @example spacingOf('pepper') // [0.4, 0.5]
 */
export const spacingOf = (crop: Crop, training?: Training | null): readonly [number, number] =>
  crop === 'tomato' && training === 'one-stem' ? SPACING_M['one-stem'] : SPACING_M[crop];

/** Inner size of a bed, m. */
export interface Bed {
  lengthM: number;
  widthM: number;
}

/** Returns how many fit along and across: half a spacing from each edge. */
const fitIn = (side: number, spacing: number): number => Math.max(1, Math.floor(side / spacing + 1e-9));

/**
 * Returns the most plants a bed takes at a spacing.
 * @example mostIn({ lengthM: 2.4, widthM: 0.6 }, 0.45) // 5
 */
export const mostIn = (bed: Bed, spacingM: number): number =>
  fitIn(bed.lengthM, spacingM) * fitIn(bed.widthM, spacingM);

/**
 * Spreads plants evenly: in one row down the middle if it fits them, else in as few rows as needed, every second row
 * shifted by half a step, for light and air.
 * @example layOut({ lengthM: 2, widthM: 0.6 }, 2, 0.5) // [{ x: 0.5, y: 0.3 }, { x: 1.5, y: 0.3 }]
 */
export function layOut(bed: Bed, count: number, spacingM: number): Spot[] {
  if (count <= 0) return [];
  const along = fitIn(bed.lengthM, spacingM);
  const rows = Math.min(Math.ceil(count / along), fitIn(bed.widthM, spacingM));
  const inRow = Math.ceil(count / rows);
  const step = bed.lengthM / inRow;
  return Array.from({ length: count }, (_, i) => {
    const row = Math.floor(i / inRow);
    const shift = row % 2 === 1 ? step / 4 : rows > 1 ? -step / 4 : 0;
    return {
      x: round(Math.min(bed.lengthM, Math.max(0, step * ((i % inRow) + 0.5) + shift))),
      y: round((bed.widthM / rows) * (row + 0.5)),
    };
  });
}
/** Returns the positions the gardener chose; missing or outside ones are spread evenly. */
export function spotsOf(bed: Bed, count: number, spacingM: number, laid: readonly Spot[] | null | undefined): Spot[] {
  return layOut(bed, count, spacingM).map((even, i) => {
    const own = laid?.[i];
    return own ? inBed(bed, own) : even;
  });
}
/**
 * Moves a position inside the bed.
 * @example inBed({ lengthM: 2, widthM: 0.6 }, { x: 3, y: 0.2 }) // { x: 2, y: 0.2 }
 */
export const inBed = (bed: Bed, { x, y }: Spot): Spot => ({
  x: round(Math.min(bed.lengthM, Math.max(0, x))),
  y: round(Math.min(bed.widthM, Math.max(0, y))),
});

const round = (m: number): number => roundTo(m, 2);

/** Pairs closer than the least spacing; a hand's width of slack (judgement). */
const SLACK_M = 0.05;
/**
 * Returns the pairs of plants, by index, that stand closer than the least distance, m.
 * @example tooClose([{ x: 0, y: 0 }, { x: 0.3, y: 0 }], 0.5) // [[0, 1]]
 */
export function tooClose(spots: readonly Spot[], leastM: number): [number, number][] {
  return spots.flatMap((a, i) =>
    spots
      .slice(i + 1)
      .flatMap((b, j) =>
        Math.hypot(a.x - b.x, a.y - b.y) < leastM - SLACK_M ? [[i, i + j + 1] as [number, number]] : [],
      ),
  );
}
