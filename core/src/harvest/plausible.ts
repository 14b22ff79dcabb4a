import type { Fault } from '../records/faults.js';
import type { Crop } from '../records/plant.js';

/** Most that one plant is ever likely to bear in a season, kg (judgement: twice a good crop). */
const MOST_KG: Record<Crop, number> = { tomato: 20, pepper: 8 };
/** Heaviest plausible fruit of the crop, g. */
const MOST_FRUIT_G: Record<Crop, number> = { tomato: 2500, pepper: 600 };

/** Refuses a harvest heavier than a plant can bear as a typing error, unless a reason is given. */
export function heavyFaults(
  p: { count?: number | null; grams?: number | null; because?: string | null },
  { crop, gramsBefore }: { crop: Crop; gramsBefore: number },
  path: string,
): Fault[] {
  if (p.because?.trim() || p.grams == null) return [];
  const each = p.count ? p.grams / p.count : 0;
  if (each > MOST_FRUIT_G[crop])
    return [
      {
        path: `${path}grams`,
        reason: `one ${crop} of ${Math.round(each)} g is heavier than any on record. Is this the total weight, or a misplaced decimal point? If it is right, say why`,
      },
    ];
  const total = (gramsBefore + p.grams) / 1000;
  if (total > MOST_KG[crop])
    return [
      {
        path: `${path}grams`,
        reason: `that makes ${Math.round(total)} kg from this plant this season; no ${crop} is known to bear more than ${MOST_KG[crop]} kg. If it is right, say why`,
      },
    ];
  return [];
}
