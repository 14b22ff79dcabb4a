import type { Irrigation } from '../records/place.js';
import type { WaterMethod } from '../records/choices.js';
import type { Watering, WateringEntry } from '../records/record-classes.js';
import { roundTo } from '../units/rounding.js';
import { litresFromMinutes } from './flow.js';

/**
 * Returns whether a watering gave water; an unknown amount did.
 * @example gaveWater({ litres: 0 }) // false
 */
export const gaveWater = ({ litres }: Pick<Watering, 'litres'>): boolean => litres !== 0;

/** What a bed or pot must provide to save a watering of it. */
interface WateredPlace {
  irrigation?: Irrigation | null;
  /** for the whole bed or pot, litres an hour */
  flowLPerH?: number | null;
  /** plants that share the flow */
  plants: number;
}

const WAYS: Record<Irrigation, WaterMethod> = {
  can: 'base',
  hose: 'base',
  drip: 'drip',
  soaker: 'soaker',
  'buried-bottle': 'buried-bottle',
};

/**
 * Returns how a bed or pot is watered unless stated otherwise.
 * @example wayOf('drip') // 'drip'
 */
export const wayOf = (irrigation: Irrigation | null | undefined): WaterMethod => WAYS[irrigation ?? 'can'];

/**
 * Builds a watering record: the only way to make one, from the bed or pot, the stated amount and the day. Minutes
 * become litres per plant here, with the flow of that day, so a later change of the bed or pot does not change it.
 * Without litres, and without minutes or a known flow, the amount stays unknown.
 */
export function makeWatering(place: WateredPlace, entry: WateringEntry): Watering {
  const { date, minutes, how, end } = entry;
  const litres = entry.litres ?? litresIn(place, minutes);
  return {
    date,
    ...(litres != null ? { litres } : {}),
    ...(minutes != null ? { minutes } : {}),
    how: how ?? wayOf(place.irrigation),
    ...(end ? { end } : {}),
  };
}

const litresIn = ({ flowLPerH, plants }: WateredPlace, minutes: number | null | undefined): number | null =>
  minutes == null || !flowLPerH ? null : roundTo(litresFromMinutes(minutes, flowLPerH, Math.max(1, plants)), 3);
