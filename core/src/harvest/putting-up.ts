import type { Crop } from '../records/plant.js';
import { CAUTIONS } from '../records/vocabulary/cautions.js';

// Uses for a big harvest.

/** Litres of thick sauce per kilogram of fruit (common practice, from memory: paste varieties 0.45, juicy ones 0.3). */
const SAUCE_L_PER_KG = { paste: 0.45, other: 0.3 } as const;
/**
 * Returns the litres of sauce that kilograms of fruit cook down to.
 * @example sauceLitres(5, true) // 2.25
 */
export const sauceLitres = (kg: number, paste: boolean): number => kg * SAUCE_L_PER_KG[paste ? 'paste' : 'other'];

/** One line each (common practice; canning only by a tested recipe). */
export const KEEPING: Record<Crop, readonly string[]> = {
  tomato: [
    'Drying: halve, salt lightly and dry at 55 to 60 °C (130 to 140 °F) until leathery with no moist spot. Store dry and dark.',
    'Freezing: whole or as sauce, flat in bags. Skins slip off as they thaw. Cook within a year.',
    'Storing: at room temperature, stem end down; the fridge spoils the taste. Can only by a tested recipe, with its acid.',
  ],
  pepper: [
    'Drying: thin-walled varieties threaded in moving air; thick ones cut and dried at 55 °C (130 °F) until they snap.',
    CAUTIONS.hot,
    'Freezing: cut, raw, flat in bags. Good for cooking for a year.',
    'Storing: one to two weeks in the cool part of the fridge. Can only by a tested recipe.',
    CAUTIONS.oil,
  ],
};
