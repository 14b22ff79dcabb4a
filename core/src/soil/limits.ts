import type { Crop } from '../records/plant.js';

/** Below the first a soil is too acid, above the second too alkaline (common practice). */
export const ACID_PH = 5.8;
/** Soil pH above which iron and manganese become short. */
export const ALKALINE_PH = 7.2;
/**
 * Harmful salts in a soil test, dS/m of the saturation extract (FAO Irrigation and Drainage Paper 29, Table 4: tomato
 * 2.5, pepper 1.5).
 */
export const SALTY_DS_PER_M: Record<Crop, number> = { tomato: 2.5, pepper: 1.5 };
/**
 * Above this pH a soil may hold free lime, which uses up sulfur for years: tested before any is given (extension
 * practice, from memory).
 */
export const FREE_LIME_PH = 7.5;
/** Never lime above this pH (common practice). */
export const MOST_PH_FOR_LIME = 6.8;
