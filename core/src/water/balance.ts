import type { CaseFile, PlaceFacts, PlantFacts } from '../casefile/case-file.js';
import { fillGaps, type WeatherDay } from '../climate/gaps.js';
import { referenceEvapotranspiration, type EtoMethod } from '../climate/reference-evapotranspiration.js';
import { addDays, dayNumber, dayOfYear, daysBetween, type Day } from '../day.js';
import { isCovered } from '../plant.js';
import { corrected, FEEL, fractionFromWeight, grown, type Estimate } from './corrections.js';
import { basalCoefficient, coveredM2, heightOnDay, stageClock, usualHeightM, WATER_CROPS } from './crops.js';
import { stepDay } from './day-step.js';
import {
  climateTerm,
  coverShare,
  evaporated,
  leastHumidityPct,
  mostKc,
  throughMulch,
  WETTED_SHARE,
} from './evaporation.js';
import { depletionFraction, rootZoneOn, type RootZone } from './root-zone.js';
import { SOILS } from './soils.js';

/** One day of one plant's root zone. Millimetres are over the plant's own soil; litres are per plant. */
export interface BalanceDay {
  date: Day;
  etoMm: number;
  /** Kcb + Ke */
  kc: number;
  /** what the leaves use of ETo, and what the bare soil does (FAO-56 eq. 69) */
  kcb: number;
  ke: number;
  /** (Kcb + Ke) ETo, mm */
  etcMm: number;
  effectiveRainMm: number;
  interceptedMm: number;
  runoffMm: number;
  irrigationMm: number;
  irrigationL: number;
  /** what the plant would use with water to spare, litres */
  demandL: number;
  /** transpired and evaporated */
  usedMm: number;
  evaporatedMm: number;
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

interface Demand {
  kcb: number;
  /** Kcb ETo over the plant's soil, what it would transpire with water to spare, mm */
  demandMm: number;
  /** what a wet bare surface would lose, mm over the exposed share of the soil */
  surfaceMm: number;
  /** share of the ground that leaves do not cover */
  bareShare: number;
  zone: RootZone;
  seasonDay: number;
}

type DemandWeather = Pick<WeatherDay, 'date' | 'tMinC' | 'tMaxC' | 'windMs' | 'rhMeanPct'>;

/** Where a plant stands in its season, worked out once for a run. */
export interface SeasonClock {
  /** days since planting out, on the day of the question */
  today: number;
  asOf: number;
  /** season days per calendar day, by the stage that was recorded */
  pace: number;
  heightTodayM: number;
}

export function seasonClock({ plant, asOf }: Pick<CaseFile, 'plant' | 'asOf'>): SeasonClock {
  const today = daysInGround(plant, asOf);
  const pace = plant.stage ? stageClock(plant.crop, plant.stage, today) : 1;
  return {
    today,
    asOf: dayNumber(asOf),
    pace,
    heightTodayM: plant.heightM ?? usualHeightM(plant.crop, today * pace),
  };
}

/** What the plant and the bare soil beside it would use on a day with water to spare, and from which store. */
export function demandOn(
  { place, plant }: Pick<CaseFile, 'place' | 'plant'>,
  clock: SeasonClock,
  w: DemandWeather,
  etoMm: number,
): Demand {
  const since = clock.today - (clock.asOf - dayNumber(w.date));
  const seasonDay = Math.max(0, since * clock.pace);
  const height = heightOnDay(clock.heightTodayM, since, clock.today);
  const zone = rootZoneOn(place, plant.crop, seasonDay, plant.spacingM);
  // without a wind gauge the standard climate of the tables stands: 2 m/s and 45 %
  const climate = w.windMs == null ? 0 : climateTerm(w.windMs, leastHumidityPct(w.tMinC, w.tMaxC, w.rhMeanPct), height);
  const plain = basalCoefficient(plant.crop, seasonDay, height);
  const kcb = plain >= 0.45 ? plain + climate : plain; // eq. 70 is for the grown crop
  const kcMax = mostKc(kcb, climate);
  const bareShare = 1 - coverShare(kcb, kcMax, height);
  const litres =
    place.kind === 'container'
      ? kcb * etoMm * coveredM2(plant.crop, height) * zone.wallLoss
      : // a bed's Kcb already speaks for all of its ground; only ground far wider than the plant is left out
        kcb * etoMm * Math.min(zone.soilM2, 1.3 * WATER_CROPS[plant.crop].fullCoverM2);
  const mulch = throughMulch(spellOn(place.mulch, w.date)?.depthMm ?? 0);
  const surfaceMm = Math.min((kcMax - kcb) / bareShare, kcMax) * etoMm * mulch; // eq. 71
  return { kcb, demandMm: litres / zone.soilM2, surfaceMm, bareShare, zone, seasonDay };
}

/** Rain that leaves catch and that runs off, mm. */
function rainLosses(place: PlaceFacts, rainMm: number, etoMm: number): { interceptedMm: number; runoffMm: number } {
  const threshold = Math.min(2, Math.max(0.2 * etoMm, 0.5));
  const interceptedMm = Math.min(rainMm, threshold);
  return { interceptedMm, runoffMm: Math.max(0, rainMm - interceptedMm - SOILS[place.texture].soaksInMm) };
}

function measurementOn(c: CaseFile, day: Day): Estimate | null {
  const { potWeights, soilChecks } = c.records;
  if (potWeights.length === 0 && soilChecks.length === 0) return null;
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
  const givenOn = wateringByDay(records.watering);
  const surface = { depletionMm: 0, wetShare: 1 };
  const clock = seasonClock(c);

  let { fraction, sd } = start === planted ? START_PLANTED : START_UNKNOWN;
  let depletionMm: number | null = null;
  let etoMethod: EtoMethod | null = null;
  const days: BalanceDay[] = [];
  for (const w of weather) {
    const open = referenceEvapotranspiration(w, garden.latitude, garden.elevationM, dayOfYear(w.date));
    etoMethod = w.filled ? (etoMethod ?? open.method) : open.method;
    const etoMm = etoAtPlant(place, w.date, open.etoMm);
    const { kcb, demandMm, surfaceMm, bareShare, zone } = demandOn(c, clock, w, etoMm);
    depletionMm ??= (1 - fraction) * zone.tawMm;
    const { litres, wets } = givenOn.get(w.date) ?? NOTHING_GIVEN;
    const rainMm = isCovered(place.kind) ? 0 : w.rainMm;
    const losses = rainLosses(place, rainMm, etoMm);
    const irrigationMm = litres / zone.soilM2;
    const soakedMm = rainMm - losses.interceptedMm - losses.runoffMm;
    // the surface is as the last wetting left it; the part that leaves shade or no drop reached does not evaporate
    if (soakedMm > 0) surface.wetShare = 1;
    else if (litres > 0) surface.wetShare = wets;
    const exposed = Math.min(bareShare, surface.wetShare);
    surface.depletionMm = Math.max(0, surface.depletionMm - soakedMm - irrigationMm / Math.max(wets, exposed));
    const layerMm = evaporated({ texture: place.texture, depletionMm: surface.depletionMm }, surfaceMm);
    surface.depletionMm += layerMm;
    const evaporationMm = exposed * layerMm * zone.wallLoss;
    const ke = etoMm > 0 ? evaporationMm / etoMm : 0;
    const etcMm = (kcb + ke) * etoMm;
    const flows = { rainMm, irrigationMm, demandMm, evaporationMm, etcMm, ...losses };
    const step = stepDay(depletionMm, zone, plant.crop, flows);
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
    // the top is a part of the whole: where that is full, so is the top
    surface.depletionMm = Math.min(surface.depletionMm, Math.max(0, after) / Math.max(0.05, exposed));
    fraction = Math.min(1, Math.max(0, 1 - after / zone.tawMm));
    days.push({
      date: w.date,
      etoMm,
      kc: kcb + ke,
      kcb,
      ke,
      etcMm,
      effectiveRainMm: soakedMm,
      ...losses,
      irrigationMm,
      irrigationL: litres,
      demandL: (demandMm + evaporationMm) * zone.soilM2,
      evaporatedMm: step.evaporatedMm,
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

interface Given {
  litres: number;
  /** share of the surface that it wets */
  wets: number;
}
const NOTHING_GIVEN: Given = { litres: 0, wets: 1 };

/** Litres a day, and the widest share of the surface that they wetted. */
function wateringByDay(list: CaseFile['records']['watering']): Map<Day, Given> {
  const out = new Map<Day, Given>();
  for (const w of list) {
    const before = out.get(w.date) ?? { litres: 0, wets: 0.1 };
    out.set(w.date, { litres: before.litres + w.litres, wets: Math.max(before.wets, WETTED_SHARE[w.how ?? 'base']) });
  }
  return out;
}

const maxDay = (a: Day, b: Day): Day => (a > b ? a : b);
