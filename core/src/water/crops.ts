import type { Crop, Stage } from '../records/plant.js';
import { at } from '../units/lists.js';

/**
 * How a crop uses water. Kcb: FAO-56 Table 17; stage lengths: Table 11; p: Table 22 (all from memory). Root depths:
 * Table 22 with the usual range for garden plants. Canopy widths: judgement.
 */
interface WaterCrop {
  /** basal crop coefficients: what the leaves transpire, without the soil */
  kcbInitial: number;
  kcbMid: number;
  /** mid-season Kcb for plants trained to 1.5 m and more (the same step as in the notes of Table 12) */
  kcbMidTall: number;
  kcbEnd: number;
  /** initial, development, mid-season, late: days */
  stageDays: readonly [number, number, number, number];
  depletionFraction: number;
  rootDepthStartM: number;
  rootDepthFullM: number;
  /** ground covered by a full-grown plant, m² */
  fullCoverM2: number;
}

/** Crop coefficients and root depths (FAO-56 Tables 11, 17, 22; basal values Table 17). */
export const WATER_CROPS: Record<Crop, WaterCrop> = {
  tomato: {
    kcbInitial: 0.15,
    kcbMid: 1.1,
    kcbMidTall: 1.15,
    kcbEnd: 0.7,
    stageDays: [30, 40, 45, 30],
    depletionFraction: 0.4,
    rootDepthStartM: 0.15,
    rootDepthFullM: 0.85,
    fullCoverM2: 0.35,
  },
  pepper: {
    kcbInitial: 0.15,
    kcbMid: 1,
    kcbMidTall: 1.1,
    kcbEnd: 0.8,
    stageDays: [30, 35, 40, 20],
    depletionFraction: 0.3,
    rootDepthStartM: 0.15,
    rootDepthFullM: 0.65,
    fullCoverM2: 0.2,
  },
};

/** Where each recorded stage lies in the four-part season: [from, to] in units of the parts' ends. */
const STAGE_SPAN: Record<Stage, readonly [number, number]> = {
  seedling: [0, 1],
  establishing: [0, 1],
  vegetative: [0.5, 2],
  flowering: [1, 2.2],
  fruiting: [1.7, 3],
  ripening: [2.3, 3.6],
  late: [3, 4],
};

const endOf = (crop: WaterCrop, part: number): number => {
  let days = 0;
  for (let i = 0; i < Math.floor(part); i++) days += at(crop.stageDays, i);
  return days + (part % 1) * (crop.stageDays[Math.floor(part)] ?? 0);
};

/**
 * Returns the factor on the days since planting out that fits the calendar to the recorded stage: 1 if the stage is
 * where the tables expect it, else the nearest edge of the stage.
 */
export function stageClock(crop: Crop, stage: Stage, daysSincePlanting: number): number {
  if (daysSincePlanting <= 0) return 1;
  const [from, to] = STAGE_SPAN[stage].map((part) => endOf(WATER_CROPS[crop], part)) as [number, number];
  return Math.min(Math.max(daysSincePlanting, from), to) / daysSincePlanting;
}

/**
 * Returns Kcb on a day of the (stage-adjusted) season: flat, rising, flat, falling (FAO-56 fig. 37, eq. 66).
 * @example basalCoefficient('tomato', 85, 1) // 1.1
 */
export function basalCoefficient(crop: Crop, seasonDay: number, heightM: number): number {
  const c = WATER_CROPS[crop];
  const [ini, dev, mid, late] = c.stageDays;
  const kcbMid = heightM >= 1.5 ? c.kcbMidTall : c.kcbMid;
  if (seasonDay <= ini) return c.kcbInitial;
  if (seasonDay <= ini + dev) return c.kcbInitial + ((seasonDay - ini) / dev) * (kcbMid - c.kcbInitial);
  if (seasonDay <= ini + dev + mid) return kcbMid;
  return kcbMid + Math.min(1, (seasonDay - ini - dev - mid) / late) * (c.kcbEnd - kcbMid);
}

/**
 * Returns rooting depth in m: linear from planting out to the end of development (FAO-56 ch. 8).
 * @example rootDepthM('tomato', 30) // 0.45
 */
export function rootDepthM(crop: Crop, seasonDay: number): number {
  const c = WATER_CROPS[crop];
  const share = Math.min(1, Math.max(0, seasonDay / (c.stageDays[0] + c.stageDays[1])));
  return c.rootDepthStartM + share * (c.rootDepthFullM - c.rootDepthStartM);
}

/** Half the width of a transplant's roots, m, and how far they grow sideways in a day. */
const ROOTS_START_M = 0.14;
const ROOTS_SIDEWAYS_M = 0.01;

