import type { StationReading } from '@candid-leaf/contract';
import { meant } from './hours.js';

/** A station this far from the service is asked about, °C (judgement: between a valley and the grid it is five). */
const FAR_OFF_C = 10;
/** The other unit explains it if it comes this near, °C. */
const NEAR_C = 6;

/**
 * Returns how a station's temperatures seem to be meant; null if they are near enough to the service's.
 * @param stationC mean of the days both know, as sent
 * @example seemsMeant(77, 24) // 'fahrenheit'
 */
export function seemsMeant(stationC: number, serviceC: number): StationReading | null {
  if (Math.abs(stationC - serviceC) < FAR_OFF_C) return null;
  const others = (['fahrenheit', 'celsius-as-fahrenheit'] as const).filter(
    (reading) => Math.abs(meant(stationC, reading) - serviceC) <= NEAR_C,
  );
  return others[0] ?? 'as-sent';
}
