import { BASE_C, USUAL_DEGREE_DAYS } from '../climate/degree-days.js';
import type { ClimateGarden } from '../climate/climate-of-place.js';
import { meanCycle } from '../climate/mean-cycle.js';
import type { WeatherDay } from '../climate/gaps.js';
import { addDays, type Day, daysBetween } from '../units/day.js';

/** Fruit hardly ripens once the day's mean falls below this, °C (Adams, Cockshull & Cave 2001: 95 days at 14 °C). */
const RIPENS_FROM_C = 13;
/**
 * Degree days over 6 °C from an open flower to fruit of full size, which then ripens indoors, °C·d: a little over half of
 * the 740 to ripe fruit (46 days at 22 °C, Adams, Cockshull & Cave 2001). With it plants in the British Isles are topped in
 * early to mid August, as the Royal Horticultural Society advises (both from memory).
 */
const FLOWER_TO_FULL_SIZE = 400;
/** However warm it is, a flower takes five weeks to full-sized fruit (common practice: top 40 to 60 days before frost). */
const LEAST_DAYS = 35;
/** Days it looks back from the end of the season, at most. */
const MOST_DAYS = 120;
/** The same for a whole crop, which must still follow another. */
const MOST_CROP_DAYS = 150;

/** A garden whose season ends. */
export interface FlowerQuestion extends ClimateGarden {
  /** first frost of this season; null where none falls */
  firstFrost: Day | null;
  /** any day of the season */
  today: Day;
  /** measured, where it grows: shifts the usual means of its latitude */
  recorded: readonly WeatherDay[];
}

/**
 * Returns the day on which the last useful flower opens: its fruit is full size when frost or the cold ends the season.
 * Null where neither comes.
 */
export function lastUsefulFlower(q: FlowerQuestion): Day | null {
  const meanOn = meanCycle(q, q.recorded);
  const end = endOfRipening(q, meanOn);
  if (end === null) return null;
  let sum = 0;
  for (let back = 1; back <= MOST_DAYS; back++) {
    const day = addDays(end, -back);
    sum += Math.max(0, meanOn(day) - BASE_C);
    if (sum >= FLOWER_TO_FULL_SIZE && back >= LEAST_DAYS) return day;
  }
  return addDays(end, -MOST_DAYS);
}

/**
 * Returns the last day on which plants go out that still ripen: from then until frost or the cold the usual warmth comes to
 * their days to maturity. Autumn days count for less: Milan's half-warm October is no July. Null where neither ends the
 * season, or where a whole summer would not be enough.
 * @param days to maturity, counted in days of a warm summer
 */
export function lastPlantingOut(q: FlowerQuestion, days: number): Day | null {
  const meanOn = meanCycle(q, q.recorded);
  const end = endOfRipening(q, meanOn);
  if (end === null) return null;
  let sum = 0;
  for (let back = 1; back <= MOST_CROP_DAYS; back++) {
    const day = addDays(end, -back);
    sum += Math.min(USUAL_DEGREE_DAYS, Math.max(0, meanOn(day) - BASE_C));
    if (sum >= days * USUAL_DEGREE_DAYS) return day;
  }
  return null;
}

/** The first frost, or the day after the warmest one on which the mean falls too low, whichever comes first. */
function endOfRipening(q: FlowerQuestion, meanOn: (day: Day) => number): Day | null {
  const warmest = warmestNear(q);
  let cold: Day | null = null;
  for (let n = 0; n < 183 && cold === null; n++) {
    const day = addDays(warmest, n);
    if (meanOn(day) < RIPENS_FROM_C) cold = day;
  }
  // where even the warmest day is too cold outdoors, frost alone counts
  if (cold === warmest) cold = null;
  if (q.firstFrost === null) return cold;
  return cold !== null && cold < q.firstFrost ? cold : q.firstFrost;
}

/** The height of the summer that belongs to this season: late July, or late January. */
function warmestNear({ latitude, today, firstFrost }: FlowerQuestion): Day {
  const near = firstFrost ?? today;
  const year = Number(near.slice(0, 4));
  const tops = [year - 1, year, year + 1].map((y) => `${y}-${latitude < 0 ? '01-20' : '07-20'}`);
  const before = firstFrost ? tops.filter((d) => d <= near) : tops;
  return before.reduce((a, b) => (Math.abs(daysBetween(near, b)) < Math.abs(daysBetween(near, a)) ? b : a));
}
