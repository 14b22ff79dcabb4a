import type { Crop } from '../records/plant.js';

/** What becomes of a basketful. */

/** Litres of thick sauce from a kilogram of fruit (common practice, from memory: paste kinds 0.45, juicy kinds 0.3). */
const SAUCE_L_PER_KG = { paste: 0.45, other: 0.3 } as const;
export const sauceLitres = (kg: number, paste: boolean): number => kg * SAUCE_L_PER_KG[paste ? 'paste' : 'other'];

/** One line each (common practice; for jars only a tested recipe, handbook). */
export const KEEPING: Record<Crop, readonly string[]> = {
  tomato: [
    'Drying: halve, salt lightly, 55 to 60 °C until leathery and without a moist spot; keep dry and dark.',
    'Freezing: whole or as sauce, flat in bags; skins slip off when it thaws. For cooking, within a year.',
    'Keeping: at room temperature, stem end down; in the fridge it loses its taste. Jars only by a tested recipe, with its acid.',
  ],
  pepper: [
    'Drying: thin-walled kinds on a thread in moving air, thick ones cut, 55 °C until they snap.',
    'Freezing: cut, raw, flat in bags; good for cooking for a year.',
    'Keeping: one to two weeks in the cool part of the fridge. In oil only frozen or eaten within days; jars only by a tested recipe.',
  ],
};
