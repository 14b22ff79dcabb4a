import type { WeatherDay } from '../climate/gaps.js';
import type { PlaceFacts, PlantFacts } from '../records/facts.js';
import { coverOf, isPotted } from '../records/place.js';
import type { PlantCase } from '../records/plant-case.js';
import type { Crop } from '../records/plant.js';
import { spellOn } from '../records/spells.js';
import { type Day, dayNumber, daysBetween } from '../units/day.js';
import {
  coveredM2,
  groundCoefficient,
  heightOnDay,
  leafCoefficient,
  stageClock,
  usualHeightM,
  WATER_CROPS,
} from './crops.js';
import { climateTerm, coverShare, leastHumidityPct, mostKc, throughMulchOn } from './evaporation.js';
import { depletionFraction, type RootZone, rootZones } from './root-zone.js';

// What a plant and its soil demand on a day of its season.

/** Returns days since planting out, or a guess from the stage if no day was recorded. */
function daysInGround(plant: PlantFacts, asOf: Day): number {
  if (plant.transplantedOn) return Math.max(0, daysBetween(plant.transplantedOn, asOf));
  return plant.stage === 'seedling' || plant.stage === 'establishing' ? 10 : 60;
}

/** Film and glass take a fifth of the light (judgement); a roof is high, so light comes in from the side. */
const THROUGH_COVER = { none: 1, roof: 1, tunnel: 0.8, glasshouse: 0.8, indoors: 0.8 } as const;

/** Hours of direct sun of a place that nothing shades, on a clear summer day (judgement: low sun counts little). */
const OPEN_SUN_HOURS = 10;
/**
 * Share of summer light that comes from the whole sky, not straight from the sun: it reaches the shade of a wall too
 * (diffuse share of mixed days, Erbs, Klein and Duffie 1982; from memory).
 */
const FROM_THE_SKY = 0.4;
/** Less light means less evaporation, but air and wind go on drying (judgement, as for shade cloth). */
const ETO_BY_LIGHT = 0.8;

/**
 * Returns the share of an open place's light that reaches one with so many hours of direct sun; 1 if they are not known.
 * @example lightOfHours(5) // 0.7
 */
export const lightOfHours = (sunHours: number | null | undefined): number =>
  sunHours == null ? 1 : FROM_THE_SKY + (1 - FROM_THE_SKY) * Math.min(1, sunHours / OPEN_SUN_HOURS);

/** Returns ETo as it reaches the plant: walls and trees, shade cloth and cover take their share (judgement). */
export function etoAtPlant(place: PlaceFacts, day: Day, openMm: number): number {
  const shade = spellOn(place.shade, day);
  const blocked = shade ? 1 - (shade.blockPct / 100) * ETO_BY_LIGHT : 1;
  return openMm * blocked * (1 - ETO_BY_LIGHT * (1 - lightOfHours(place.sunHours))) * THROUGH_COVER[coverOf(place)];
}

/** Returns the share of the sun that walls and trees, shade cloth and cover let through to a plant on a day. */
export function lightShare(place: PlaceFacts, day: Day): number {
  const shade = spellOn(place.shade, day);
  return (1 - (shade?.blockPct ?? 0) / 100) * lightOfHours(place.sunHours) * THROUGH_COVER[coverOf(place)];
}

/** Leaves beyond the rim throw this share of the rain on them over it (judgement). */
const THROWN_BY_LEAVES = 0.5;
/**
 * Returns the share of the rain on a pot that gets into it under leaves wider than its rim.
 * @example throughLeaves(0.35, 0.07) // 0.6
 */
export const throughLeaves = (leavesM2: number, rimM2: number): number =>
  1 - THROWN_BY_LEAVES * Math.max(0, 1 - rimM2 / Math.max(leavesM2, rimM2));

/** A plant's demand on one day. */
export interface Demand {
  kcb: number;
  /** Kcb ETo over the plant's soil: transpiration without water shortage, mm */
  demandMm: number;
  /** evaporation of a wet bare surface, mm over the exposed share of the soil */
  surfaceMm: number;
  /** share of the ground not covered by leaves */
  bareShare: number;
  /** share of the rain on a pot's rim that the leaves above let through; 1 in a bed */
  rainCaught: number;
  zone: RootZone;
  seasonDay: number;
}

