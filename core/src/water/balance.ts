import type { CaseFile, PlaceFacts, PlantFacts } from '../casefile/case-file.js';
import { fillGaps, type WeatherDay } from '../climate/gaps.js';
import { referenceEvapotranspiration, type EtoMethod } from '../climate/reference-evapotranspiration.js';
import { addDays, dayOfYear, daysBetween, type Day } from '../day.js';
import { isCovered } from '../plant.js';
import { corrected, FEEL, fractionFromWeight, grown, type Estimate } from './corrections.js';
import { coveredM2, cropCoefficient, heightOnDay, stageClock, usualHeightM, WATER_CROPS } from './crops.js';
import { stepDay } from './day-step.js';
import { depletionFraction, rootZoneOn, type RootZone } from './root-zone.js';
import { SOILS } from './soils.js';

/** One day of one plant's root zone. Millimetres are over the plant's own soil; litres are per plant. */
export interface BalanceDay {
  date: Day;
  etoMm: number;
  kc: number;
  /** Kc ETo over the ground the plant covers, mm */
  etcMm: number;
  effectiveRainMm: number;
  interceptedMm: number;
  runoffMm: number;
  irrigationMm: number;
  irrigationL: number;
  /** what the plant would use with water to spare, litres */
  demandL: number;
  usedMm: number;
  usedL: number;
  /** root-zone depletion Dr at the day's end, mm; below 0 is water above field capacity */
  depletionMm: number;
  /** 1 at field capacity or above, 0 at wilting point */
  fractionAvailable: number;
  /** standard error of that fraction */
  uncertainty: number;
  ks: number;
  drainedMm: number;
  drainedL: number;
  /** what a soil check or a pot weight moved the depletion by, mm */
  correctionMm: number;
  /** water stood above field capacity at the day's end */
  waterlogged: boolean;
  /** the day's weather was missing and was filled in */
  filled: boolean;
  tawMm: number;
  rawMm: number;
  soilM2: number;
}

export interface Balance {
  days: BalanceDay[];
  etoMethod: EtoMethod | null;
}

/** Longest look back when nobody said when the plant was planted out. */
const UNKNOWN_START_DAYS = 60;
/** The root zone is full after planting in; where the records begin later nobody knows. */
const START_PLANTED: Estimate = { fraction: 1, sd: 0.05 };
const START_UNKNOWN: Estimate = { fraction: 0.7, sd: 0.3 };

/** Days since planting out, or a guess from the stage where no day was recorded. */
function daysInGround(plant: PlantFacts, asOf: Day): number {
  if (plant.transplantedOn) return Math.max(0, daysBetween(plant.transplantedOn, asOf));
  return plant.stage === 'seedling' || plant.stage === 'establishing' ? 10 : 60;
}

/** A spell of mulch or shade that holds on a day, if any. */
export const spellOn = <T extends { from: Day; to?: Day | null }>(
  spells: readonly T[] | undefined,
  day: Day,
): T | undefined => spells?.find((s) => s.from <= day && (s.to == null || day <= s.to));

/** ETo as it reaches the plant: shade cloth and a tunnel take their part (judgement). */
function etoAtPlant(place: PlaceFacts, day: Day, openMm: number): number {
  const shade = spellOn(place.shade, day);
  return openMm * (shade ? 1 - (shade.blockPct / 100) * 0.8 : 1) * (isCovered(place.kind) ? 0.8 : 1);
}

/** Under organic mulch the single coefficient gives up the soil's share of evaporation (FAO-56 ch. 10: about half). */
function mulchFactor(place: PlaceFacts, day: Day, kc: number): number {
  const depth = spellOn(place.mulch, day)?.depthMm ?? 0;
  const soilShare = Math.max(0.05, 0.35 - 0.27 * (kc - 0.6)); // evaporation falls as leaves close over (judgement)
  return 1 - soilShare * 0.5 * Math.min(1, depth / 50);
}

interface Demand {
  kc: number;
  etcMm: number;
  /** over the plant's soil, mm */
  demandMm: number;
  zone: RootZone;
}

/** What the plant would use on a day with water to spare, and from which store. */
export function demandOn(
  c: Pick<CaseFile, 'place' | 'plant' | 'asOf'>,
  day: Day,
  etoMm: number,
): Demand & { seasonDay: number } {
  const { plant, place } = c;
  const today = daysInGround(plant, c.asOf);
  const clock = plant.stage ? stageClock(plant.crop, plant.stage, today) : 1;
  const since = today - daysBetween(day, c.asOf);
  const seasonDay = Math.max(0, since * clock);
  const heightToday = plant.heightM ?? usualHeightM(plant.crop, today * clock);
  const height = heightOnDay(heightToday, since, today);
  const zone = rootZoneOn(place, plant.crop, seasonDay, plant.spacingM);
  const kcOpen = cropCoefficient(plant.crop, seasonDay, height);
  const kc = kcOpen * mulchFactor(place, day, kcOpen);
  const etcMm = kc * etoMm;
  const litres =
    place.kind === 'container'
      ? etcMm * coveredM2(plant.crop, height) * zone.wallLoss
      : // a bed's Kc already speaks for all of its ground; only ground far wider than the plant is left out
        etcMm * Math.min(zone.soilM2, 1.3 * WATER_CROPS[plant.crop].fullCoverM2);
  return { kc, etcMm, demandMm: litres / zone.soilM2, zone, seasonDay };
}

