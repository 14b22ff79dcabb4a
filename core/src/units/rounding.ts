/** Rounded to so many decimals. */
export const roundTo = (x: number, digits: number): number => Math.round(x * 10 ** digits) / 10 ** digits;

/** To the tenth: decilitres, tenths of a degree. */
export const toTenth = (x: number): number => Math.round(x * 10) / 10;

/** Litres that one can pour: to the decilitre, under a litre to the centilitre. */
export const toPourable = (litres: number): number => roundTo(litres, litres < 1 ? 2 : 1);
