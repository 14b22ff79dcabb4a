/**
 * Rounds to a number of decimals.
 * @example roundTo(1.2345, 2) // 1.23
 */
export const roundTo = (x: number, digits: number): number => {
  const scale = SCALES[digits] ?? 10 ** digits;
  return Math.round(x * scale) / scale;
};
const SCALES = [1, 10, 100, 1000, 10_000] as const;

/**
 * Rounds to a tenth: decilitres, tenths of a degree.
 * @example toTenth(1.26) // 1.3
 */
export const toTenth = (x: number): number => Math.round(x * 10) / 10;

/**
 * Rounds litres to what can be poured: decilitres, below a litre centilitres.
 * @example toPourable(12.34) // 12.3
 */
export const toPourable = (litres: number): number => roundTo(litres, litres < 1 ? 2 : 1);
