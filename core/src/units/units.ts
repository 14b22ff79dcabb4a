/**
 * The units a gardener may choose. Everything inside is metric; `measures.ts` converts both ways, `formatter.ts`
 * writes it.
 */
export type TemperatureUnit = 'C' | 'F';
/** Unit of volume. */
export type VolumeUnit = 'L' | 'gal-us' | 'gal-imp';
/** Unit of length. */
export type LengthUnit = 'cm' | 'in';
/** Unit of mass. */
export type MassUnit = 'g' | 'oz';
/** Unit of area. */
export type AreaUnit = 'm2' | 'ft2';

/** The units a garden uses. */
export interface Units {
  temperature: TemperatureUnit;
  volume: VolumeUnit;
  length: LengthUnit;
  mass: MassUnit;
  area: AreaUnit;
}

/** Metric units. */
export const METRIC: Units = { temperature: 'C', volume: 'L', length: 'cm', mass: 'g', area: 'm2' };

/** How dates are written: "9 July", "July 9", "2026-07-09". */
export const DATE_FORMS = ['d MMMM', 'MMMM d', 'yyyy-MM-dd'] as const;
/** How dates are written. */
export type DateForm = (typeof DATE_FORMS)[number];
