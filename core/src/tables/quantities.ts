/**
 * Units a column of a file may use, each with its conversion to ours: value × factor + offset. Factors: NIST SP 811
 * (2008), appendix B; the imperial gallon from the UK Weights and Measures Act 1985; the knot from the same SP, table
 * 9.
 */
export const QUANTITIES = {
  /** °C */
  warmth: { C: [1, 0], F: [5 / 9, -160 / 9], K: [1, -273.15], 'C/10': [0.1, 0] },
  /** mm */
  rain: { mm: [1, 0], cm: [10, 0], in: [25.4, 0], 'mm/10': [0.1, 0] },
  /** m/s */
  wind: { 'm/s': [1, 0], 'km/h': [1 / 3.6, 0], mph: [0.44704, 0], kn: [1852 / 3600, 0] },
  /** L */
  water: { L: [1, 0], mL: [0.001, 0], 'gal-us': [3.785411784, 0], 'gal-imp': [4.54609, 0] },
  /** g */
  mass: { g: [1, 0], kg: [1000, 0], oz: [28.349523125, 0], lb: [453.59237, 0] },
  /** kg, of a whole pot */
  load: { kg: [1, 0], g: [0.001, 0], lb: [0.45359237, 0] },
  /** cm */
  depth: { cm: [1, 0], mm: [0.1, 0], in: [2.54, 0], m: [100, 0] },
  /** m */
  length: { m: [1, 0], cm: [0.01, 0], in: [0.0254, 0], ft: [0.3048, 0] },
  /** MJ/m² a day */
  sun: { 'MJ/m2': [1, 0], 'kWh/m2': [3.6, 0], 'W/m2': [0.0864, 0] },
} as const satisfies Record<string, Record<string, readonly [factor: number, offset: number]>>;

/** A quantity with units in imported files. */
export type QuantityName = keyof typeof QUANTITIES;

/** Returns the units of a quantity; ours is the first. */
export const unitsOf = (quantity: QuantityName): string[] => Object.keys(QUANTITIES[quantity]);

/**
 * Converts a value of a file to our unit.
 * @throws RangeError if the unit does not belong to that quantity
 */
export function inOurs(quantity: QuantityName, unit: string, value: number): number {
  const row = (QUANTITIES[quantity] as Record<string, readonly [number, number]>)[unit];
  if (!row) throw new RangeError(`${unit} is not a unit of ${quantity}`);
  // to a billionth: binary fractions leave noise that is not a measurement
  return Number((value * row[0] + row[1]).toFixed(9));
}
