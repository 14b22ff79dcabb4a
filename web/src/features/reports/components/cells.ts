import type { Formatter } from '@candid-leaf/core/units';
import type { Cell } from './report-table';

/** A cell with a weight; a dash for none. */
export const kg = (x: number, f: Formatter): Cell => ({ shown: x === 0 ? '–' : f.kilograms(x), value: x });
/** A cell with an amount for each kilogram; a dash where nothing was picked. */
export const perKg = (x: number | null, write: (n: number) => string): Cell => ({
  shown: x === null ? '–' : write(x),
  value: x,
});
