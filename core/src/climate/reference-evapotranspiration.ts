import { clearSkySolar, extraterrestrialRadiation, solarFromTemperature } from './radiation.js';

// Reference evapotranspiration ETo. Equation numbers: FAO-56 (Allen et al. 1998).

/**
 * Returns saturation vapour pressure e°(T) in kPa (eq. 11).
 * @example saturationVapourPressure(24.5) // 3.075
 */
export const saturationVapourPressure = (tC: number): number => 0.6108 * Math.exp((17.27 * tC) / (tC + 237.3));

/**
 * Returns the slope of the saturation vapour pressure curve Δ in kPa °C⁻¹ (eq. 13).
 * @example slopeOfSaturation(16.9) // 0.1221
 */
export const slopeOfSaturation = (tC: number): number => (4098 * saturationVapourPressure(tC)) / (tC + 237.3) ** 2;

/**
 * Returns the psychrometric constant γ in kPa °C⁻¹ at an elevation (eq. 7 and 8).
 * @example psychrometric(1800) // 0.05437
 */
export const psychrometric = (elevationM: number): number =>
  0.665e-3 * 101.3 * ((293 - 0.0065 * elevationM) / 293) ** 5.26;

/**
 * Returns wind at 2 m from wind measured at height z (eq. 47).
 * @example windAt2m(3.2, 10) // 2.393
 */
export const windAt2m = (windMs: number, heightM: number): number => (windMs * 4.87) / Math.log(67.8 * heightM - 5.42);

/** Returns net radiation Rn in MJ m⁻² day⁻¹ (eq. 38 to 40), albedo 0.23. */
export function netRadiation(rs: number, rso: number, ea: number, tMinC: number, tMaxC: number): number {
  const sigma = 4.903e-9;
  const meanT4 = ((tMaxC + 273.16) ** 4 + (tMinC + 273.16) ** 4) / 2;
  const cloud = 1.35 * Math.min(1, rso > 0 ? rs / rso : 1) - 0.35;
  return 0.77 * rs - sigma * meanT4 * (0.34 - 0.14 * Math.sqrt(ea)) * cloud;
}

interface PenmanMonteithInput {
  tMinC: number;
  tMaxC: number;
  /** actual vapour pressure, kPa */
  ea: number;
  /** wind at 2 m, m/s */
  u2: number;
  /** solar radiation, MJ m⁻² day⁻¹ */
  rs: number;
  /** extraterrestrial radiation, MJ m⁻² day⁻¹ */
  ra: number;
  elevationM: number;
  /** soil heat flux, MJ m⁻² day⁻¹; 0 for a single day (eq. 42) */
  g?: number;
}

/** Returns ETo in mm/day by FAO Penman–Monteith (eq. 6). */
export function penmanMonteith(x: PenmanMonteithInput): number {
  const t = (x.tMinC + x.tMaxC) / 2;
  const es = (saturationVapourPressure(x.tMinC) + saturationVapourPressure(x.tMaxC)) / 2; // eq. 12
  const delta = slopeOfSaturation(t);
  const gamma = psychrometric(x.elevationM);
  const rn = netRadiation(x.rs, clearSkySolar(x.ra, x.elevationM), x.ea, x.tMinC, x.tMaxC);
  const top = 0.408 * delta * (rn - (x.g ?? 0)) + gamma * (900 / (t + 273)) * x.u2 * (es - x.ea);
  return Math.max(0, top / (delta + gamma * (1 + 0.34 * x.u2)));
}

/**
 * Returns ETo in mm/day from temperatures alone (Hargreaves, eq. 52); 0.408 turns Ra into mm/day (eq. 20).
 * @example hargreaves(14.8, 26.6, 40.6) // 5.039
 */
export const hargreaves = (tMinC: number, tMaxC: number, ra: number): number =>
  Math.max(0, 0.0023 * ((tMinC + tMaxC) / 2 + 17.8) * Math.sqrt(Math.max(0, tMaxC - tMinC)) * 0.408 * ra);

/** Equation used for reference evapotranspiration. */
export type EtoMethod = 'penman-monteith' | 'penman-monteith-estimated' | 'hargreaves';

/**
 * Weather needed for reference evapotranspiration: °C, %, m/s, MJ/m² a day. Radiation, humidity and wind may be
 * missing.
 */
export interface DayWeather {
  tMinC: number;
  tMaxC: number;
  rhMeanPct?: number | null;
  windMs?: number | null;
  solarMj?: number | null;
}

/**
 * Returns ETo of one day in mm/day, with the method used. All of humidity, wind and sun: Penman–Monteith. At least
 * one of them: the same with the paper's estimates for the missing (dew point = tMin eq. 48, wind 2 m/s, Rs eq. 50).
 * Temperatures alone: Hargreaves. Humidity as a daily mean: eq. 19.
 */
export function referenceEvapotranspiration(
  w: DayWeather,
  latitude: number,
  elevationM: number,
  dayOfYear: number,
): { etoMm: number; method: EtoMethod } {
  const ra = extraterrestrialRadiation(latitude, dayOfYear);
  const known = [w.rhMeanPct, w.windMs, w.solarMj].filter((v) => v != null).length;
  if (known === 0) return { etoMm: hargreaves(w.tMinC, w.tMaxC, ra), method: 'hargreaves' };
  const es = (saturationVapourPressure(w.tMinC) + saturationVapourPressure(w.tMaxC)) / 2;
  const ea = w.rhMeanPct != null ? (w.rhMeanPct / 100) * es : saturationVapourPressure(w.tMinC);
  const rs = w.solarMj ?? solarFromTemperature(ra, w.tMinC, w.tMaxC);
  const etoMm = penmanMonteith({ tMinC: w.tMinC, tMaxC: w.tMaxC, ea, u2: w.windMs ?? 2, rs, ra, elevationM });
  return { etoMm, method: known === 3 ? 'penman-monteith' : 'penman-monteith-estimated' };
}
