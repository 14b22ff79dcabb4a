import { degreeDays } from '../climate/degree-days.js';
import type { WeatherDay } from '../climate/gaps.js';
import type { Crop, PlantType } from '../records/plant.js';
import type { PickRipeness } from '../records/choices.js';
import { addDays, type Day, daysBetween } from '../units/day.js';

/**
 * Degree days from set to ripe, °C·d over 6 °C: a tomato takes 45 to 55 days in usual weather of 17 °C·d a day, a
 * pepper to full colour 55 to 65 (common practice, from memory). The middle, and the error.
 */
export const SET_TO_RIPE: Record<Crop, number> = { tomato: 850, pepper: 1020 };
const SPREAD = 0.1;

interface RipeWhen {
  from: Day;
  to: Day;
}

/** Returns when fruit that set on a day will be ripe: by the warmth so far, then at the rate of the last two weeks. */
export function ripeFromSet(crop: Crop, setOn: Day, today: Day, weather: readonly WeatherDay[]): RipeWhen | null {
  const had = weather.filter((w) => w.date > setOn && w.date <= today);
  const near = weather.filter((w) => w.date > addDays(today, -14));
  if (near.length === 0) return null;
  const rate = Math.max(2, near.reduce((t, w) => t + degreeDays(w), 0) / near.length);
  const sum = had.reduce((t, w) => t + degreeDays(w), 0);
  const on = (needed: number): Day => {
    if (sum < needed - 1e-9) return addDays(today, Math.ceil((needed - sum) / rate - 1e-9));
    let so = 0;
    return had.find((w) => (so += degreeDays(w)) >= needed - 1e-9)?.date ?? today;
  };
  return { from: on(SET_TO_RIPE[crop] * (1 - SPREAD)), to: on(SET_TO_RIPE[crop] * (1 + SPREAD)) };
}

/** Days between checks for ripe fruit once it comes (common practice: pick often). */
export const PICK_EVERY_DAYS: Record<Crop, number> = { tomato: 3, pepper: 5 };

/** Returns ripeness in words, by type. */
export function ripenessInWords(crop: Crop, type: PlantType | null, colour: string | null): string {
  if (crop === 'tomato')
    return `From first blush (a tenth to a third coloured) it ripens indoors with no loss. Leave it on the plant until ${colour ?? 'full'} colour if neither heat, rain nor birds threaten.`;
  const hot = type === 'hot' || type === 'superhot' ? ' Wear gloves and keep hands away from your eyes.' : '';
  return `Edible green; sweetest${type === 'hot' || type === 'superhot' ? ' and hottest' : ''} in full${colour ? ` ${colour}` : ''} colour. Cut it, do not pull.${hot}`;
}

/** Days on the shelf until ripe at a room's 18 to 21 °C (common practice, from memory); cooler takes longer. */
const SHELF_DAYS: Record<PickRipeness, number> = { ripe: 0, blush: 7, green: 18 };
/** Days it stays good after that (judgement). */
const GOOD_DAYS = 5;
/** Picked fruit hardly ripens under this, °C (judgement). */
const SHELF_BASE_C = 10;
const SHELF_USUAL_C = 20;

interface OnShelf {
  /** days until it is ripe; 0: now */
  ripeIn: number;
  ripeOn: Day;
  /** last day to eat it */
  eatBy: Day;
}

/**
 * Returns when fruit on the ripening shelf is ready; a cooler room slows it by its warmth over 10 °C, under 12 °C it
 * spoils.
 */
export function onShelf(ripeness: PickRipeness, pickedOn: Day, today: Day, roomC = SHELF_USUAL_C): OnShelf {
  const days = Math.round((SHELF_DAYS[ripeness] * (SHELF_USUAL_C - SHELF_BASE_C)) / Math.max(2, roomC - SHELF_BASE_C));
  const ripeOn = addDays(pickedOn, days);
  return { ripeIn: Math.max(0, daysBetween(today, ripeOn)), ripeOn, eatBy: addDays(ripeOn, GOOD_DAYS) };
}
