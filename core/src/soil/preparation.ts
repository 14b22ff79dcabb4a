import { isPotted, type PlaceKind, type Texture } from '../records/place.js';
import { addDays, type Day, daysBetween } from '../units/day.js';
import type { Formatter } from '../units/formatter.js';

/** Before a bed is planted: compost or old manure worked in (common practice: 5 to 8 cm, some weeks before). */
const DEPTH_CM = { usual: 5, poor: 8, rich: 2.5 } as const;
/** Weeks before planting out in which it is worked in: long enough to settle, too short to wash out (common practice). */
const FROM_DAYS = 42;
/** Compost worked in feeds and holds water for about a year (judgement). */
export const COMPOST_LASTS_DAYS = 365;

interface PreparedPlace {
  kind: PlaceKind;
  lengthM?: number | null;
  widthM?: number | null;
  texture: Texture;
  soilTest?: { phosphorus?: string | null } | null;
}

/** What to work into a bed, and when. */
export interface Preparation {
  depthCm: number;
  /** for the whole bed, L; null if its size is not known */
  litres: number | null;
  from: Day;
  until: Day;
  because: 'usual' | 'poor' | 'rich';
}

/**
 * Returns how deep the compost of a bed lies before it is worked in, cm, and why. Compost brings phosphorus, of which a rich
 * soil has enough for years.
 * @example compostDepth({ texture: 'clay' }) // { depthCm: 8, because: 'poor' }
 */
export function compostDepth({
  texture,
  soilTest,
}: Pick<PreparedPlace, 'texture' | 'soilTest'>): Pick<Preparation, 'depthCm' | 'because'> {
  const poor = texture === 'sand' || texture === 'clay';
  const because = soilTest?.phosphorus === 'high' ? 'rich' : poor ? 'poor' : 'usual';
  return { depthCm: DEPTH_CM[because], because };
}

/**
 * Returns the compost in a bed as its facts hold it: none if none was worked in within the year.
 * @param dugOn when it was worked in; null if that is not recorded
 * @example compostIn('2026-04-10', '2026-07-18') // { compostCm: 5 }
 */
export const compostIn = (dugOn: Day | null, today: Day): { compostCm?: number } =>
  dugOn !== null && daysBetween(dugOn, today) < COMPOST_LASTS_DAYS ? { compostCm: DEPTH_CM.usual } : {};

/** Two spades of compost, L (judgement). */
const HOLE_L = 4;

/**
 * Returns the compost in a plant's hole as its facts hold it: none if none was put there within the year.
 * @param day when; null if that is not recorded
 * @example holeCompost('2026-05-10', '2026-07-18') // { holeCompostL: 4 }
 */
export const holeCompost = (day: Day | null, today: Day): { holeCompostL?: number } =>
  day !== null && daysBetween(day, today) < COMPOST_LASTS_DAYS ? { holeCompostL: HOLE_L } : {};

/**
 * Returns what to work into the soil of a planned bed; null for a pot, which gets new mix, and where it is done already.
 * @param plantOut first day on which it may be planted
 * @param doneOn when compost was last worked in; null if that is not recorded
 */
export function preparationOf(place: PreparedPlace, plantOut: Day, doneOn: Day | null): Preparation | null {
  if (isPotted(place) || (doneOn !== null && doneOn > addDays(plantOut, -COMPOST_LASTS_DAYS))) return null;
  const { depthCm, because } = compostDepth(place);
  const areaM2 = place.lengthM && place.widthM ? place.lengthM * place.widthM : null;
  return {
    depthCm,
    litres: areaM2 === null ? null : Math.round(areaM2 * depthCm * 10),
    from: addDays(plantOut, -FROM_DAYS),
    until: plantOut,
    because,
  };
}

const WHY: Record<Preparation['because'], string> = {
  usual: 'it feeds soil life, holds water and loosens the soil for roots',
  poor: 'sand lets water through and clay keeps air out: it helps both',
  rich: 'its soil has much phosphorus, and compost brings more: a thin layer is enough',
};

/** Returns the amount and the reason. */
export const preparationInWords = (p: Preparation, f: Formatter): { amount: string; why: string } => ({
  amount: `${f.centimetres(p.depthCm)} deep${p.litres === null ? '' : `, ${f.litres(p.litres)}`}`,
  why: `none is recorded within the year; if it is in already, tick this. Work it into the top ${f.centimetres(20)}: ${WHY[p.because]}`,
});
