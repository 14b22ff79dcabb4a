/**
 * Everything inside is metric; these turn it into what a gardener reads and back.
 * Factors: NIST SP 811 (2008), appendix B; the imperial gallon from the UK Weights and Measures Act 1985.
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

export const LITRES_PER: Record<VolumeUnit, number> = { L: 1, 'gal-us': 3.785411784, 'gal-imp': 4.54609 };
export const CM_PER: Record<LengthUnit, number> = { cm: 1, in: 2.54 };
export const GRAMS_PER: Record<MassUnit, number> = { g: 1, oz: 28.349523125 };
export const M2_PER: Record<AreaUnit, number> = { m2: 1, ft2: 0.09290304 };

export const toTemperature = (celsius: number, unit: TemperatureUnit): number =>
  unit === 'C' ? celsius : celsius * 1.8 + 32;
export const fromTemperature = (value: number, unit: TemperatureUnit): number =>
  unit === 'C' ? value : (value - 32) / 1.8;

const SYMBOL: Record<TemperatureUnit | VolumeUnit | LengthUnit | MassUnit | AreaUnit, string> = {
  C: '°C',
  F: '°F',
  L: 'L',
  'gal-us': 'US gal',
  'gal-imp': 'imp gal',
  cm: 'cm',
  in: 'in',
  g: 'g',
  oz: 'oz',
  m2: 'm²',
  ft2: 'ft²',
};
export const symbolOf = (unit: keyof typeof SYMBOL): string => SYMBOL[unit];

const NBSP = '\u00a0';
const trimmed = (value: number, digits: number): string => String(Number(value.toFixed(digits)));

/** Round as a gardener would: 0.35, 2.2, 14. */
const sensible = (value: number): string => trimmed(value, Math.abs(value) < 1 ? 2 : Math.abs(value) < 10 ? 1 : 0);

export const showTemperature = (celsius: number, u: Units): string =>
  `${Math.round(toTemperature(celsius, u.temperature))}${NBSP}${SYMBOL[u.temperature]}`;
export const showLitres = (litres: number, u: Units): string =>
  `${sensible(litres / LITRES_PER[u.volume])}${NBSP}${SYMBOL[u.volume]}`;
export const showCm = (cm: number, u: Units): string => `${sensible(cm / CM_PER[u.length])}${NBSP}${SYMBOL[u.length]}`;
export const showGrams = (grams: number, u: Units): string =>
  `${sensible(grams / GRAMS_PER[u.mass])}${NBSP}${SYMBOL[u.mass]}`;
export const showM2 = (m2: number, u: Units): string => `${sensible(m2 / M2_PER[u.area])}${NBSP}${SYMBOL[u.area]}`;
/** Rain goes with the length unit: millimetres beside centimetres, inches beside inches. */
export const showRain = (mm: number, u: Units): string =>
  u.length === 'cm' ? `${sensible(mm)}${NBSP}mm` : `${trimmed(mm / 25.4, 2)}${NBSP}in`;
