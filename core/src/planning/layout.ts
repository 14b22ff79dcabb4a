import type { Fault } from '../records/faults.js';
import type { Crop } from '../records/plant.js';
import type { Training } from '../pruning/schools.js';

/** Where plants stand in a bed, from above, m from its corner. */
export interface Spot {
  x: number;
  y: number;
}

/** Spacing that handbook and packets give, m: 45 to 60 cm, single stems 30 to 45, peppers 40 to 50. */
export const SPACING_M: Record<Crop | 'one-stem', readonly [number, number]> = {
  tomato: [0.45, 0.6],
  pepper: [0.4, 0.5],
  'one-stem': [0.3, 0.45],
};
export const spacingOf = (crop: Crop, training?: Training | null): readonly [number, number] =>
  crop === 'tomato' && training === 'one-stem' ? SPACING_M['one-stem'] : SPACING_M[crop];

export interface Bed {
  lengthM: number;
  widthM: number;
}

/** How many fit along and across: half a spacing from each edge. */
const fitIn = (side: number, spacing: number): number => Math.max(1, Math.floor(side / spacing + 1e-9));

/** The most plants that a bed takes at a spacing. */
export const mostIn = (bed: Bed, spacingM: number): number =>
  fitIn(bed.lengthM, spacingM) * fitIn(bed.widthM, spacingM);

/**
 * Spots for so many plants, spread evenly: in one row down the middle where one is enough, else in as few rows as take them, every second
 * row shifted by half a step, so that light and air come between.
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
/** The spots as the gardener laid them; those that were not laid, or lie outside, as they would be spread. */
export function spotsOf(bed: Bed, count: number, spacingM: number, laid: readonly Spot[] | null | undefined): Spot[] {
  return layOut(bed, count, spacingM).map((even, i) => {
    const own = laid?.[i];
    return own ? inBed(bed, own) : even;
  });
}
/** As near as it can be. */
export const inBed = (bed: Bed, { x, y }: Spot): Spot => ({
  x: round(Math.min(bed.lengthM, Math.max(0, x))),
  y: round(Math.min(bed.widthM, Math.max(0, y))),
});

const round = (m: number): number => Math.round(m * 100) / 100;

/** Pairs that stand closer than the least spacing, as they lie; a hand's breadth of slack (judgement). */
const SLACK_M = 0.05;
export function tooClose(spots: readonly Spot[], leastM: number): [number, number][] {
  return spots.flatMap((a, i) =>
    spots
      .slice(i + 1)
      .flatMap((b, j) =>
        Math.hypot(a.x - b.x, a.y - b.y) < leastM - SLACK_M ? [[i, i + j + 1] as [number, number]] : [],
      ),
  );
}

/** More plants than the bed takes, with what would fit. */
export function crowdingFaults(bed: Bed, count: number, spacing: readonly [number, number], path: string): Fault[] {
  const most = mostIn(bed, spacing[0]);
  return count > most
    ? [
        {
          path,
          reason: `${count} plants are too many here: at ${Math.round(spacing[0] * 100)} cm spacing there is room for ${most}. More would shade each other and stay wet`,
        },
      ]
    : [];
}

/** Pots that are large enough, L (handbook: tomato 20, large kinds 60; pepper 10). */
export function leastPotL(crop: Crop, type?: string | null): number {
  if (crop === 'pepper') return 10;
  return type === 'beefsteak' ? 60 : 20;
}

/** Hours of sun that a crop wants (common practice: six or more; peppers six to eight). */
const SUN_FROM_H = 6;
export function shadeFaults(sunHours: number | null | undefined, crop: Crop, path: string): Fault[] {
  return sunHours != null && sunHours < SUN_FROM_H
    ? [
        {
          path,
          reason: `${sunHours} hours of sun are too few for a ${crop}, which needs ${crop === 'pepper' ? '6 to 8' : '6 or more'}. With less it grows leggy and bears late and little`,
        },
      ]
    : [];
}