type DemandWeather = Pick<WeatherDay, 'date' | 'tMinC' | 'tMaxC' | 'windMs' | 'rhMeanPct'>;

/** Where a plant is in its season, computed once per run. */
interface SeasonClock {
  /** days since planting out, on the day of the question */
  today: number;
  asOf: number;
  /** season days per calendar day, by the recorded stage */
  pace: number;
  heightTodayM: number;
}

/** Returns the clock of a plant's season: days in the ground, adjusted to the recorded stage. */
export function seasonClock({ plant, asOf }: Pick<PlantCase, 'plant' | 'asOf'>): SeasonClock {
  const today = daysInGround(plant, asOf);
  const pace = plant.stage ? stageClock(plant.crop, plant.stage, today) : 1;
  return {
    today,
    asOf: dayNumber(asOf),
    pace,
    heightTodayM: plant.heightM ?? usualHeightM(plant.crop, today * pace),
  };
}

/**
 * Returns what the plant and the bare soil beside it would use without shortage, and from which store, by day. What
 * all days of a run share is computed once. `dayNo` is the day's number if already known.
 */
export function demands({
  place,
  plant,
  asOf,
}: Pick<PlantCase, 'place' | 'plant' | 'asOf'>): (w: DemandWeather, etoMm: number, dayNo?: number) => Demand {
  const { crop } = plant;
  const clock = seasonClock({ plant, asOf });
  const zoneOn = rootZones(place, crop, plant.spacingM);
  const potted = isPotted(place);
  const mulchOn = throughMulchOn(place.mulch);
  // a bed's Kcb covers all of its ground; only ground far wider than the plant is left out
  const mostGroundM2 = 1.3 * WATER_CROPS[crop].fullCoverM2;
  return (w, etoMm, dayNo = dayNumber(w.date)) => {
    const since = clock.today - (clock.asOf - dayNo);
    const seasonDay = Math.max(0, since * clock.pace);
    const height = heightOnDay(clock.heightTodayM, since, clock.today);
    const zone = zoneOn(seasonDay);
    // without a wind gauge use the tables' standard climate: 2 m/s and 45 %
    const climate =
      w.windMs == null ? 0 : climateTerm(w.windMs, leastHumidityPct(w.tMinC, w.tMaxC, w.rhMeanPct), height);
    const leavesM2 = coveredM2(crop, height);
    const ofM2 = Math.min(zone.groundM2, mostGroundM2);
    const plain = groundCoefficient(crop, seasonDay, height, Math.min(1, leavesM2 / ofM2));
    const kcb = plain >= 0.45 ? plain + climate : plain; // eq. 70 is for the grown crop
    const kcMax = mostKc(kcb, climate);
    const bareShare = 1 - coverShare(kcb, kcMax, height);
    const litres = potted
      ? // a plant in a pot is an island: use what its leaves take over the area they cover
        Math.max(0.9, leafCoefficient(crop, seasonDay, height) + climate) * etoMm * leavesM2 * zone.wallLoss
      : kcb * etoMm * ofM2;
    const surfaceMm = Math.min((kcMax - kcb) / bareShare, kcMax) * etoMm * mulchOn(w.date, dayNo); // eq. 71
    const rainCaught = potted ? throughLeaves(leavesM2, zone.soilM2) : 1;
    return { kcb, demandMm: litres / zone.soilM2, surfaceMm, bareShare, rainCaught, zone, seasonDay };
  };
}

/** Average evaporation of a surface between two waterings, as a share of a wet one (judgement). */
const SURFACE_BETWEEN = 0.3;

/** Returns what a morning assumes, mm over the plant's soil: the day's use without shortage, and RAW at that use. */
export const dayNeed = (d: Demand, etoMm: number, crop: Crop): { useMm: number; rawMm: number } => ({
  useMm: d.demandMm + SURFACE_BETWEEN * d.surfaceMm * d.bareShare,
  rawMm: depletionFraction(crop, d.kcb * etoMm) * d.zone.tawMm,
});
