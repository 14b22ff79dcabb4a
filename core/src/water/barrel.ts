import type { Day } from '../units/day.js';

/** A rain barrel, as the gardener described it, and what was in it on a day. */
export interface Barrel {
  volumeL: number;
  /** ground plan of the roof that fills it, m² */
  roofM2: number;
  seenL: number;
  seenOn: Day;
}

/** Water in it now, and what comes. */
export interface BarrelLevel {
  litres: number;
  volumeL: number;
  /** rain of the coming days would bring so much more, L */
  comingL: number;
}

/** Share of the rain on a pitched roof that reaches its gutter (common practice: 0.8 to 0.9). */
const REACHES = 0.85;
/** Rain of a day that only wets a dry roof, mm (judgement). */
const WETS_MM = 1;

/**
 * Returns the rain of a day that runs off a roof, L.
 * @example runOffL(20, 11) // 170
 */
export const runOffL = (roofM2: number, rainMm: number): number => REACHES * roofM2 * Math.max(0, rainMm - WETS_MM);

/**
 * Returns the water in a barrel, day by day since it was looked into: what ran off the roof, less what was carried from it.
 * What does not fit runs over.
 * @param rain days after that look, oldest first, mm
 * @param takenL litres that were carried on each day
 * @param ahead rain of the next days, mm
 */
export function barrelLevel(
  b: Barrel,
  rain: readonly { date: Day; rainMm: number }[],
  takenL: ReadonlyMap<Day, number>,
  ahead: readonly { rainMm: number }[],
): BarrelLevel {
  let litres = Math.min(b.volumeL, b.seenL);
  for (const { date, rainMm } of rain) {
    if (date <= b.seenOn) continue;
    // watering is in the morning, before the rain of its day
    litres = Math.max(0, litres - (takenL.get(date) ?? 0));
    litres = Math.min(b.volumeL, litres + runOffL(b.roofM2, rainMm));
  }
  const coming = ahead.reduce((sum, w) => sum + runOffL(b.roofM2, w.rainMm), 0);
  return {
    litres: Math.round(litres),
    volumeL: b.volumeL,
    comingL: Math.round(Math.min(b.volumeL - litres, coming)),
  };
}
