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

/** Spoons: US ones hold 4.93 and 14.8 mL, metric ones 5 and 15. */
export const SPOON_SETS = ['us', 'metric'] as const;
/** A set of measuring spoons. */
export type SpoonSet = (typeof SPOON_SETS)[number];
/** Steps of a scale, g; 0: there is no scale, powders are measured with spoons. */
export const SCALE_STEPS_G = [0.1, 0.5, 1, 5, 0] as const;

/** A usual kitchen scale, g. */
export const USUAL_SCALE_STEP_G = 0.5;

/** The units a garden uses, and what it measures with. */
export interface Units {
  temperature: TemperatureUnit;
  volume: VolumeUnit;
  length: LengthUnit;
  mass: MassUnit;
  area: AreaUnit;
  /** the smallest step of the scale, g; a kitchen scale with half grams if left out */
  scaleStepG?: number | null;
  /** the spoons at hand; those of the country of the volume unit if left out */
  spoons?: SpoonSet | null;
}

/** Metric units. */
export const METRIC: Units = { temperature: 'C', volume: 'L', length: 'cm', mass: 'g', area: 'm2' };

/** How dates are written: "9 July", "July 9", "2026-07-09". */
export const DATE_FORMS = ['d MMMM', 'MMMM d', 'yyyy-MM-dd'] as const;
/** How dates are written. */
export type DateForm = (typeof DATE_FORMS)[number];
