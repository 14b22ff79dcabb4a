import { type Day, dayOfYear } from '../units/day.js';

// Sun and day length. All equation numbers: FAO Irrigation and Drainage Paper 56 (Allen et al. 1998).

const SOLAR_CONSTANT = 0.082; // MJ m⁻² min⁻¹, text below eq. 21

const radians = (degrees: number): number => (degrees * Math.PI) / 180;

const declination = (J: number): number => 0.409 * Math.sin((2 * Math.PI * J) / 365 - 1.39); // eq. 24

/** Returns the sunset hour angle ωs in radians (eq. 25), clamped to 0…π inside the polar circles. */
function sunsetHourAngle(latitude: number, J: number): number {
  const x = -Math.tan(radians(latitude)) * Math.tan(declination(J));
  return Math.acos(Math.min(1, Math.max(-1, x)));
}

/** Cache by latitude: gardens ask for the same year of radiation again and again. */
const SUNS = new Map<number, Float64Array>();
const MOST_REMEMBERED = 50;

/**
 * Returns extraterrestrial radiation Ra in MJ m⁻² day⁻¹ (eq. 21).
 * @param latitude degrees, south negative
 * @param J day of the year, 1 to 366
 * @example extraterrestrialRadiation(-20, 246) // 32.19
 */
export function extraterrestrialRadiation(latitude: number, J: number): number {
  let suns = SUNS.get(latitude);
  if (!suns) {
    if (SUNS.size >= MOST_REMEMBERED) SUNS.clear();
    SUNS.set(latitude, (suns = new Float64Array(367).fill(NaN)));
  }
  const known = suns[J];
  if (known !== undefined && !Number.isNaN(known)) return known;
  const ra = compute(latitude, J);
  suns[J] = ra;
  return ra;
}

/** Computes it by the equation, without the cache. */
function compute(latitude: number, J: number): number {
  const phi = radians(latitude);
  const delta = declination(J);
  const ws = sunsetHourAngle(latitude, J);
  const dr = 1 + 0.033 * Math.cos((2 * Math.PI * J) / 365); // eq. 23
  const sunPath = ws * Math.sin(phi) * Math.sin(delta) + Math.cos(phi) * Math.cos(delta) * Math.sin(ws);
  return ((24 * 60) / Math.PI) * SOLAR_CONSTANT * dr * sunPath;
}

/**
 * Returns daylight hours N (eq. 34).
 * @example daylightHours(-20, 246) // 11.67
 */
export const daylightHours = (latitude: number, J: number): number => (24 / Math.PI) * sunsetHourAngle(latitude, J);

/**
 * Returns solar radiation Rs in MJ m⁻² day⁻¹ from hours of sunshine, a = 0.25, b = 0.50 (Ångström, eq. 35).
 * @example solarFromSunshine(25.1, 7.1, 10.9) // 14.45
 */
export const solarFromSunshine = (ra: number, sunshineHours: number, daylight: number): number =>
  (0.25 + 0.5 * (sunshineHours / daylight)) * ra;

/**
 * Returns solar radiation from the temperature range (eq. 50); kRs = 0.16 for inland places.
 * @example solarFromTemperature(40.6, 14.8, 26.6) // 22.31
 */
export const solarFromTemperature = (ra: number, tMinC: number, tMaxC: number): number =>
  Math.min(0.16 * Math.sqrt(Math.max(0, tMaxC - tMinC)) * ra, 0.75 * ra);

/**
 * Returns clear-sky solar radiation Rso (eq. 37).
 * @example clearSkySolar(41.1, 100) // 30.91
 */
export const clearSkySolar = (ra: number, elevationM: number): number => (0.75 + 2e-5 * elevationM) * ra;

/**
 * Returns the solar radiation of a day, MJ/m²: measured, or from its temperatures.
 * @example solarOf({ date: '2026-06-21', tMinC: 14, tMaxC: 26, solarMj: null }, 45) // 23.23
 */
export const solarOf = (
  w: { date: Day; tMinC: number; tMaxC: number; solarMj?: number | null },
  latitude: number,
): number =>
  w.solarMj ?? solarFromTemperature(extraterrestrialRadiation(latitude, dayOfYear(w.date)), w.tMinC, w.tMaxC);
