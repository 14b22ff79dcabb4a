import type { SoilUnit, SoilValue } from '../records/soil-values.js';

/**
 * Converts laboratory units to mg of the element per kg of soil (the same as ppm). kg/ha and lb/acre: the top 15 cm
 * of a hectare taken as 2 000 000 kg and the acre furrow slice as 2 000 000 lb (common practice of soil
 * laboratories), so both halve. meq/100 g: equivalent weights from atomic weights (K 39.10, Ca 20.04, Mg 12.15),
 * times ten. Oxides: P = 0.4364 P₂O₅, K = 0.8301 K₂O, Ca = 0.7147 CaO, Mg = 0.6030 MgO.
 */
export type SoilElement = 'nitrate' | 'phosphorus' | 'potassium' | 'calcium' | 'magnesium';

const EQUIVALENT_G: Partial<Record<SoilElement, number>> = { potassium: 39.098, calcium: 20.039, magnesium: 12.1525 };
const OF_OXIDE: Partial<Record<SoilElement, number>> = {
  phosphorus: 0.4364,
  potassium: 0.8301,
  calcium: 0.7147,
  magnesium: 0.603,
};

/** @returns null if the unit does not fit the element (there are no milliequivalents of phosphorus) */
export function inPpm(element: SoilElement, { amount, unit }: SoilValue): number | null {
  switch (unit) {
    case 'ppm':
    case 'mg/kg':
      return amount;
    case 'kg/ha':
    case 'lb/acre':
      return amount / 2;
    case 'mg/100g':
      return amount * 10;
    case 'meq/100g':
      return times(amount * 10, EQUIVALENT_G[element]);
    case 'mg/100g-oxide':
      return times(amount * 10, OF_OXIDE[element]);
  }
}
const times = (x: number, factor: number | undefined): number | null => (factor === undefined ? null : x * factor);

/** Returns the units that make sense for an element. */
export const unitsOf = (element: SoilElement, all: readonly SoilUnit[]): SoilUnit[] =>
  all.filter((unit) => inPpm(element, { amount: 1, unit }) !== null);
