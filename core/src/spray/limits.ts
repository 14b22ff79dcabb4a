import { TOO_HOT_FOR_CARE_C } from '../climate/limits.js';
import type { Spraying } from '../records/record-classes.js';

/** What burns leaves when it is sprayed in the heat, and from which warmth on (handbook, judgement). */
const BURNING: ReadonlySet<Spraying['product']> = new Set(['neem', 'soap', 'bicarbonate', 'copper', 'sulfur', 'other']);
export const BURNS_FROM_C = TOO_HOT_FOR_CARE_C;
export const burnsInHeat = (product: Spraying['product']): boolean => BURNING.has(product);
