import { saturationVapourPressure } from '../climate/reference-evapotranspiration.js';
import type { Texture } from '../records/place.js';
import { isSheet, type WaterMethod } from '../records/choices.js';
import type { MulchSpell } from '../records/facts.js';
import { lyingMm } from '../records/mulch.js';
import { spellOn } from '../records/spells.js';
import { type Day, dayNumber } from '../units/day.js';
import { SOILS } from './soils.js';

// Evaporation from the soil surface in addition to the plant's own use: the dual crop coefficient of FAO-56 ch. 7.

/** Ze: depth of the layer that dries by evaporation, m (FAO-56: 0.10 to 0.15). */
const ZE_M = 0.1;
/** Kcmin: Kc of dry bare soil (FAO-56: 0.15 to 0.20). */
const KC_MIN = 0.15;

/**
 * TEW: total evaporable water of the top layer, mm (eq. 73).
 * @example totalEvaporableMm('loam') // 19
 */
export const totalEvaporableMm = (texture: Texture): number =>
  1000 * (SOILS[texture].fieldCapacity - 0.5 * SOILS[texture].wiltingPoint) * ZE_M;

/**
 * RHmin: lowest relative humidity of a day, percent: from the mean if measured, else from the temperature range (eq.
 * 64).
 * @example leastHumidityPct(15, 28) // 45.12
 */
export function leastHumidityPct(tMinC: number, tMaxC: number, meanPct?: number | null): number {
  const atWarmest = saturationVapourPressure(tMaxC);
  const vapour =
    meanPct != null
      ? ((meanPct / 100) * (saturationVapourPressure(tMinC) + atWarmest)) / 2
      : saturationVapourPressure(tMinC);
  return Math.min(80, Math.max(20, (100 * vapour) / atWarmest));
}

/**
 * What wind and dry air add to a coefficient (the bracket of eq. 62, 70 and 72).
 * @example climateTerm(3, 30, 1) // 0.07192
 */
export const climateTerm = (windMs: number, leastRhPct: number, heightM: number): number =>
  (0.04 * (Math.min(6, Math.max(1, windMs)) - 2) - 0.004 * (Math.min(80, Math.max(20, leastRhPct)) - 45)) *
  (Math.max(0.05, heightM) / 3) ** 0.3;

/** Kcmax: upper limit of Kc from energy (eq. 72). */
export const mostKc = (kcb: number, climate: number): number => Math.max(1.2 + climate, kcb + 0.05);

/**
 * fc: share of the ground that leaves cover, 0 to 0.99 (eq. 76).
 * @example coverShare(0.7, 1.2, 0.5) // 0.4456
 */
export const coverShare = (kcb: number, kcMax: number, heightM: number): number =>
  Math.min(0.99, (Math.max(0.01, kcb - KC_MIN) / Math.max(0.01, kcMax - KC_MIN)) ** (1 + 0.5 * heightM));

/** fw: share of the surface that a watering method wets (FAO-56 Table 20; bottle, bottom and can: judgement). */
export const WETTED_SHARE: Record<WaterMethod, number> = {
  overhead: 1,
  base: 0.5,
  soaker: 0.5,
  drip: 0.35,
  'buried-bottle': 0.1,
  bottom: 0.1,
};

/**
 * Evaporation through a sheet. Closed plastic leaves 20 to 50 % of it (FAO-56 ch. 10, from memory); woven fabric and
 * paper breathe, so the upper end (judgement).
 */
const THROUGH_SHEET = 0.45;

/**
 * Returns the share of evaporation that passes through mulch: half under 50 mm and more of organic mulch (FAO-56 ch. 10,
 * about), less under a sheet of fabric or paper, however thin.
 * @example throughMulch({ depthMm: 50, kind: 'straw' }) // 0.5
 */
export function throughMulch(mulch: { depthMm: number; kind?: string | null } | undefined): number {
  if (!mulch || mulch.depthMm <= 0) return 1;
  const organic = 1 - 0.5 * Math.min(1, mulch.depthMm / 50);
  return isSheet(mulch.kind) ? Math.min(THROUGH_SHEET, organic) : organic;
}

/**
 * Returns the same for a day, with what has settled of the mulch by then. What all days of a spell share is computed once.
 * @example throughMulchOn([{ from: '2026-05-01', kind: 'clippings', depthMm: 50 }])('2026-06-10', 20614) // 0.75
 */
export function throughMulchOn(spells: readonly MulchSpell[] | undefined): (day: Day, dayNo: number) => number {
  let known: { spell: MulchSpell; from: number } | null = null;
  return (day, dayNo) => {
    const spell = spellOn(spells, day);
    if (!spell) return 1;
    if (known?.spell !== spell) known = { spell, from: dayNumber(spell.from) };
    return throughMulch({ kind: spell.kind, depthMm: lyingMm(spell, dayNo - known.from) });
  };
}

/** The drying top layer. `depletionMm` is De over the wet, bare part. */
interface TopLayer {
  texture: Texture;
  depletionMm: number;
}

/**
 * Returns a day's evaporation from the exposed and wetted share (few), mm over that share. Full up to REW, then
 * falling with what is left (eq. 74), followed through the day so it never takes more than there is. @param
 * potentialMm evaporation of a wet surface over that share
 */
export function evaporated(layer: TopLayer, potentialMm: number): number {
  if (potentialMm <= 0) return 0;
  const tew = totalEvaporableMm(layer.texture);
  const rew = Math.min(SOILS[layer.texture].rewMm, 0.9 * tew);
  const easy = Math.min(1, Math.max(0, (rew - layer.depletionMm) / potentialMm));
  const left = Math.max(0, tew - (layer.depletionMm + easy * potentialMm));
  return easy * potentialMm + left * (1 - Math.exp((-potentialMm * (1 - easy)) / (tew - rew)));
}
