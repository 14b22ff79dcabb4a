import type { AreaUnit, LengthUnit, MassUnit, TemperatureUnit, Units, VolumeUnit } from './units.js';

/**
 * How a quantity is shown in the gardener's units and read back. Metric in, metric out. Factors: NIST SP 811 (2008),
 * appendix B; the imperial gallon from the UK Weights and Measures Act 1985.
 */
export const LITRES_PER: Record<VolumeUnit, number> = { L: 1, 'gal-us': 3.785411784, 'gal-imp': 4.54609 };
const CM_PER: Record<LengthUnit, number> = { cm: 1, in: 2.54 };
/** Grams of one unit of mass. */
export const GRAMS_PER: Record<MassUnit, number> = { g: 1, oz: 28.349523125 };
/** Square metres of one unit of area. */
export const M2_PER: Record<AreaUnit, number> = { m2: 1, ft2: 0.09290304 };
const MM_PER_INCH = 25.4;
const M_PER_FOOT = 0.3048;
/** Kilograms of one pound. */
export const KG_PER_POUND = 0.45359237;

const SYMBOLS: Record<TemperatureUnit | VolumeUnit | LengthUnit | MassUnit | AreaUnit, string> = {
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

/** One way of showing a quantity. `fromMetric` and `toMetric` are inverse. */
export interface Measure {
  symbol: string;
  fromMetric: (metric: number) => number;
  toMetric: (shown: number) => number;
  /** decimals shown in a field */
  digits: number;
}

const scaled = (symbol: string, metricPerShown: number, digits = 3): Measure => ({
  symbol,
  fromMetric: (x) => x / metricPerShown,
  // 140 cm is kept as 1.4 m, not as 1.4000000000000001
  toMetric: (x) => Number((x * metricPerShown).toPrecision(14)),
  digits,
});

/** Every quantity that is typed or shown; its name or comment gives its metric unit. */
export const MEASURES = {
  litres: (u: Units) => scaled(SYMBOLS[u.volume], LITRES_PER[u.volume]),
  /** for a whole bed or pot */
  litresPerHour: (u: Units) => scaled(`${SYMBOLS[u.volume]} an hour`, LITRES_PER[u.volume]),
  celsius: (u: Units): Measure =>
    u.temperature === 'C'
      ? scaled('°C', 1, 1)
      : { symbol: '°F', fromMetric: (c) => c * 1.8 + 32, toMetric: (f) => (f - 32) / 1.8, digits: 1 },
  centimetres: (u: Units) => scaled(SYMBOLS[u.length], CM_PER[u.length]),
  /** a plant's height, in the smaller unit */
  heightMetres: (u: Units) => scaled(SYMBOLS[u.length], CM_PER[u.length] / 100),
  /** a bed's sides, in the larger unit */
  metres: (u: Units) => (u.length === 'cm' ? scaled('m', 1) : scaled('ft', M_PER_FOOT)),
  /** elevation */
  elevationMetres: (u: Units) => (u.length === 'cm' ? scaled('m', 1, 0) : scaled('ft', M_PER_FOOT, 0)),
  /** rain follows the length unit: millimetres with centimetres, inches with inches */
  rainMillimetres: (u: Units) => (u.length === 'cm' ? scaled('mm', 1) : scaled('in', MM_PER_INCH)),
  millimetresPerHour: (u: Units) => (u.length === 'cm' ? scaled('mm an hour', 1) : scaled('in an hour', MM_PER_INCH)),
  /** a depth of mulch, kept in mm */
  depthMillimetres: (u: Units) => scaled(SYMBOLS[u.length], CM_PER[u.length] * 10),
  grams: (u: Units) => scaled(SYMBOLS[u.mass], GRAMS_PER[u.mass]),
  kilograms: (u: Units) => (u.mass === 'g' ? scaled('kg', 1) : scaled('lb', KG_PER_POUND)),
  squareMetres: (u: Units) => scaled(SYMBOLS[u.area], M2_PER[u.area]),
  /** grams or millilitres in water, and on ground */
  dosePerLitre: (u: Units) => scaled('', 1 / LITRES_PER[u.volume]),
  dosePerM2: (u: Units) => scaled('', 1 / M2_PER[u.area]),
  /** metres per second */
  windSpeed: (u: Units) => (u.length === 'cm' ? scaled('m/s', 1, 1) : scaled('mph', 0.44704, 1)),
  percent: () => scaled('%', 1),
  minutes: () => scaled('minutes', 1),
  seconds: () => scaled('seconds', 1),
  degrees: () => scaled('°', 1, 4),
  /** a count or a number of days: no unit */
  count: () => scaled('', 1),
} satisfies Record<string, (u: Units) => Measure>;
/** A quantity that can be shown and entered in several units. */
export type Quantity = keyof typeof MEASURES;
/** Returns unit, factor and digits of a quantity in these units. */
export const measureOf = (quantity: Quantity, units: Units): Measure => MEASURES[quantity](units);

/**
 * Parses a typed number with a decimal comma or point.
 * @returns null for empty text; NaN for what is not a number (also "1,000.5", which may mean two things)
 * @example parseDecimal('1,5') // 1.5
 */
export function parseDecimal(text: string): number | null {
  const t = text.trim();
  if (t === '') return null;
  return /^[+-]?(\d+([.,]\d*)?|[.,]\d+)$/.test(t) ? Number(t.replace(',', '.')) : NaN;
}