/**
 * Returns the ground that roots have reached, m²: about a centimetre further each day on every side (Weaver & Bruner
 * 1927, Root Development of Vegetable Crops: about 60 cm in six to eight weeks; from memory).
 * @example rootSpreadM2(0) // 0.06158
 */
export const rootSpreadM2 = (seasonDay: number): number =>
  Math.PI * (ROOTS_START_M + ROOTS_SIDEWAYS_M * Math.max(0, seasonDay)) ** 2;

/** Kc of dry bare soil, and of leaves so few that only it is left. */
const KC_BARE = 0.15;

/**
 * Returns Kcb from the ground the leaves cover: full cover has the season's Kcb, fewer leaves less (FAO-56 ch. 9, eq.
 * 76 and 97). So a plant that grows faster or slower than the tables drinks as it stands.
 * @param covered share of its ground
 * @example groundCoefficient('tomato', 90, 1.2, 1) // 1.1
 */
export function groundCoefficient(crop: Crop, seasonDay: number, heightM: number, covered: number): number {
  const c = WATER_CROPS[crop];
  const [ini, dev, mid] = c.stageDays;
  const full = basalCoefficient(crop, Math.max(seasonDay, ini + dev + Math.min(1, mid)), heightM);
  const density = Math.min(1, 2 * covered, covered ** (1 / (1 + heightM)));
  return KC_BARE + (full - KC_BARE) * density;
}

/** Width of an open-grown plant per height, up to its full width (judgement: 0.95 m tomato, 0.7 m pepper). */
const WIDTH_FOR_HEIGHT = 0.7;

/**
 * Returns the ground covered by leaves, m²: a disc 0.7 of the height wide, up to full cover.
 * @example coveredM2('tomato', 1.2) // 0.35
 */
export const coveredM2 = (crop: Crop, heightM: number): number =>
  Math.min(WATER_CROPS[crop].fullCoverM2, (Math.PI / 4) * (WIDTH_FOR_HEIGHT * heightM) ** 2);

/**
 * Returns leaf transpiration as a share of ETo over the covered area, for a plant by itself: about 1.0 to 1.15 at
 * every stage (FAO-56 ch. 7 and 9: Kcb of Table 17 covers ground and cover together, so it is not multiplied by the
 * cover again). Young leaves 1.0, the grown plant its mid-season Kcb, 1.0 again at the end.
 */
export function leafCoefficient(crop: Crop, seasonDay: number, heightM: number): number {
  const c = WATER_CROPS[crop];
  const [ini, dev, mid, late] = c.stageDays;
  const grown = Math.max(1, heightM >= 1.5 ? c.kcbMidTall : c.kcbMid);
  if (seasonDay <= ini) return 1;
  if (seasonDay <= ini + dev) return 1 + ((seasonDay - ini) / dev) * (grown - 1);
  if (seasonDay <= ini + dev + mid) return grown;
  return grown + Math.min(1, (seasonDay - ini - dev - mid) / late) * (1 - grown);
}

/**
 * Days after planting out by which a plant has most of its height (judgement after growth/course.ts: a bush nine tenths
 * of it in 60 warm days, a cordon two thirds).
 */
const HEIGHT_DAYS = 60;
/** Height at planting out, m. */
const START_M = 0.15;

/**
 * Returns the height on an earlier day if only today's is known: it grew evenly for 60 days, or until today.
 * @example heightOnDay(0.75, 30, 120) // 0.45
 */
export function heightOnDay(heightTodayM: number, day: number, today: number): number {
  if (today <= 0 || day >= today) return heightTodayM;
  const start = Math.min(START_M, heightTodayM);
  const share = Math.max(0, day) / Math.min(today, HEIGHT_DAYS);
  return start + (heightTodayM - start) * Math.min(1, share);
}

/**
 * Returns the usual height of a plant without a recorded one, m (judgement).
 * @example usualHeightM('pepper', 60) // 0.52
 */
export const usualHeightM = (crop: Crop, seasonDay: number): number =>
  (crop === 'tomato' ? 1.5 : 0.65) * Math.min(1, Math.max(0.1, seasonDay / 75));

/** A plant of unknown height is taken as two months old, days (judgement). */
const USUAL_AGE_DAYS = 60;
/**
 * Returns a plant's height, m; the usual one if it is not known.
 * @example heightOr('pepper', null) // 0.52
 */
export const heightOr = (crop: Crop, heightM: number | null | undefined): number =>
  heightM ?? usualHeightM(crop, USUAL_AGE_DAYS);
