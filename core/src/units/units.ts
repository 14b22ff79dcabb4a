/**
 * The units a gardener may choose. Everything inside is metric; `measures.ts` converts both ways, `formatter.ts`
 * writes it.
 */
export type TemperatureUnit = 'C' | 'F';
export type VolumeUnit = 'L' | 'gal-us' | 'gal-imp';
export type LengthUnit = 'cm' | 'in';
export type MassUnit = 'g' | 'oz';
export type AreaUnit = 'm2' | 'ft2';

export interface Units {
  temperature: TemperatureUnit;
  volume: VolumeUnit;
  length: LengthUnit;
  mass: MassUnit;
  area: AreaUnit;
}

export const METRIC: Units = { temperature: 'C', volume: 'L', length: 'cm', mass: 'g', area: 'm2' };

/** How dates are written: "9 July", "July 9", "2026-07-09". */
export const DATE_FORMS = ['d MMMM', 'MMMM d', 'yyyy-MM-dd'] as const;
export type DateForm = (typeof DATE_FORMS)[number];
