import type { Irrigation } from '../records/place.js';
import type { WaterMethod } from '../records/choices.js';
import type { Watering, WateringEntry } from '../records/record-classes.js';
import { roundTo } from '../units/rounding.js';
import { litresFromMinutes } from './flow.js';

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

/** Minutes were given but the flow is not known. */
export class FlowNotKnown extends RangeError {}

/**
 * Builds a watering record: the only way to make one, from the bed or pot, the stated amount and the day. Minutes
 * become litres per plant here, with the flow of that day, so a later change of the bed or pot does not change it.
 * @throws FlowNotKnown for minutes alone without a known flow
 */
export function makeWatering(place: WateredPlace, entry: WateringEntry): Watering {
  const { date, litres, minutes, how, end } = entry;
  return {
    date,
    litres: litres ?? litresIn(place, minutes ?? 0),
    ...(minutes != null ? { minutes } : {}),
    how: how ?? wayOf(place.irrigation),
    ...(end ? { end } : {}),
  };
}

function litresIn({ flowLPerH, plants }: WateredPlace, minutes: number): number {
  if (!flowLPerH) throw new FlowNotKnown('minutes need a bed or pot with a known flow');
  return roundTo(litresFromMinutes(minutes, flowLPerH, Math.max(1, plants)), 3);
}