/** Rain that leaves catch and that runs off, mm. */
function rainLosses(place: PlaceFacts, rainMm: number, etoMm: number): { interceptedMm: number; runoffMm: number } {
  const threshold = Math.min(2, Math.max(0.2 * etoMm, 0.5));
  const interceptedMm = Math.min(rainMm, threshold);
  return { interceptedMm, runoffMm: Math.max(0, rainMm - interceptedMm - SOILS[place.texture].soaksInMm) };
}

function measurementOn(c: CaseFile, day: Day): Estimate | null {
  const { potWeights, soilChecks } = c.records;
  const known = potWeights.filter((w) => w.date <= day);
  const anchors = {
    dryKg: known.findLast((w) => w.state === 'dry')?.kg,
    drainedKg: known.findLast((w) => w.state === 'drained')?.kg,
  };
  const weighed = potWeights.findLast((w) => w.date === day);
  if (weighed?.state === 'drained') return { fraction: 1, sd: 0.05 };
  if (weighed?.state === 'dry') return { fraction: 0.1, sd: 0.05 };
  if (weighed) {
    const estimate = fractionFromWeight(weighed.kg, anchors);
    if (estimate) return estimate;
  }
  const felt = soilChecks.findLast((s) => s.date === day);
  return felt ? FEEL[felt.feel] : null;
}

/**
 * The water balance of one plant's root zone from its records, day by day up to `asOf`; then, where `forecast`
 * is given, onward through it without any watering.
 * Empty when there is no weather at all: a balance is never made from nothing.
 */
export function waterBalance(c: CaseFile, forecast: readonly WeatherDay[] = []): Balance {
  const { records, plant, place, garden } = c;
  const first = records.weather[0]?.date;
  if (!first || first > c.asOf) return { days: [], etoMethod: null };
  const planted = plant.transplantedOn;
  const start = planted ? (planted > first ? planted : first) : maxDay(first, addDays(c.asOf, -UNKNOWN_START_DAYS));
  const ahead = forecast.filter((f) => f.date > c.asOf);
  const end = ahead.at(-1)?.date ?? c.asOf;
  const weather = fillGaps([...records.weather, ...ahead], start, end);
  const litresOn = new Map<Day, number>();
  for (const w of records.watering) litresOn.set(w.date, (litresOn.get(w.date) ?? 0) + w.litres);

  let { fraction, sd } = start === planted ? START_PLANTED : START_UNKNOWN;
  let depletionMm: number | null = null;
  let etoMethod: EtoMethod | null = null;
  const days: BalanceDay[] = [];
  for (const w of weather) {
    const open = referenceEvapotranspiration(w, garden.latitude, garden.elevationM, dayOfYear(w.date));
    etoMethod = w.filled ? (etoMethod ?? open.method) : open.method;
    const etoMm = etoAtPlant(place, w.date, open.etoMm);
    const { kc, etcMm, demandMm, zone } = demandOn(c, w.date, etoMm);
    depletionMm ??= (1 - fraction) * zone.tawMm;
    const litres = litresOn.get(w.date) ?? 0;
    const rainMm = isCovered(place.kind) ? 0 : w.rainMm;
    const losses = rainLosses(place, rainMm, etoMm);
    const irrigationMm = litres / zone.soilM2;
    const step = stepDay(depletionMm, zone, plant.crop, { rainMm, irrigationMm, demandMm, etcMm, ...losses });
    let after = step.depletionMm;
    sd = step.drainedMm > 0 ? Math.min(grown(sd), 0.08) : grown(sd);
    let correctionMm = 0;
    const seen = w.date <= c.asOf ? measurementOn(c, w.date) : null;
    if (seen) {
      const better = corrected({ fraction: 1 - after / zone.tawMm, sd }, seen);
      const moved = (1 - better.fraction) * zone.tawMm;
      correctionMm = moved - after;
      after = moved;
      sd = better.sd;
    }
    depletionMm = after;
    fraction = Math.min(1, Math.max(0, 1 - after / zone.tawMm));
    days.push({
      date: w.date,
      etoMm,
      kc,
      etcMm,
      effectiveRainMm: rainMm - losses.interceptedMm - losses.runoffMm,
      ...losses,
      irrigationMm,
      irrigationL: litres,
      demandL: demandMm * zone.soilM2,
      usedMm: step.usedMm,
      usedL: step.usedMm * zone.soilM2,
      depletionMm: after,
      fractionAvailable: fraction,
      uncertainty: sd,
      ks: step.ks,
      drainedMm: step.drainedMm,
      drainedL: step.drainedMm * zone.soilM2,
      correctionMm,
      waterlogged: after < -0.1 * zone.tawMm,
      filled: w.filled ?? false,
      tawMm: zone.tawMm,
      rawMm: depletionFraction(plant.crop, etcMm) * zone.tawMm,
      soilM2: zone.soilM2,
    });
  }
  return { days, etoMethod };
}

const maxDay = (a: Day, b: Day): Day => (a > b ? a : b);
